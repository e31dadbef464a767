<?php

declare(strict_types=1);

namespace App\Orders\Transfer\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Transfer\Fit;

/** What became of one edit in one sibling. */
#[OA\Schema]
final readonly class TransferLogRow
{
    public function __construct(
        #[OA\Property] public string $source,
        #[OA\Property] public string $target,
        #[OA\Property] public string $what,
        #[OA\Property(enum: Fit::class)] public string $fit,
        #[OA\Property] public string $reason,
        #[OA\Property] public bool $taken,
    ) {}
}
