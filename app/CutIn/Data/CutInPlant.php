<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What every day would mean at one plant. */
#[OA\Schema]
final readonly class CutInPlant
{
    /**
     * @param  list<string>  $closed
     * @param  list<string>  $waits_for
     * @param  list<bool>  $possible
     * @param  list<string>  $totals
     * @param  list<CutInPart>  $parts
     */
    public function __construct(
        #[OA\Property] public string $plant,
        #[OA\Property(description: 'whether it has a calendar; without one it is taken to work every day')] public bool $has_calendar,
        #[
            OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'days on which it does not work'),
        ]
        public array $closed,
        #[OA\Property] public CutInBest $best,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'what the earliest day waits for: approval, tooling, parts',
            ),
        ]
        public array $waits_for,
        #[OA\Property] public ?string $run_out,
        #[
            OA\Property(type: 'array', items: new OA\Items(type: 'boolean'), description: 'whether it can cut in on each day'),
        ]
        public array $possible,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'what each day costs there')] public array $totals,
        #[ListOf(CutInPart::class)] public array $parts,
    ) {}
}
