<?php

declare(strict_types=1);

namespace App\Structures\Events;

use App\Ledger\Deed;

/** An item is added. */
final readonly class ItemAdded extends Deed
{
    public const NAME = 'item.added';

    public function __construct(string $by, string $of, public string $title, public string $kind, public string $category)
    {
        parent::__construct($by, $of);
    }
}
