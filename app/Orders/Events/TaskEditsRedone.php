<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** What was edited under a task and taken back is done again. */
final readonly class TaskEditsRedone extends Deed
{
    public const NAME = 'order.task_edits_redone';

    public function __construct(string $by, string $of, public string $task, public string $title, public int $edits)
    {
        parent::__construct($by, $of);
    }
}
