<?php

declare(strict_types=1);

namespace App\Structures\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What is above an item: all of it counted, a stretch of it told. */
#[OA\Schema]
final readonly class UsedInPage
{
    /** @param  list<UsedInRow>  $rows nearest first */
    public function __construct(
        #[OA\Property] public int $total,
        #[OA\Property(description: 'how many of them nothing uses: what leaves the house')] public int $tops,
        #[OA\Property(description: 'how many rows come before these')] public int $from,
        #[ListOf(UsedInRow::class)] public array $rows,
    ) {}
}
