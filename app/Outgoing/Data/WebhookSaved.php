<?php

declare(strict_types=1);

namespace App\Outgoing\Data;

use OpenApi\Attributes as OA;

/** A webhook that was set, with its secret where that is new: it cannot be read again. */
#[OA\Schema]
final readonly class WebhookSaved
{
    public function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public int $version,
        #[OA\Property(description: 'null: it has the one that it had')] public ?string $secret,
    ) {}
}
