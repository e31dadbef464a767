<?php

declare(strict_types=1);

namespace App\SignIn\Data;

use OpenApi\Attributes as OA;

/** A token as it is told once. */
#[OA\Schema]
final readonly class NewToken
{
    public function __construct(#[OA\Property(description: 'what the program sends as its bearer token')] public string $token) {}
}
