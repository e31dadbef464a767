<?php

declare(strict_types=1);

namespace App\Sheets\Events;

use App\Ledger\Deed;

/** A sheet has a private address. */
final readonly class SheetAddressMade extends Deed
{
    public const NAME = 'sheet.address_made';

    /** @param  string  $of  the number of the item */
    public function __construct(string $by, string $of, public string $revision, public string $file)
    {
        parent::__construct($by, $of);
    }
}
