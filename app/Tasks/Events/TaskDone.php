<?php

declare(strict_types=1);

namespace App\Tasks\Events;

use App\Ledger\Deed;

/** A task is done. */
final readonly class TaskDone extends Deed
{
    public const NAME = 'task.done';

    public function __construct(string $by, string $of, public string $task, public string $title, public string $result)
    {
        parent::__construct($by, $of);
    }
}
