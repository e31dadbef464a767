<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** All that was edited under a task is taken back. */
final readonly class TaskEditsUndone extends Deed
{
    public const NAME = 'order.task_edits_undone';

    public function __construct(string $by, string $of, public string $task, public string $title, public int $edits)
    {
        parent::__construct($by, $of);
    }
}
