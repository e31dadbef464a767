<?php

declare(strict_types=1);

namespace App\Tasks\Events;

use App\Ledger\Deed;

/** Somebody is given something to do for a change. */
final readonly class TaskMade extends Deed
{
    public const NAME = 'task.made';

    public function __construct(string $by, string $of, public string $task, public string $title, public string $to, public ?string $due)
    {
        parent::__construct($by, $of);
    }
}
