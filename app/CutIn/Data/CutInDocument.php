<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use OpenApi\Attributes as OA;

/** An open document that a day may disturb: a receipt of an old or new part, or a work order that takes the old one. */
#[OA\Schema]
final readonly class CutInDocument
{
    public function __construct(
        #[OA\Property] public string $document,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $item,
        #[OA\Property] public string $quantity,
        #[OA\Property] public string $unit,
        #[OA\Property(description: 'the first day of a work order')] public ?string $first,
        #[OA\Property(description: 'the day it comes or is done')] public ?string $due,
        #[OA\Property] public string $status,
        #[
            OA\Property(description: 'what cancelling costs; null where it cannot be cancelled, or is none of the kind'),
        ]
        public ?string $cancel_fee,
        #[OA\Property(enum: ['old', 'new', 'straddles'])] public string $role,
    ) {}
}
