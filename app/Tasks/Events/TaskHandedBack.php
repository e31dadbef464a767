<?php

declare(strict_types=1);

namespace App\Tasks\Events;

use App\Ledger\Deed;

/** A task goes back to its group. */
final readonly class TaskHandedBack extends Deed
{
    public const NAME = 'task.handed_back';

    public function __construct(string $by, string $of, public string $task, public string $title, public string $reason)
    {
        parent::__construct($by, $of);
    }
}
