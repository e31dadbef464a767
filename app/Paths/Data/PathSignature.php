<?php

declare(strict_types=1);

namespace App\Paths\Data;

use App\Http\Api\ListOf;
use App\Paths\Models\Signature;
use OpenApi\Attributes as OA;

/** A signature of a step that holds. */
#[OA\Schema]
final readonly class PathSignature
{
    /** @param  list<string>  $checks  rows of the check list that were ticked */
    private function __construct(
        #[OA\Property] public string $by,
        #[OA\Property(description: 'for whom a stand-in signed')] public ?string $for,
        #[OA\Property] public string $at,
        #[OA\Property(description: 'what they said with it; may be empty')] public string $reason,
        #[ListOf('string')] public array $checks,
    ) {}

    /** @param  array<int, string>  $names  by id */
    public static function of(Signature $one, array $names): self
    {
        return new self(
            $names[$one->person_id] ?? '',
            $one->for_id === null ? null : $names[$one->for_id] ?? '',
            $one->signed_at->toIso8601String(),
            $one->reason,
            $one->checks,
        );
    }
}
