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
     * @param  list<CutInPart>  $parts
     * @param  list<CutInDocument>  $documents
     * @param  list<CutInAssumption>  $assumptions
     * @param  list<string>  $not_known_items
     * @param  list<string>  $strangers
     * @param  list<string>  $unknown
     */
    public function __construct(
        #[OA\Property] public string $currency,
        #[OA\Property] public string $from,
        #[OA\Property(description: 'as which demand is exploded; empty: as engineering declares')] public string $plant,
        #[OA\Property(description: 'null when no day of those looked at is possible')] public ?string $earliest,
        #[ListOf('string')] public array $waits_for,
        #[OA\Property] public ?string $run_out,
        #[OA\Property] public ?string $least_cost,
        #[OA\Property] public ?string $least_disturbing,
        #[OA\Property] public ?string $prescribed,
        #[OA\Property(description: 'why the prescribed day cannot be kept')] public ?string $against_prescribed,
        #[ListOf(CutInDayRow::class)] public array $days,
        #[ListOf(CutInPart::class)] public array $parts,
        #[ListOf(CutInDocument::class)] public array $documents,
        #[ListOf(CutInAssumption::class)] public array $assumptions,
        #[OA\Property(description: 'when planning last told of it; null when never')] public ?string $fetched_at,
        #[OA\Property(description: 'why this is not fresh')] public ?string $fault,
        #[OA\Property(description: 'how many of the items above planning does not know')] public int $not_known,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'the first of them')] public array $not_known_items,
        #[
            OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'items it told of that nobody asked about'),
        ]
        public array $strangers,
        #[ListOf('string')] public array $unknown,
    ) {}
}
