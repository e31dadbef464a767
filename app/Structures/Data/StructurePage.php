<?php

declare(strict_types=1);

namespace App\Structures\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** The lines of one item on one day. */
#[OA\Schema]
final readonly class StructurePage
{
    /** @param  list<StructureRow>  $rows */
    public function __construct(
        #[OA\Property] public string $number,
        #[OA\Property(enum: ['design', 'engineering', 'manufacturing'])] public string $kind,
        #[OA\Property] public string $on,
        #[OA\Property] public ?RevisionRow $revision,
        #[ListOf(StructureRow::class)] public array $rows,
    ) {}
}
