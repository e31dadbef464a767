<?php

declare(strict_types=1);

namespace App\Notices\Data;

use OpenApi\Attributes as OA;

/** Whether one person watches a change. */
#[OA\Schema]
final readonly class Watch
{
    public function __construct(#[OA\Property] public bool $watching) {}
}
