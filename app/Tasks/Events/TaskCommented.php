<?php

declare(strict_types=1);

namespace App\Tasks\Events;

use App\Ledger\Deed;

/** Somebody says something on a task. */
final readonly class TaskCommented extends Deed
{
    public const NAME = 'task.commented';

    public function __construct(string $by, string $of, public string $task, public string $text)
    {
        parent::__construct($by, $of);
    }
}
