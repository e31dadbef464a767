<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Orders\Models\OrderWaiver;
use OpenApi\Attributes as OA;

/** A condition of an order that somebody has let go. */
#[OA\Schema]
final readonly class WaiverRow
{
    private function __construct(
        #[OA\Property(description: 'the name under which it is let go')] public string $check,
        #[OA\Property(description: 'what does not hold')] public string $fault,
        #[OA\Property] public string $reason,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
    ) {}

    public static function of(OrderWaiver $one): self
    {
        return new self(
            check: $one->condition,
            fault: $one->fault,
            reason: $one->reason,
            by: $one->person->name,
            at: $one->waived_at->toIso8601String(),
        );
    }
}
