<?php

declare(strict_types=1);

namespace App\Orders\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Content\Conflict;

/** Two who worked on one subject did different things to the same of it. */
#[OA\Schema]
final readonly class ConflictRow
{
    private function __construct(
        #[OA\Property] public string $key,
        #[OA\Property(description: 'the part, as people call it')] public string $part,
        #[OA\Property(description: 'empty: all of it')] public string $field,
        #[OA\Property(description: 'as it read before both; of a whole part empty')] public string $before,
        #[OA\Property] public string $mine,
        #[OA\Property] public string $theirs,
    ) {}

    public static function of(Conflict $conflict): self
    {
        return new self(
            key: $conflict->key(),
            part: $conflict->called,
            field: $conflict->field,
            before: $conflict->before,
            mine: $conflict->mine,
            theirs: $conflict->theirs,
        );
    }
}
