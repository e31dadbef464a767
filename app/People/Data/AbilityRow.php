<?php

declare(strict_types=1);

namespace App\People\Data;

use App\People\Ability;
use OpenApi\Attributes as OA;

/** Something that a role can allow. */
#[OA\Schema]
final readonly class AbilityRow
{
    private function __construct(
        #[OA\Property] public string $code,
        #[OA\Property(description: 'as it is read by people')] public string $name,
        #[OA\Property(description: 'under which it is listed')] public string $area,
    ) {}

    public static function of(Ability $ability): self
    {
        return new self($ability->value, $ability->label(), $ability->area());
    }
}
