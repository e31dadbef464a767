<?php

declare(strict_types=1);

namespace App\ItemData\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** One revision of the data of an item. */
#[OA\Schema]
final readonly class DataRevisionRow
{
    /** @param  list<FieldRow>  $changes  against the revision before; none of the first */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public ?string $effective_from,
        #[OA\Property(description: 'the first day it no longer holds')] public ?string $effective_to,
        #[OA\Property(description: 'whether it holds on the day asked for')] public bool $holds,
        #[OA\Property(description: 'null: before it first changed under an order')] public ?string $order,
        #[OA\Property] public string $reason,
        #[ListOf(FieldRow::class)] public array $changes,
    ) {}
}
