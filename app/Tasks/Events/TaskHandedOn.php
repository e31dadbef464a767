<?php

declare(strict_types=1);

namespace App\Tasks\Events;

use App\Ledger\Deed;

/** A task is for others now. */
final readonly class TaskHandedOn extends Deed
{
    public const NAME = 'task.handed_on';

    public function __construct(string $by, string $of, public string $task, public string $title, public string $to, public string $reason)
    {
        parent::__construct($by, $of);
    }
}
