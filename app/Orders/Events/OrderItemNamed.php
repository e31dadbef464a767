<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\Outcome;

/** What becomes of an item and of what exists of it is said. */
final readonly class OrderItemNamed extends Deed
{
    public const NAME = 'order.item_named';

    public function __construct(string $by, string $of, public string $item, public Outcome $outcome, public ?Disposition $disposition)
    {
        parent::__construct($by, $of);
    }
}
