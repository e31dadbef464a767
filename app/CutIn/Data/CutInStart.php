<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What a change itself says of its cut-in, before anybody has chosen a day. */
#[OA\Schema]
final readonly class CutInStart
{
    /**
     * @param  list<CutInSwap>  $swaps
     */
    public function __construct(
        #[
            OA\Property(
                enum: ['order', 'proposal', 'items'],
                description: 'where they are read: off the edits of an order, off the proposal of the request, or only the affected items are known',
            ),
        ]
        public string $read_off,
        #[ListOf(CutInSwap::class)] public array $swaps,
        #[OA\Property(description: 'how many more there are than are planned together')] public int $more,
    ) {}
}
