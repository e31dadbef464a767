<?php

declare(strict_types=1);

namespace App\Desk\Data;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class StageCount
{
    public function __construct(
        #[
            OA\Property(enum: ['take_in', 'assess', 'order', 'revise', 'sign', 'release', 'follow_through', 'look_back']),
        ]
        public string $step,
        #[OA\Property] public int $open,
        #[OA\Property] public int $critical,
    ) {}
}
