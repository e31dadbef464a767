<?php

declare(strict_types=1);

namespace App\Structures\Data;

use OpenApi\Attributes as OA;

/** What an item says to something that its category asks for; empty when it says nothing. */
#[OA\Schema]
final readonly class AttributeValue
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $label,
        #[OA\Property] public string $value,
    ) {}
}
