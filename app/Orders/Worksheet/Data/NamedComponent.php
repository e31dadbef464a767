<?php

declare(strict_types=1);

namespace App\Orders\Worksheet\Data;

use OpenApi\Attributes as OA;

/** What an item in the worksheet is called. */
#[OA\Schema]
final readonly class NamedComponent
{
    public function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property] public string $unit,
    ) {}
}
