<?php

declare(strict_types=1);

namespace App\Structures\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** A file that can be compared now. */
#[OA\Schema]
final readonly class BroughtFile
{
    /** @param  list<string>  $parents the items whose structures it has */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[ListOf('string')] public array $parents,
    ) {}
}
