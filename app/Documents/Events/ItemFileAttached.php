<?php

declare(strict_types=1);

namespace App\Documents\Events;

use App\Ledger\Deed;

/** A file is brought for an item. */
final readonly class ItemFileAttached extends Deed
{
    public const NAME = 'file.attached';

    public function __construct(
        string $by,
        string $of,
        public string $item,
        public string $role,
        public string $name,
        public string $sha256,
    ) {
        parent::__construct($by, $of);
    }
}
