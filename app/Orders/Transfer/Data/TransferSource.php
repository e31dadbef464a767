<?php

declare(strict_types=1);

namespace App\Orders\Transfer\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** A structure that an order changes, whose edits can be carried over. */
#[OA\Schema]
final readonly class TransferSource
{
    /** @param  list<string>  $siblings  structures that are alike, or the same at other plants: "200-0011 engineering" */
    public function __construct(
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property(description: '"engineering", "manufacturing:Weir"')] public string $work,
        #[OA\Property] public int $changes,
        #[ListOf('string')] public array $siblings,
    ) {}
}
