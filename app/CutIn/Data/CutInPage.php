<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** The answer of the cut-in planner. Amounts are in the currency, quantities in the unit of each item. */
#[OA\Schema]
final readonly class CutInPage
{
    /**
     * @param  list<string>  $waits_for
     * @param  list<CutInDayRow>  $days
     * @param  list<CutInPlant>  $plants
     * @param  list<CutInDocument>  $documents
     * @param  list<CutInAssumption>  $assumptions
     * @param  list<string>  $idle
     * @param  list<string>  $unknown_leads
     * @param  list<string>  $unknown_costs
     * @param  list<string>  $other_places
     * @param  list<string>  $not_known_items
     * @param  list<string>  $strangers
     */
    public function __construct(
        #[OA\Property] public string $currency,
        #[OA\Property] public string $from,
        #[OA\Property(description: 'one day for all plants')] public CutInBest $best,
        #[ListOf('string')] public array $waits_for,
        #[OA\Property] public ?string $run_out,
        #[OA\Property(description: 'whether what the change costs more from the day on is in the totals')] public bool $counts_recurring,
        #[OA\Property] public ?string $prescribed,
        #[OA\Property(description: 'why the prescribed day cannot be kept')] public ?string $against_prescribed,
        #[ListOf(CutInDayRow::class)] public array $days,
        #[ListOf(CutInPlant::class)] public array $plants,
        #[ListOf(CutInDocument::class)] public array $documents,
        #[ListOf(CutInAssumption::class)] public array $assumptions,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'parts that nobody wants, neither before nor after',
            ),
        ]
        public array $idle,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'parts of which somebody has to say the lead time',
            ),
        ]
        public array $unknown_leads,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'parts without a standard cost, counted as nothing',
            ),
        ]
        public array $unknown_costs,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'places that planning tells of and that are no plants: counted at the first plant',
            ),
        ]
        public array $other_places,
        #[OA\Property(description: 'when planning last told of it; null when never')] public ?string $fetched_at,
        #[OA\Property(description: 'why this is not fresh')] public ?string $fault,
        #[OA\Property(description: 'how many of the items above planning does not know')] public int $not_known,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'the first of them')] public array $not_known_items,
        #[
            OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'items it told of that nobody asked about'),
        ]
        public array $strangers,
    ) {}
}
