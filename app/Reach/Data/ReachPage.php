<?php

declare(strict_types=1);

namespace App\Reach\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** All that a request would touch, a page at a time. */
#[OA\Schema]
final readonly class ReachPage
{
    /**
     * @param  list<ReachCount>  $counts  by reason; what touches nothing is not named
     * @param  list<ReachRow>  $rows
     */
    public function __construct(
        #[OA\Property(description: 'the day of the structures')] public string $on,
        #[ListOf(ReachCount::class)] public array $counts,
        #[OA\Property(description: 'rows that are asked for')] public int $total,
        #[OA\Property(description: 'how many of all rows are decided on')] public int $decided,
        #[OA\Property] public int $from,
        #[ListOf(ReachRow::class)] public array $rows,
    ) {}
}
