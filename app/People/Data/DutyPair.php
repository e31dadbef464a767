<?php

declare(strict_types=1);

namespace App\People\Data;

use OpenApi\Attributes as OA;

/** Two duties, by their codes. */
#[OA\Schema]
final readonly class DutyPair
{
    public function __construct(#[OA\Property] public string $one, #[OA\Property] public string $other) {}
}
