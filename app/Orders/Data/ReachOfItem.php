<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Http\Api\ListOf;
use App\Structures\Data\UsedInRow;
use OpenApi\Attributes as OA;

/** Where one affected item is used. */
#[OA\Schema]
final readonly class ReachOfItem
{
    /** @param  list<UsedInRow>  $used_in nearest first */
    public function __construct(
        #[OA\Property] public string $item,
        #[OA\Property(description: 'of all that uses it; the nearest are told')] public int $total,
        #[ListOf(UsedInRow::class)] public array $used_in,
    ) {}
}
