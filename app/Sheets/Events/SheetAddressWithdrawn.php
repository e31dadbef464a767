<?php

declare(strict_types=1);

namespace App\Sheets\Events;

use App\Ledger\Deed;

/** The private address of a sheet leads nowhere any more. */
final readonly class SheetAddressWithdrawn extends Deed
{
    public const NAME = 'sheet.address_withdrawn';

    /** @param  string  $of  the number of the item */
    public function __construct(string $by, string $of, public string $revision, public string $file)
    {
        parent::__construct($by, $of);
    }
}
