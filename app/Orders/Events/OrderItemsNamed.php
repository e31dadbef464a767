<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\Outcome;

/** Several items are named on an order by one act, or what becomes of them is said. */
final readonly class OrderItemsNamed extends Deed
{
    public const NAME = 'order.items_named';

    /**
     * @param  list<string>  $items  numbers
     * @param  ?Outcome  $outcome  null: what each had; a new revision of what is new
     * @param  ?Disposition  $disposition  null: what each had
     */
    public function __construct(
        string $by,
        string $of,
        public array $items,
        public ?Outcome $outcome,
        public ?Disposition $disposition = null,
    ) {
        parent::__construct($by, $of);
    }
}
