<?php

declare(strict_types=1);

namespace App\Verification\Data;

use App\Verification\Models\Verification;
use App\Verification\Models\VerificationState;
use OpenApi\Attributes as OA;

/** A reading of planning's copy. */
#[OA\Schema]
final readonly class VerificationRow
{
    private function __construct(
        #[OA\Property(enum: VerificationState::class)] public string $state,
        #[OA\Property(description: 'who asked; null: it is done every night')] public ?string $asked_by,
        #[OA\Property] public string $asked_at,
        #[OA\Property] public ?string $ended_at,
        #[OA\Property(description: 'how far it is, in per cent')] public int $progress,
        #[OA\Property(description: 'rows')] public int $compared,
        #[OA\Property(description: 'rows')] public int $differing,
        #[OA\Property(description: 'why planning could not be read; empty: it could')] public string $fault,
    ) {}

    public static function of(Verification $one): self
    {
        return new self(
            state: $one->state->value,
            asked_by: $one->askedBy?->name,
            asked_at: $one->asked_at->toIso8601String(),
            ended_at: $one->ended_at?->toIso8601String(),
            progress: $one->parts === 0 ? 0 : intdiv(100 * $one->parts_done, $one->parts),
            compared: $one->compared,
            differing: $one->differing,
            fault: $one->fault,
        );
    }
}
