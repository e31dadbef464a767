<?php

declare(strict_types=1);

namespace App\Paths\Events;

use App\Ledger\Deed;

/** An approval path is added, or has another version. */
final readonly class PathSet extends Deed
{
    public const NAME = 'path.set';

    public function __construct(
        string $by,
        string $of,
        public string $name,
        public int $version,
        public int $steps,
        public int $tasks,
        public bool $by_rule,
        public bool $retired,
    ) {
        parent::__construct($by, $of);
    }
}
