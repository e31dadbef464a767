<?php

declare(strict_types=1);

namespace App\Structures\Data;

use OpenApi\Attributes as OA;

/** Something that the items of a category are asked for. */
#[OA\Schema]
final readonly class AskedAttribute
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $label,
        #[OA\Property] public bool $required,
    ) {}
}
