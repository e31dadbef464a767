<?php

declare(strict_types=1);

namespace App\ItemData\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What is known of an item on a day, and when it changed. */
#[OA\Schema]
final readonly class DataOfItem
{
    /**
     * @param  list<FieldRow>  $rows  before: in the revision before the one that holds on the day
     * @param  list<DataRevisionRow>  $revisions  newest first; none where it never changed under an order
     */
    public function __construct(
        #[OA\Property] public string $on,
        #[OA\Property] public string $currency,
        #[ListOf(FieldRow::class)] public array $rows,
        #[ListOf(DataRevisionRow::class)] public array $revisions,
    ) {}
}
