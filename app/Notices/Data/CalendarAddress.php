<?php

declare(strict_types=1);

namespace App\Notices\Data;

use OpenApi\Attributes as OA;

/** The private address of somebody's calendar. */
#[OA\Schema]
final readonly class CalendarAddress
{
    public function __construct(
        #[OA\Property(description: 'when it was made; null: there is none')] public ?string $made_at,
        #[OA\Property(description: 'told once, when it is made; null afterwards')] public ?string $address,
    ) {}
}
