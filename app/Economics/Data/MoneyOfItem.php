<?php

declare(strict_types=1);

namespace App\Economics\Data;

use OpenApi\Attributes as OA;

/** What a change costs for one item; the rows add up to the totals. */
#[OA\Schema]
final readonly class MoneyOfItem
{
    public function __construct(
        #[OA\Property(description: 'number; empty for what belongs to no single item')] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'paid once')] public string $one_time,
        #[OA\Property(description: 'paid every year; less than nothing for a saving')] public string $yearly,
    ) {}
}
