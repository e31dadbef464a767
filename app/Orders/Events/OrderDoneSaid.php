<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** Somebody says what is done to items of an order, as their sheets will tell it. */
final readonly class OrderDoneSaid extends Deed
{
    public const NAME = 'order.done_said';

    /** @param  array<string, array<string, string>>  $items  texts by language, by item */
    public function __construct(string $by, string $of, public array $items)
    {
        parent::__construct($by, $of);
    }
}
