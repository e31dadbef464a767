<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** A document stays at the revision of an item that it shows. */
final readonly class DocumentAdoptsNoMore extends Deed
{
    public const NAME = 'document.adopts_no_more';

    public function __construct(string $by, string $of, public string $document, public string $item)
    {
        parent::__construct($by, $of);
    }
}
