<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use App\Http\Api\ListOf;
use App\Structures\Data\ItemRow;
use OpenApi\Attributes as OA;

/** A part that goes or comes at a plant: what there is of it, and how it goes on day by day. Quantities in its unit. */
#[OA\Schema]
final readonly class CutInPart
{
    /**
     * @param  list<string>  $unchanged_course  each morning, as if there were no cut-in
     * @param  list<string>  $until  each day
     * @param  list<string>  $from_then
     * @param  list<string>  $others
     */
    public function __construct(
        #[OA\Property] public ItemRow $item,
        #[OA\Property(description: 'whether the change takes it from any parent')] public bool $goes,
        #[OA\Property(description: 'whether the change brings it into any parent')] public bool $comes,
        #[OA\Property] public string $stock,
        #[OA\Property(description: 'the first day on which stock and receipts do not cover what is wanted')] public ?string $run_out,
        #[OA\Property(description: 'the first day from which on nothing of it is missing; null: none')] public ?string $sustained_from,
        #[OA\Property] public string $yearly_until,
        #[OA\Property] public string $yearly_from_then,
        #[OA\Property] public string $yearly_others,
        #[OA\Property(description: 'what would have had to be there before today, by orders that are not placed')] public string $late,
        #[ListOf('string')] public array $unchanged_course,
        #[ListOf('string')] public array $until,
        #[ListOf('string')] public array $from_then,
        #[ListOf('string')] public array $others,
    ) {}
}
