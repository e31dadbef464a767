<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** Edits of another order, or of other structures of the same, were carried over to siblings. */
final readonly class EditsTransferred extends Deed
{
    public const NAME = 'order.edits_transferred';

    public function __construct(string $by, string $of, public string $from, public string $stroke, public int $rows, public int $taken)
    {
        parent::__construct($by, $of);
    }
}
