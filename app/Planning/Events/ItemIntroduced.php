<?php

declare(strict_types=1);

namespace App\Planning\Events;

use App\Ledger\Deed;

/** Planning has been told of an item that it lacked. */
final readonly class ItemIntroduced extends Deed
{
    public const NAME = 'item.introduced';
}
