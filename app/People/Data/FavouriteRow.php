<?php

declare(strict_types=1);

namespace App\People\Data;

use App\People\Models\Favourite;
use App\People\Models\Person;
use OpenApi\Attributes as OA;

/** A kept page. */
#[OA\Schema]
final readonly class FavouriteRow
{
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $address,
        #[OA\Property] public string $name,
        #[OA\Property(type: 'string', nullable: true, description: 'code of the group whose people have it too')] public ?string $group,
        #[OA\Property(type: 'string', nullable: true, description: 'who shares it; none: it is yours')] public ?string $shared_by,
    ) {}

    public static function of(Favourite $favourite, Person $reader): self
    {
        return new self(
            $favourite->id,
            $favourite->address,
            $favourite->name,
            group: $favourite->group?->code,
            shared_by: $favourite->person_id === $reader->id ? null : $favourite->person->name,
        );
    }
}
