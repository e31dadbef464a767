<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use App\CutIn\Models\CutIn;
use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** A day that was chosen for a request, with what was asked and why this day. */
#[OA\Schema]
final readonly class CutInChosen
{
    /**
     * @param  list<array<string, mixed>>  $to_do
     * @param  list<array{plant: string, on: string}>  $at_plants
     * @param  list<CutInOutcomeRow>  $outcomes
     */
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $chosen_on,
        #[OA\Property] public string $reason,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
        #[OA\Property(description: 'the total of the chosen day, as it was then')] public string $total,
        #[OA\Property(ref: '#/components/schemas/CutInQuestion')] public mixed $asked,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: CutInToDo::class),
                description: 'what has to be done by when, as it was then',
            ),
        ]
        public array $to_do,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(
                    required: ['plant', 'on'],
                    properties: [new OA\Property(property: 'plant', type: 'string'), new OA\Property(property: 'on', type: 'string')],
                ),
                description: 'where plants cut in on days of their own',
            ),
        ]
        public array $at_plants,
        #[OA\Property(description: 'why the day is not good any more with what planning told since; empty: it is')] public string $fault,
        #[OA\Property(description: 'the best day by then, where it is not')] public ?string $best_on,
        #[ListOf(CutInOutcomeRow::class)] public array $outcomes,
    ) {}

    public static function of(CutIn $chosen): self
    {
        $total = $chosen->found['total'] ?? '';

        $check = $chosen->check;

        return new self(
            id: $chosen->id,
            chosen_on: $chosen->chosen_on,
            reason: $chosen->reason,
            by: $chosen->person->name,
            at: $chosen->chosen_at->toIso8601String(),
            total: is_string($total) ? $total : '',
            asked: $chosen->asked,
            to_do: $chosen->to_do,
            at_plants: $chosen->at_plants,
            fault: $check->fault ?? '',
            best_on: $check?->best_on,
            outcomes: CutInOutcomeRow::all($chosen),
        );
    }
}
