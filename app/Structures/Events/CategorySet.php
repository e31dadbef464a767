<?php

declare(strict_types=1);

namespace App\Structures\Events;

use App\Ledger\Deed;

/** What holds for a category is set. */
final readonly class CategorySet extends Deed
{
    public const NAME = 'category.set';

    /** @param  array<string, mixed>  $values */
    public function __construct(string $by, string $of, public array $values)
    {
        parent::__construct($by, $of);
    }

    public function details(): array
    {
        return $this->values;
    }
}
