<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** A new number does not succeed the old one after all. */
final readonly class NewNumberTakenBack extends Deed
{
    public const NAME = 'order.new_number_taken_back';

    public function __construct(string $by, string $of, public string $item, public string $successor)
    {
        parent::__construct($by, $of);
    }
}
