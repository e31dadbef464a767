<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What a change itself says of its cut-in, before anybody has chosen a day. */
#[OA\Schema]
final readonly class CutInStart
{
    /** @param  list<CutInStartPair>  $pairs */
    public function __construct(#[ListOf(CutInStartPair::class)] public array $pairs) {}
}
