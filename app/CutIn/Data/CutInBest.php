<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\CutIn\BestDays;

/** The best days by each measure; null when none of those looked at is possible. */
#[OA\Schema]
final readonly class CutInBest
{
    private function __construct(
        #[OA\Property] public ?string $earliest,
        #[OA\Property] public ?string $least_cost,
        #[OA\Property] public ?string $least_disturbing,
        #[
            OA\Property(description: 'the first of the days around the cheapest that cost within one percent of it'),
        ]
        public ?string $as_good_from,
        #[OA\Property(description: 'the last of them')] public ?string $as_good_to,
    ) {}

    public static function of(BestDays $best, Day $today): self
    {
        $on = static fn(?int $day): ?string => $day === null ? null : (string) $today->plusDays($day);

        return new self(
            $on($best->earliest),
            $on($best->leastCost),
            $on($best->leastDisturbing),
            $on($best->asSure[0] ?? null),
            $on($best->asSure[1] ?? null),
        );
    }
}
