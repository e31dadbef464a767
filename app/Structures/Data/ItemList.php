<?php

declare(strict_types=1);

namespace App\Structures\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** A page of the items that were found. */
#[OA\Schema]
final readonly class ItemList
{
    /** @param  list<ItemRow>  $rows */
    public function __construct(
        #[OA\Property(description: 'of all that is found')] public int $total,
        #[OA\Property] public int $from,
        #[ListOf(ItemRow::class)] public array $rows,
        #[OA\Property(description: 'whether nothing reads like that, and these are only nearly so')] public bool $nearly,
        #[
            OA\Property(description: 'what is wrong with a number by its check digit, when one was asked for that there is not'),
        ]
        public ?string $hint,
    ) {}
}
