<?php

declare(strict_types=1);

namespace App\Tasks\Events;

use App\Ledger\Deed;

/** A task that had ended is to be done after all. */
final readonly class TaskReopened extends Deed
{
    public const NAME = 'task.reopened';

    public function __construct(string $by, string $of, public string $task, public string $title, public string $reason)
    {
        parent::__construct($by, $of);
    }
}
