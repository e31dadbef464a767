<?php

declare(strict_types=1);

namespace App\Packages\Data;

use App\Packages\Models\PackageState;
use App\Packages\Models\ReleasePackage;
use OpenApi\Attributes as OA;

/** A package of what an order released. */
#[OA\Schema]
final readonly class PackageRow
{
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $language,
        #[OA\Property(enum: PackageState::class)] public string $state,
        #[OA\Property(description: 'how far it is, in per cent')] public int $progress,
        #[OA\Property] public string $asked_by,
        #[OA\Property] public string $asked_at,
        #[OA\Property] public int $bytes,
        #[OA\Property] public ?string $sha256,
        #[OA\Property(description: 'why it could not be made')] public string $fault,
    ) {}

    public static function of(ReleasePackage $one): self
    {
        return new self(
            id: $one->id,
            name: $one->name(),
            language: $one->language,
            state: $one->state->value,
            progress: $one->steps === 0 ? 0 : intdiv(100 * $one->steps_done, $one->steps),
            asked_by: $one->asker->name,
            asked_at: $one->asked_at->toIso8601String(),
            bytes: $one->bytes,
            sha256: $one->sha256,
            fault: $one->fault,
        );
    }
}
