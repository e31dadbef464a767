<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use OpenApi\Attributes as OA;

/** An open document that a day may disturb: a receipt of a part, or a work order that takes one until the cut-in. */
#[OA\Schema]
final readonly class CutInDocument
{
    public function __construct(
        #[OA\Property] public string $plant,
        #[OA\Property] public string $document,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $item,
        #[OA\Property] public string $quantity,
        #[OA\Property] public string $unit,
        #[OA\Property(description: 'the first day of a work order')] public ?string $first,
        #[OA\Property(description: 'the day it comes or is done, as planning has it')] public ?string $due,
        #[OA\Property(description: 'the day that is counted on; another than the due one where that is over')] public ?string $expected,
        #[OA\Property(description: 'it should have come before today')] public bool $overdue,
        #[OA\Property] public string $status,
        #[
            OA\Property(description: 'what cancelling all of it costs; null where it cannot be cancelled, or is none of the kind'),
        ]
        public ?string $cancel_fee,
        #[OA\Property(description: 'the last day on which it can be cancelled')] public ?string $cancel_by,
        #[
            OA\Property(
                enum: ['goes', 'comes', 'straddles', 'waits'],
                description: 'a receipt of a part that goes or comes; a started or a planned work order',
            ),
        ]
        public string $role,
    ) {}
}
