<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

/** What an act answers: what it was done to, and the version that has now. Whoever shows it reads it anew. */
#[OA\Schema(required: ['number', 'version'])]
final readonly class Done
{
    public function __construct(#[OA\Property] public string $number, #[OA\Property] public int $version) {}
}
