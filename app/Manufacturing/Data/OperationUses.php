<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** The operations that something is used at on a day. */
#[OA\Schema]
final readonly class OperationUses
{
    /** @param  list<OperationUse>  $rows  by item, plant and number */
    public function __construct(
        #[OA\Property] public string $on,
        #[OA\Property(description: 'how many there are; the rows may be the first of them')] public int $total,
        #[ListOf(OperationUse::class)] public array $rows,
    ) {}
}
