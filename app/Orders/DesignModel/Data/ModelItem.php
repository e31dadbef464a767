<?php

declare(strict_types=1);

namespace App\Orders\DesignModel\Data;

use OpenApi\Attributes as OA;

/** Something in a model that has no number yet. */
#[OA\Schema]
final readonly class ModelItem
{
    public function __construct(
        #[OA\Property(description: 'what the model calls it')] public string $name,
        #[OA\Property] public string $title,
        #[OA\Property(enum: ['assembly', 'part'])] public string $kind,
    ) {}
}
