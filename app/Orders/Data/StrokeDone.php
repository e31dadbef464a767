<?php

declare(strict_types=1);

namespace App\Orders\Data;

use OpenApi\Attributes as OA;

/** What was done to several subjects at one stroke, and can be undone as one. */
#[OA\Schema]
final readonly class StrokeDone
{
    public function __construct(#[OA\Property] public string $number, #[OA\Property] public string $stroke) {}
}
