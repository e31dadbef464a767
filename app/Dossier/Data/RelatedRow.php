<?php

declare(strict_types=1);

namespace App\Dossier\Data;

use OpenApi\Attributes as OA;

/** A record at the other end of a tie. */
#[OA\Schema]
final readonly class RelatedRow
{
    public function __construct(
        #[OA\Property(description: 'report, request, order, item; or the kind of a record elsewhere')] public string $type,
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property] public ?string $state,
        #[OA\Property(description: 'of a record elsewhere; empty: none')] public string $address,
    ) {}
}
