<?php

declare(strict_types=1);

namespace App\Paths\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** A task that a path would make for an order. */
#[OA\Schema]
final readonly class PathTrialTask
{
    /** @param  list<string>  $to  sign-in names, and groups as group: and their code; none: nobody has the role */
    public function __construct(
        #[OA\Property(description: '0: while it is revised; null: once it is released')] public ?int $stage,
        #[OA\Property] public string $title,
        #[ListOf('string')] public array $to,
    ) {}
}
