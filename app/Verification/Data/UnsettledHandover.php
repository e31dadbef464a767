<?php

declare(strict_types=1);

namespace App\Verification\Data;

use App\Releases\Models\Handover;
use OpenApi\Attributes as OA;

/** A hand-over that planning has not taken whole. */
#[OA\Schema]
final readonly class UnsettledHandover
{
    private function __construct(
        #[OA\Property] public string $name,
        #[OA\Property(description: 'null: it corrects what planning has')] public ?string $order,
        #[OA\Property] public string $title,
        #[OA\Property(enum: ['waiting', 'partly_refused', 'refused', 'unanswered'])] public string $state,
        #[OA\Property(description: 'it is on its way, for the first time or again')] public bool $sending,
        #[OA\Property] public int $entries,
        #[OA\Property(description: 'how many planning refuses')] public int $refused,
        #[OA\Property(description: 'why it refuses the first of them, or what went wrong at the last try')] public string $reason,
        #[OA\Property(description: 'how often it was sent since somebody last asked')] public int $tries,
        #[OA\Property(description: 'since when it is as it is')] public string $since,
    ) {}

    public static function of(Handover $one): self
    {
        $message = $one->latestMessage;
        $sending = $message !== null && $message->delivered_at === null && $message->tries < config()->integer('orthotaxis.handover.tries');

        return new self(
            name: $one->name,
            order: $one->order?->number,
            title: match (true) {
                $one->order === null => 'Correction of what planning has',
                $one->kind === 'documents' => "Open documents of: {$one->order->title}",
                default => $one->order->title,
            },
            state: $one->state,
            sending: $sending,
            entries: (int) $one->getAttribute('entries_count'),
            refused: (int) $one->getAttribute('refused_count'),
            reason: (string) ($one->getAttribute('first_reason') ?: $message->last_error ?? ''),
            tries: $message->tries ?? 0,
            since: ($one->answered_at ?? $one->written_at)->toIso8601String(),
        );
    }
}
