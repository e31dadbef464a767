<?php

declare(strict_types=1);

namespace App\Forms\Data;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class OfferedTemplate
{
    public function __construct(#[OA\Property] public int $id, #[OA\Property] public string $name) {}
}
