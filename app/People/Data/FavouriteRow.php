<?php

declare(strict_types=1);

namespace App\People\Data;

use App\People\Models\Favourite;
use OpenApi\Attributes as OA;

/** A kept page. */
#[OA\Schema]
final readonly class FavouriteRow
{
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $address,
        #[OA\Property] public string $name,
    ) {}

    public static function of(Favourite $favourite): self
    {
        return new self($favourite->id, $favourite->address, $favourite->name);
    }
}
