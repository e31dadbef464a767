<?php

declare(strict_types=1);

namespace App\Orders\Worksheet\Data;

use OpenApi\Attributes as OA;

/** A subject whose lines stand in the worksheet. */
#[OA\Schema]
final readonly class WorksheetSubject
{
    public function __construct(
        #[OA\Property] public string $item,
        #[OA\Property(description: '"engineering", "manufacturing:Weir"')] public string $work,
        #[OA\Property(description: 'the number of its newest edit')] public int $seen,
        #[OA\Property(description: 'whether another order has released it since it was begun here')] public bool $moved_on,
        #[OA\Property(description: 'whether you may edit it now')] public bool $may_edit,
    ) {}
}
