<?php

declare(strict_types=1);

namespace App\HandoverProfiles\Data;

use App\Releases\Models\Handover;
use OpenApi\Attributes as OA;

/** A hand-over on which a profile can be tried out. */
#[OA\Schema]
final readonly class PastHandover
{
    private function __construct(
        #[OA\Property] public string $name,
        #[OA\Property(enum: ['release', 'correction', 'documents'])] public string $kind,
        #[OA\Property(description: 'of its order')] public string $title,
        #[OA\Property] public string $written_at,
    ) {}

    public static function of(Handover $one): self
    {
        return new self(
            name: $one->name,
            kind: $one->kind,
            title: $one->order->title ?? 'Correction of what planning has',
            written_at: $one->written_at->toIso8601String(),
        );
    }
}
