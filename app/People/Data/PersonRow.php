<?php

declare(strict_types=1);

namespace App\People\Data;

use App\Http\Api\ListOf;
use App\People\Ability;
use App\People\Models\Person;
use App\People\Rights;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class PersonRow
{
    /** @param  list<string>  $roles */
    private function __construct(
        #[OA\Property] public string $login,
        #[OA\Property] public string $name,
        #[ListOf('string')] public array $roles,
        #[OA\Property] public bool $may_revise,
        #[OA\Property] public bool $may_sign,
    ) {}

    public static function of(Person $person): self
    {
        return new self(
            $person->login,
            $person->name,
            app(Rights::class)->names($person->roles),
            $person->mayDo(Ability::ReviseStructure),
            $person->mayDo(Ability::SignOrder),
        );
    }
}
