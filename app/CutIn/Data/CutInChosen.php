<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use App\CutIn\Models\CutIn;
use OpenApi\Attributes as OA;

/** A day that was chosen for a request, with what was asked and why this day. */
#[OA\Schema]
final readonly class CutInChosen
{
    private function __construct(
        #[OA\Property] public string $chosen_on,
        #[OA\Property] public string $reason,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
        #[OA\Property(description: 'the total of the chosen day, as it was then')] public string $total,
        #[OA\Property(ref: '#/components/schemas/CutInQuestion')] public mixed $asked,
    ) {}

    public static function of(CutIn $chosen): self
    {
        $total = $chosen->found['total'] ?? '';

        return new self(
            chosen_on: $chosen->chosen_on,
            reason: $chosen->reason,
            by: $chosen->person->name,
            at: $chosen->chosen_at->toIso8601String(),
            total: is_string($total) ? $total : '',
            asked: $chosen->asked,
        );
    }
}
