<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** Whether there is enough of what takes the place of a part. */
#[OA\Schema]
final readonly class ShortagePage
{
    /** @param  list<ShortageRow>  $rows */
    public function __construct(
        #[ListOf(ShortageRow::class)] public array $rows,
        #[OA\Property(description: 'when planning last told of it; null when never')] public ?string $fetched_at,
        #[OA\Property(description: 'why this is not fresh')] public ?string $fault,
    ) {}
}
