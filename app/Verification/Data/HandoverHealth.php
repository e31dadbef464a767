<?php

declare(strict_types=1);

namespace App\Verification\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** How it stands with all that is handed over to planning. */
#[OA\Schema]
final readonly class HandoverHealth
{
    /** @param  list<UnsettledHandover>  $handovers */
    public function __construct(
        #[ListOf(UnsettledHandover::class)] public array $handovers,
        #[OA\Property(description: 'rows in which planning\'s copy differs')] public int $differing,
        #[OA\Property(description: 'the last reading of all of it; null: there was none')] public ?VerificationRow $verification,
        #[OA\Property(description: 'planning\'s copy is being read, all or some of it')] public bool $verifying,
        #[OA\Property(description: 'files of hand-over profiles that have not arrived')] public int $files_undelivered,
        #[OA\Property(description: 'whether this person may send')] public bool $may,
    ) {}
}
