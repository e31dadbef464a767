<?php

declare(strict_types=1);

namespace App\People\Data;

use App\Http\Api\ListOf;
use App\People\Models\Person;
use App\People\Rights;
use OpenApi\Attributes as OA;

/** Somebody as those see them who manage people. */
#[OA\Schema]
final readonly class PersonAccount
{
    /**
     * @param  list<string>  $roles
     * @param  list<string>  $role_names
     */
    private function __construct(
        #[OA\Property] public string $login,
        #[OA\Property] public string $name,
        #[OA\Property] public string $email,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'codes')] public array $roles,
        #[ListOf('string')] public array $role_names,
        #[OA\Property(description: 'whether they may sign in')] public bool $active,
        #[OA\Property] public int $version,
    ) {}

    public static function of(Person $person): self
    {
        return new self(
            login: $person->login,
            name: $person->name,
            email: $person->email,
            roles: $person->roles,
            role_names: app(Rights::class)->names($person->roles),
            active: $person->active,
            version: $person->version,
        );
    }
}
