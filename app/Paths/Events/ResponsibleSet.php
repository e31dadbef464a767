<?php

declare(strict_types=1);

namespace App\Paths\Events;

use App\Ledger\Deed;

/** Who owns the items of a category, or plans a plant, is set. */
final readonly class ResponsibleSet extends Deed
{
    public const NAME = 'responsible.set';

    public function __construct(string $by, string $of, public string $field, public string $who)
    {
        parent::__construct($by, $of);
    }
}
