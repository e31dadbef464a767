<?php

declare(strict_types=1);

namespace App\SignIn\Data;

use App\People\Models\Person;
use App\People\Rights;
use App\SignIn\Models\SecondFactor;
use OpenApi\Attributes as OA;

/** Whether somebody signs in with an authenticator too. */
#[OA\Schema]
final readonly class SecondFactorPage
{
    private function __construct(
        #[OA\Property] public bool $on,
        #[OA\Property(description: 'whether a role of theirs asks for it')] public bool $required,
        #[OA\Property(description: 'how many codes are left for when the authenticator is lost')] public int $recovery_codes,
    ) {}

    public static function of(Person $person): self
    {
        $factor = SecondFactor::ofPerson($person);

        return new self($factor !== null, app(Rights::class)->needSecondFactor($person->roles), count($factor->recovery_codes ?? []));
    }
}
