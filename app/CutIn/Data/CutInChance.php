<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\CutIn\Chance;

/** How a day would turn out, over five hundred samples of demand and lead times. Amounts are in the currency. */
#[OA\Schema]
final readonly class CutInChance
{
    private function __construct(
        #[OA\Property] public string $on,
        #[OA\Property(description: 'percent of the samples in which a part is missing')] public string $short,
        #[OA\Property(description: 'what is left over, in half of the samples at most')] public string $left_median,
        #[OA\Property(description: 'the same in nine of ten')] public string $left_most,
        #[OA\Property(description: 'what is missing or expedited costs, in nine of ten at most')] public string $short_most,
    ) {}

    public static function of(Chance $chance, string $on): self
    {
        return new self(
            on: $on,
            short: number_format($chance->short / 10, 1, '.', ''),
            left_median: (string) $chance->leftMedian,
            left_most: (string) $chance->leftMost,
            short_most: (string) $chance->shortMost,
        );
    }
}
