<?php

declare(strict_types=1);

namespace App\Orders\Data;

use OpenApi\Attributes as OA;

/** A field before and after; empty where it says nothing. */
#[OA\Schema]
final readonly class FieldChange
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $before,
        #[OA\Property] public string $after,
    ) {}
}
