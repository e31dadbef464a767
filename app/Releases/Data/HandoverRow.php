<?php

declare(strict_types=1);

namespace App\Releases\Data;

use App\Http\Api\ListOf;
use App\Releases\Models\Handover;
use App\Releases\Models\HandoverEntry;
use OpenApi\Attributes as OA;

/** One hand-over with what planning said to each entry. */
#[OA\Schema]
final readonly class HandoverRow
{
    /**
     * @param  list<string>  $introduced
     * @param  list<HandoverEntryRow>  $entries
     */
    private function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public int $number,
        #[OA\Property(enum: ['waiting', 'taken', 'partly_refused', 'refused', 'unanswered'])] public string $state,
        #[OA\Property] public string $written_at,
        #[OA\Property] public ?string $answered_at,
        #[OA\Property(description: 'it is on its way, for the first time or again')] public bool $sending,
        #[OA\Property(description: 'how often it was sent since somebody last asked')] public int $tries,
        #[OA\Property(description: 'what went wrong at the last try')] public string $last_error,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'items that planning lacked and was told of first',
            ),
        ]
        public array $introduced,
        #[ListOf(HandoverEntryRow::class)] public array $entries,
    ) {}

    public static function of(Handover $handover): self
    {
        return new self(
            name: $handover->name,
            number: $handover->number,
            state: $handover->state,
            written_at: $handover->written_at->toIso8601String(),
            answered_at: $handover->answered_at?->toIso8601String(),
            sending: $handover->latestMessage !== null &&
                $handover->latestMessage->delivered_at === null &&
                $handover->latestMessage->tries < config()->integer('orthotaxis.handover.tries'),
            tries: $handover->latestMessage->tries ?? 0,
            last_error: $handover->latestMessage->last_error ?? '',
            introduced: $handover->introduced,
            entries: $handover->entries
                ->map(static fn(HandoverEntry $entry): HandoverEntryRow => HandoverEntryRow::of($entry))
                ->values()
                ->all(),
        );
    }
}
