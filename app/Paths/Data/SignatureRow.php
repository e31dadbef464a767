<?php

declare(strict_types=1);

namespace App\Paths\Data;

use App\Paths\Models\Signature;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Approval\PathActKind;

#[OA\Schema]
final readonly class SignatureRow
{
    private function __construct(
        #[OA\Property] public string $person,
        #[OA\Property(enum: PathActKind::class)] public string $meaning,
        #[OA\Property(description: 'what a signature means')] public string $said,
        #[OA\Property(description: 'for whom a stand-in signed')] public ?string $for,
        #[OA\Property] public string $reason,
        #[OA\Property] public string $signed_at,
        #[OA\Property] public bool $void,
        #[OA\Property] public string $digest,
    ) {}

    public static function of(Signature $signature): self
    {
        return new self(
            person: $signature->person->name,
            meaning: $signature->meaning,
            said: $signature->said,
            for: $signature->for?->name,
            reason: $signature->reason,
            signed_at: $signature->signed_at->toIso8601String(),
            void: $signature->void,
            digest: $signature->digest,
        );
    }
}
