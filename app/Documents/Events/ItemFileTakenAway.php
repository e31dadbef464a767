<?php

declare(strict_types=1);

namespace App\Documents\Events;

use App\Ledger\Deed;

/** A file of an item is taken away again. */
final readonly class ItemFileTakenAway extends Deed
{
    public const NAME = 'file.taken_away';

    public function __construct(string $by, string $of, public string $item, public string $name, public string $sha256)
    {
        parent::__construct($by, $of);
    }
}
