<?php

declare(strict_types=1);

namespace App\Dossier\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** A record and all to which it is tied, one step away. */
#[OA\Schema]
final readonly class RelationPage
{
    /** @param  list<RelationRow>  $ties */
    public function __construct(
        #[OA\Property] public string $number,
        #[OA\Property(enum: ['report', 'request', 'order', 'item'])] public string $type,
        #[OA\Property] public string $title,
        #[OA\Property] public ?string $state,
        #[ListOf(RelationRow::class)] public array $ties,
    ) {}
}
