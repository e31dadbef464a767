<?php

declare(strict_types=1);

namespace App\Structures\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** An item above another. */
#[OA\Schema]
final readonly class UsedInRow
{
    /** @param  list<string>  $through the components of this item on the way, by number */
    public function __construct(
        #[OA\Property] public ItemRow $item,
        #[OA\Property(description: 'the one revision that lines above name; null: the one of the day')] public ?string $revision,
        #[OA\Property] public int $level,
        #[OA\Property(description: 'how much goes into one, over all ways')] public string $quantity,
        #[OA\Property] public string $unit,
        #[ListOf('string')] public array $through,
        #[OA\Property] public bool $top,
    ) {}
}
