<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** A document will show another revision of an item. */
final readonly class DocumentAdopts extends Deed
{
    public const NAME = 'document.adopts';

    public function __construct(string $by, string $of, public string $document, public string $item, public ?string $revision)
    {
        parent::__construct($by, $of);
    }
}
