<?php

declare(strict_types=1);

namespace App\Structures\Data;

use OpenApi\Attributes as OA;

/** A kind of item and the sequence of its revisions. */
#[OA\Schema]
final readonly class KindRow
{
    public function __construct(
        #[OA\Property] public string $kind,
        #[OA\Property] public string $label,
        #[OA\Property(enum: ['letters', 'numbers', 'numbers_then_letters'])] public string $sequence,
    ) {}
}
