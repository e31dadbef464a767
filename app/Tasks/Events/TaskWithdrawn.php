<?php

declare(strict_types=1);

namespace App\Tasks\Events;

use App\Ledger\Deed;

/** A task is not to be done any more. */
final readonly class TaskWithdrawn extends Deed
{
    public const NAME = 'task.withdrawn';

    public function __construct(string $by, string $of, public string $task, public string $title, public string $reason)
    {
        parent::__construct($by, $of);
    }
}
