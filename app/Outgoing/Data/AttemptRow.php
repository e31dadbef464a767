<?php

declare(strict_types=1);

namespace App\Outgoing\Data;

use App\Outgoing\Models\DeliveryAttempt;
use OpenApi\Attributes as OA;

/** One try to bring a message to another system. */
#[OA\Schema]
final readonly class AttemptRow
{
    private function __construct(
        #[OA\Property] public string $at,
        #[OA\Property] public int $took_ms,
        #[OA\Property] public bool $arrived,
        #[OA\Property] public string $said,
    ) {}

    public static function of(DeliveryAttempt $one): self
    {
        return new self(at: $one->at->toIso8601String(), took_ms: $one->took_ms, arrived: $one->arrived, said: $one->said);
    }
}
