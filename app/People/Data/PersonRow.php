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
        #[OA\Property(description: 'whether they may sign requests on approval paths')] public bool $may_judge,
    ) {}

    public static function of(Person $person): self
    {
        return new self(
            login: $person->login,
            name: $person->name,
            roles: app(Rights::class)->names($person->roles),
            may_revise: $person->mayDo(Ability::ReviseStructure),
            may_sign: $person->mayDo(Ability::SignOrder),
            may_judge: $person->mayDo(Ability::JudgeRequest),
        );
    }
}
