<?php

declare(strict_types=1);

namespace App\Structures\Data;

use OpenApi\Attributes as OA;

/** What is compared: an item's structure of a kind on a day, in a revision, after an order, or as a file has it. */
#[OA\Schema]
final readonly class ComparisonSide
{
    public function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property(enum: ['design', 'engineering', 'manufacturing'])] public string $kind,
        #[OA\Property] public string $plant,
        #[OA\Property] public string $on,
        #[OA\Property] public ?string $revision,
        #[OA\Property] public ?string $order,
        #[OA\Property(description: 'the name of the file it is read from')] public ?string $file,
    ) {}
}
