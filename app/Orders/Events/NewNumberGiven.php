<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** An item on an order gets a new number, which succeeds it. */
final readonly class NewNumberGiven extends Deed
{
    public const NAME = 'order.new_number_given';

    /** @param  array<string, string>  $documents  new numbers of documents that were copied, by the old ones */
    public function __construct(
        string $by,
        string $of,
        public string $item,
        public string $successor,
        public bool $interchangeable,
        public array $documents,
    ) {
        parent::__construct($by, $of);
    }
}
