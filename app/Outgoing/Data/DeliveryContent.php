<?php

declare(strict_types=1);

namespace App\Outgoing\Data;

use App\Http\Api\ListOf;
use App\Outgoing\Models\Delivery;
use OpenApi\Attributes as OA;

/** One message with all that it says, and how often it was tried. */
#[OA\Schema]
final readonly class DeliveryContent
{
    /** @param  list<AttemptRow>  $attempts */
    private function __construct(
        #[OA\Property] public DeliveryRow $row,
        #[OA\Property] public string $media_type,
        #[OA\Property] public string $content,
        #[ListOf(AttemptRow::class)] public array $attempts,
    ) {}

    public static function of(Delivery $one): self
    {
        return new self(
            row: DeliveryRow::of($one),
            media_type: $one->media_type,
            content: $one->content,
            attempts: array_values($one->attempts->map(AttemptRow::of(...))->all()),
        );
    }
}
