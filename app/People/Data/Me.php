<?php

declare(strict_types=1);

namespace App\People\Data;

use App\Http\Api\ListOf;
use App\People\Ability;
use App\People\Models\Person;
use App\People\Role;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class Me
{
    /**
     * @param  list<string>  $roles
     * @param  list<string>  $abilities
     */
    private function __construct(
        #[OA\Property] public string $login,
        #[OA\Property] public string $name,
        #[ListOf('string')] public array $roles,
        #[ListOf('string')] public array $abilities,
        #[OA\Property(ref: Settings::class)] public Settings $settings,
    ) {}

    public static function of(Person $person): self
    {
        return new self(
            $person->login,
            $person->name,
            array_map(static fn (string $role): string => Role::from($role)->label(), $person->roles),
            array_values(array_map(
                static fn (Ability $ability): string => $ability->value,
                array_filter(Ability::cases(), $person->mayDo(...)),
            )),
            Settings::ofThisInstallation(),
        );
    }
}
