<?php

declare(strict_types=1);

namespace App\Reach\Data;

use OpenApi\Attributes as OA;

/** An item in the picture of a reach. */
#[OA\Schema]
final readonly class ReachNode
{
    public function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property(description: '0 for what is affected')] public int $level,
        #[OA\Property] public bool $sold,
        #[OA\Property(description: 'the revision that stands here, where lines name one')] public ?string $revision,
    ) {}
}
