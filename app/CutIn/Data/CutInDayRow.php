<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\CutIn\CutInDay;

/** What it means to cut in on one day. The parts add up to the total. */
#[OA\Schema]
final readonly class CutInDayRow
{
    private function __construct(
        #[OA\Property] public string $on,
        #[OA\Property(description: 'a working day, after release and tools, from which on nothing is missing')] public bool $possible,
        #[OA\Property] public string $leftover,
        #[OA\Property] public string $cancellation,
        #[OA\Property] public string $shortage,
        #[OA\Property] public string $straddling,
        #[OA\Property] public string $recurring,
        #[OA\Property] public string $total,
        #[OA\Property(description: 'open orders that have to be touched')] public int $disturbed,
        #[
            OA\Property(description: 'what is ordered before the release, lost if the change is refused; not in the total'),
        ]
        public string $at_risk,
    ) {}

    public static function of(CutInDay $day, string $on): self
    {
        return new self(
            on: $on,
            possible: $day->isPossible,
            leftover: (string) $day->leftover,
            cancellation: (string) $day->cancellation,
            shortage: (string) $day->shortage,
            straddling: (string) $day->straddling,
            recurring: (string) $day->recurring,
            total: (string) $day->total,
            disturbed: $day->disturbed,
            at_risk: (string) $day->atRisk,
        );
    }
}
