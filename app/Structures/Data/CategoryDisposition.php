<?php

declare(strict_types=1);

namespace App\Structures\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\Disposition;

/** What is usually done with one kind of supply of the items of a category. */
#[OA\Schema]
final readonly class CategoryDisposition
{
    public function __construct(
        #[OA\Property(description: 'kind of supply')] public string $kind,
        #[OA\Property(enum: Disposition::class)] public string $disposition,
        #[OA\Property(description: 'what it costs for one unit; null: as usual', nullable: true)] public ?string $per_unit,
    ) {}
}
