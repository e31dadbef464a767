<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What another order has released of a subject since the work on it began, and where both did different things to the same. */
#[OA\Schema]
final readonly class NewerPage
{
    /** @param  list<ConflictRow>  $conflicts */
    public function __construct(
        #[OA\Property(description: 'the revision that the edits start from')] public ?string $base,
        #[OA\Property(description: 'the one that is released now')] public ?string $newest,
        #[OA\Property(description: 'how many edits there are')] public int $edits,
        #[OA\Property(description: 'of them, how many are no longer needed, as the others did the same')] public int $agreed,
        #[ListOf(ConflictRow::class)] public array $conflicts,
    ) {}
}
