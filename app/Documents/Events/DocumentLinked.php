<?php

declare(strict_types=1);

namespace App\Documents\Events;

use App\Ledger\Deed;

/** A document belongs to an item. */
final readonly class DocumentLinked extends Deed
{
    public const NAME = 'document.linked';

    public function __construct(string $by, string $of, public string $document, public ?string $revision)
    {
        parent::__construct($by, $of);
    }
}
