<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use OpenApi\Attributes as OA;

/** Something that was assumed because nobody said it, and whether somebody did. */
#[OA\Schema]
final readonly class CutInAssumption
{
    public function __construct(
        #[OA\Property(description: 'of the lever that says otherwise, where there is one')] public ?string $lever,
        #[OA\Property] public string $what,
        #[OA\Property] public string $value,
        #[OA\Property(description: 'said with the question, and not assumed')] public bool $said,
    ) {}
}
