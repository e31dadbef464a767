<?php

declare(strict_types=1);

namespace App\Tasks\Events;

use App\Ledger\Deed;

/** Somebody says something on a task. */
final readonly class TaskCommented extends Deed
{
    public const NAME = 'task.commented';

    /** @param  list<array{name: string, sha256: string}>  $files */
    public function __construct(string $by, string $of, public string $task, public string $text, public array $files = [])
    {
        parent::__construct($by, $of);
    }
}
