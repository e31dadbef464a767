<?php

declare(strict_types=1);

namespace App\SignIn\Data;

use App\Http\Api\ListOf;
use App\People\Models\Person;
use App\SignIn\Models\SecondFactor;
use OpenApi\Attributes as OA;

/** How somebody signs in, and where they are signed in. */
#[OA\Schema]
final readonly class AccountSafety
{
    /**
     * @param  list<SignInRow>  $sign_ins
     * @param  list<TokenRow>  $tokens
     */
    private function __construct(
        #[OA\Property] public bool $second_factor,
        #[ListOf(SignInRow::class)] public array $sign_ins,
        #[ListOf(TokenRow::class)] public array $tokens,
    ) {}

    /** @param  list<SignInRow>  $signIns */
    public static function of(Person $person, array $signIns): self
    {
        return new self(
            SecondFactor::ofPerson($person) !== null,
            $signIns,
            array_values($person->tokens()->orderByDesc('id')->get()->map(TokenRow::of(...))->all()),
        );
    }
}
