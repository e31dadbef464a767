<?php

declare(strict_types=1);

namespace App\Tasks\Events;

use App\Ledger\Deed;

/** Somebody takes a task of their group. */
final readonly class TaskClaimed extends Deed
{
    public const NAME = 'task.claimed';

    public function __construct(string $by, string $of, public string $task, public string $title)
    {
        parent::__construct($by, $of);
    }
}
