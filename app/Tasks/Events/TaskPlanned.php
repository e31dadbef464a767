<?php

declare(strict_types=1);

namespace App\Tasks\Events;

use App\Ledger\Deed;

/** A task is told or dated anew. */
final readonly class TaskPlanned extends Deed
{
    public const NAME = 'task.planned';

    public function __construct(string $by, string $of, public string $task, public string $title, public ?string $due)
    {
        parent::__construct($by, $of);
    }
}
