<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Orders\Models\Signature;
use OpenApi\Attributes as OA;

/** A signature of a step that holds. */
#[OA\Schema]
final readonly class PathSignature
{
    private function __construct(
        #[OA\Property] public string $by,
        #[OA\Property(description: 'for whom a stand-in signed')] public ?string $for,
        #[OA\Property] public string $at,
    ) {}

    /** @param  array<int, string>  $names  by id */
    public static function of(Signature $one, array $names): self
    {
        return new self(
            $names[$one->person_id] ?? '',
            $one->for_id === null ? null : $names[$one->for_id] ?? '',
            $one->signed_at->toIso8601String(),
        );
    }
}
