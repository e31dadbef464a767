<?php

declare(strict_types=1);

namespace App\SignIn\Data;

use App\Http\Api\ListOf;
use Laravel\Sanctum\PersonalAccessToken;
use OpenApi\Attributes as OA;

/** A token of a program. */
#[OA\Schema]
final readonly class TokenRow
{
    /** @param  list<string>  $scopes */
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'whether it may whatever its person may')] public bool $all,
        #[ListOf('string')] public array $scopes,
        #[OA\Property(type: 'string', nullable: true)] public ?string $ends_at,
        #[OA\Property(type: 'string', nullable: true)] public ?string $used_at,
        #[OA\Property] public string $made_at,
    ) {}

    public static function of(PersonalAccessToken $token): self
    {
        $scopes = array_values(array_filter((array) $token->abilities, is_string(...)));

        return new self(
            id: (int) $token->getKey(),
            name: $token->name,
            all: in_array('*', $scopes, true),
            scopes: array_values(array_diff($scopes, ['*'])),
            ends_at: $token->expires_at?->format(DATE_ATOM),
            used_at: $token->last_used_at?->format(DATE_ATOM),
            made_at: $token->created_at?->format(DATE_ATOM) ?? '',
        );
    }
}
