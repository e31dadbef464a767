<?php

declare(strict_types=1);

namespace App\Sheets\Events;

use App\Ledger\Deed;

/** A mark of change is taken off a sheet. */
final readonly class SheetUnmarked extends Deed
{
    public const NAME = 'sheet.unmarked';

    /** @param  string  $of  number of the order, or of the item before any order has it */
    public function __construct(string $by, string $of, public string $item, public string $file, public string $zone, public string $note)
    {
        parent::__construct($by, $of);
    }
}
