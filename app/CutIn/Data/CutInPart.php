<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use App\Http\Api\ListOf;
use App\Structures\Data\ItemRow;
use OpenApi\Attributes as OA;

/** One pair of parts: what there is of each, and how it goes on day by day. */
#[OA\Schema]
final readonly class CutInPart
{
    /**
     * @param  list<string>  $old_stock  each morning, used until then
     * @param  list<string>  $new_stock  each morning, used from the least-cost day on
     * @param  list<string>  $demand  of the old part, each day
     */
    public function __construct(
        #[OA\Property] public ItemRow $old,
        #[OA\Property] public ItemRow $new,
        #[OA\Property] public string $ratio,
        #[OA\Property] public string $stock,
        #[OA\Property(description: 'the first day on which the old part is wanted and not there')] public ?string $run_out,
        #[OA\Property(description: 'the first day on which there can be any of the new part')] public string $new_there,
        #[OA\Property] public string $yearly_demand,
        #[ListOf('string')] public array $old_stock,
        #[ListOf('string')] public array $new_stock,
        #[ListOf('string')] public array $demand,
    ) {}
}
