<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use OpenApi\Attributes as OA;

/** One operation that something is used at: a tool, a document, or a work centre. */
#[OA\Schema]
final readonly class OperationUse
{
    public function __construct(
        #[OA\Property(description: 'the item that is made')] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property] public string $plant,
        #[OA\Property(description: 'of what the plant builds')] public string $revision,
        #[OA\Property] public int $operation,
        #[OA\Property(description: 'what is done')] public string $what,
        #[OA\Property(description: 'its code; empty: a supplier does it')] public string $work_centre,
        #[OA\Property(enum: ['instruction', 'tool', 'specification', 'work_centre', 'by_product'])] public string $role,
        #[OA\Property(description: 'minutes for a batch')] public string $set_up,
        #[OA\Property(description: 'minutes')] public string $run,
        #[OA\Property(enum: ['unit', 'batch'])] public string $per,
    ) {}
}
