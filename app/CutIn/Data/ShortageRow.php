<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use OpenApi\Attributes as OA;

/** Whether there is enough of a new part, until what is ordered today can be there. */
#[OA\Schema]
final readonly class ShortageRow
{
    public function __construct(
        #[OA\Property] public string $item,
        #[OA\Property] public string $unit,
        #[OA\Property(description: 'in the place of the old part, from the first day until more can come')] public string $needed,
        #[OA\Property(description: 'the most that is lacking; 0: there is enough')] public string $short,
        #[OA\Property(description: 'the first day on which some are lacking')] public ?string $short_from,
        #[OA\Property(description: 'when what is ordered today can be there')] public string $until,
        #[
            OA\Property(description: 'whether anybody said how long it takes; if not, as far as demand is looked at'),
        ]
        public bool $lead_time_known,
        #[OA\Property(description: 'whether planning tells anything of it')] public bool $in_planning,
    ) {}
}
