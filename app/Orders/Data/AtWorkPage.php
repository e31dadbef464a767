<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What others do to an order, and beside it, as it happens. */
#[OA\Schema]
final readonly class AtWorkPage
{
    /** @param  list<AtWorkRow>  $others  newest first */
    public function __construct(
        #[OA\Property(description: 'another one as soon as somebody else edits the order, or their edits are undone')] public string $state,
        #[ListOf(AtWorkRow::class)] public array $others,
    ) {}
}
