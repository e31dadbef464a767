<?php

declare(strict_types=1);

namespace App\Dossier\Events;

use App\Ledger\Deed;

/** A request is taken out of an order that is still being planned. */
final readonly class RequestLeftOrder extends Deed
{
    public const NAME = 'order.request_taken_out';

    /** @param  list<string>  $items  numbers of those that went with it */
    public function __construct(string $by, string $of, public string $request, public array $items)
    {
        parent::__construct($by, $of);
    }
}
