<?php

declare(strict_types=1);

namespace App\Structures\Data;

use OpenApi\Attributes as OA;

/** The number that the next item of a category would get. */
#[OA\Schema]
final readonly class ProposedNumber
{
    public function __construct(#[OA\Property] public string $number) {}
}
