<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** The review of an order went on by itself, as the last task of a stage was done. */
final readonly class OrderMovedOn extends Deed
{
    public const NAME = 'order.moved_on';

    /** @param  ?int  $stage  that is under way now; null: all is signed */
    public function __construct(string $by, string $of, public ?int $stage)
    {
        parent::__construct($by, $of);
    }
}
