<?php

declare(strict_types=1);

namespace App\People\Data;

use App\Http\Api\ListOf;
use App\People\Models\Role;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class RoleRow
{
    /**
     * @param  list<string>  $abilities
     * @param  list<string>  $plants
     * @param  list<string>  $categories
     * @param  list<string>  $people
     */
    private function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[ListOf('string')] public array $abilities,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'codes; none: all')] public array $plants,
        #[
            OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'codes, each with all below it; none: all'),
        ]
        public array $categories,
        #[OA\Property(description: 'whether its people must sign in with one')] public bool $second_factor,
        #[OA\Property] public bool $retired,
        #[OA\Property] public int $version,
        #[
            OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'names of the active people who have it'),
        ]
        public array $people,
    ) {}

    /** @param  list<string>  $people  names */
    public static function of(Role $role, array $people): self
    {
        return new self(
            code: $role->code,
            name: $role->name,
            abilities: $role->abilities,
            plants: $role->plants,
            categories: $role->categories,
            second_factor: $role->second_factor,
            retired: $role->retired,
            version: $role->version,
            people: $people,
        );
    }
}
