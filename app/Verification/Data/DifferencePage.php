<?php

declare(strict_types=1);

namespace App\Verification\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** Where planning's copy differs. */
#[OA\Schema]
final readonly class DifferencePage
{
    /** @param  list<DifferenceRow>  $rows */
    public function __construct(
        #[OA\Property(description: 'how many in all that were asked for')] public int $total,
        #[OA\Property(description: 'how many before these were left out')] public int $from,
        #[ListOf(DifferenceRow::class)] public array $rows,
    ) {}
}
