<?php

declare(strict_types=1);

namespace App\Documents\Events;

use App\Ledger\Deed;

/** A document belongs to an item no longer. */
final readonly class DocumentUnlinked extends Deed
{
    public const NAME = 'document.unlinked';

    public function __construct(string $by, string $of, public string $document)
    {
        parent::__construct($by, $of);
    }
}
