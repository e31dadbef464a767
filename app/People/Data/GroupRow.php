<?php

declare(strict_types=1);

namespace App\People\Data;

use App\Http\Api\ListOf;
use App\People\Models\Group;
use App\People\Models\Person;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class GroupRow
{
    /**
     * @param  list<string>  $members  sign-in names
     * @param  list<string>  $names  of the members
     */
    private function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public bool $retired,
        #[OA\Property] public int $version,
        #[ListOf('string')] public array $members,
        #[ListOf('string')] public array $names,
    ) {}

    public static function of(Group $group): self
    {
        return new self(
            code: $group->code,
            name: $group->name,
            retired: $group->retired,
            version: $group->version,
            members: array_values($group->members->map(static fn(Person $person): string => $person->login)->all()),
            names: array_values($group->members->map(static fn(Person $person): string => $person->name)->all()),
        );
    }
}
