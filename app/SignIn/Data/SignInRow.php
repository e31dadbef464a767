<?php

declare(strict_types=1);

namespace App\SignIn\Data;

use OpenApi\Attributes as OA;

/** A browser in which somebody is signed in. */
#[OA\Schema]
final readonly class SignInRow
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(description: 'network address')] public string $from,
        #[OA\Property(description: 'browser and system')] public string $program,
        #[OA\Property] public string $signed_in_at,
        #[OA\Property] public string $active_at,
        #[OA\Property(description: 'the one that asks')] public bool $here,
    ) {}
}
