<?php

declare(strict_types=1);

namespace App\Imports\Events;

use App\Ledger\Deed;

/** A file is taken over. */
final readonly class ImportDone extends Deed
{
    public const NAME = 'import.done';

    public function __construct(
        string $by,
        string $of,
        public string $file,
        public string $subject,
        public string $sha256,
        public string $outcome,
    ) {
        parent::__construct($by, $of);
    }
}
