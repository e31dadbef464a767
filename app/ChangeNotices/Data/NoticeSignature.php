<?php

declare(strict_types=1);

namespace App\ChangeNotices\Data;

use App\Paths\Models\Signature;
use OpenApi\Attributes as OA;

/** A signature under which the order was released. */
#[OA\Schema]
final readonly class NoticeSignature
{
    private function __construct(
        #[OA\Property] public string $person,
        #[OA\Property(description: 'for whom a stand-in signed')] public ?string $for,
        #[OA\Property(description: 'what the signature means')] public string $said,
        #[OA\Property] public string $at,
        #[OA\Property(description: 'of what was signed')] public string $digest,
    ) {}

    public static function of(Signature $one): self
    {
        return new self(
            person: $one->person->name,
            for: $one->for?->name,
            said: $one->said,
            at: $one->signed_at->toIso8601String(),
            digest: $one->digest,
        );
    }
}
