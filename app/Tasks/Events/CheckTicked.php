<?php

declare(strict_types=1);

namespace App\Tasks\Events;

use App\Ledger\Deed;

/** A row of the check list of a task is ticked, or no longer. */
final readonly class CheckTicked extends Deed
{
    public const NAME = 'task.check_ticked';

    public function __construct(string $by, string $of, public string $task, public string $check, public bool $ticked)
    {
        parent::__construct($by, $of);
    }
}
