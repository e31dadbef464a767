<?php

declare(strict_types=1);

namespace App\Outgoing\Data;

use App\Outgoing\Models\Delivery;
use OpenApi\Attributes as OA;

/** One message to another system. */
#[OA\Schema]
final readonly class DeliveryRow
{
    private function __construct(
        #[OA\Property] public int $id,
        #[
            OA\Property(description: 'by which the receiver knows it again: the number in the ledger, or the name of the file'),
        ]
        public string $name,
        #[OA\Property(description: 'the event, or the hand-over')] public string $what,
        #[OA\Property(description: 'the number of the change')] public string $subject,
        #[OA\Property(enum: ['waiting', 'delivered', 'refused', 'given_up'])] public string $state,
        #[OA\Property(description: 'since somebody last asked')] public int $tries,
        #[OA\Property(description: 'what the receiver said last, or what went wrong')] public string $said,
        #[OA\Property] public string $written_at,
        #[OA\Property(description: 'when it is tried next; null: no more')] public ?string $due_at,
        #[OA\Property] public ?string $ended_at,
    ) {}

    public static function of(Delivery $one): self
    {
        return new self(
            id: $one->id,
            name: $one->name,
            what: $one->what,
            subject: $one->subject,
            state: $one->state->value,
            tries: $one->tries,
            said: $one->said,
            written_at: $one->written_at->toIso8601String(),
            due_at: $one->ended_at === null ? $one->due_at->toIso8601String() : null,
            ended_at: $one->ended_at?->toIso8601String(),
        );
    }
}
