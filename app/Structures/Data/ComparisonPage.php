<?php

declare(strict_types=1);

namespace App\Structures\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What differs between two structures. */
#[OA\Schema]
final readonly class ComparisonPage
{
    /**
     * @param  array<string, int>  $totals  how many lines of each kind of difference, unchanged included
     * @param  int  $count  how many rows there are of the kinds asked for; the rows may be the first of them only
     * @param  list<CompareRow>  $rows  nearest level first, each parent's in the order of find numbers
     */
    public function __construct(
        #[OA\Property] public ComparisonSide $left,
        #[OA\Property] public ComparisonSide $right,
        #[OA\Property] public bool $all_levels,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'))] public array $totals,
        #[OA\Property] public int $count,
        #[ListOf(CompareRow::class)] public array $rows,
    ) {}
}
