<?php

declare(strict_types=1);

namespace App\Dossier\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** Ties of one kind and direction. */
#[OA\Schema]
final readonly class RelationRow
{
    /** @param  list<RelatedRow>  $related  by number, the newest forty */
    public function __construct(
        #[OA\Property] public string $tie,
        #[OA\Property(enum: ['in', 'out'])] public string $way,
        #[OA\Property(description: 'read from the record in the middle')] public string $words,
        #[OA\Property(description: 'how many there are')] public int $total,
        #[ListOf(RelatedRow::class)] public array $related,
    ) {}
}
