<?php

declare(strict_types=1);

namespace App\Assessment\Data;

use App\Http\Api\ListOf;
use App\Structures\Data\ItemRow;
use OpenApi\Attributes as OA;

/** How every function stands to one affected item. */
#[OA\Schema]
final readonly class StandingOfItem
{
    /** @param  list<StandingOfFunction>  $functions  one for each, in their order */
    public function __construct(
        #[OA\Property(ref: ItemRow::class)] public ItemRow $item,
        #[ListOf(StandingOfFunction::class)] public array $functions,
    ) {}
}
