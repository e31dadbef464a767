<?php

declare(strict_types=1);

namespace App\Structures\Events;

use App\Ledger\Deed;

/** A category is added. */
final readonly class CategoryAdded extends Deed
{
    public const NAME = 'category.added';

    public function __construct(string $by, string $of, public string $name, public ?string $under)
    {
        parent::__construct($by, $of);
    }
}
