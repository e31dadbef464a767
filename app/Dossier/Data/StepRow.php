<?php

declare(strict_types=1);

namespace App\Dossier\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** One of the eight steps of a change. */
#[OA\Schema]
final readonly class StepRow
{
    /** @param  list<string>  $missing what must still be done here */
    public function __construct(
        #[
            OA\Property(enum: ['take_in', 'assess', 'order', 'revise', 'sign', 'release', 'follow_through', 'look_back']),
        ]
        public string $step,
        #[OA\Property(enum: ['done', 'now', 'ahead', 'not_needed'])] public string $state,
        #[ListOf('string')] public array $missing,
    ) {}
}
