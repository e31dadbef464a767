<?php

declare(strict_types=1);

namespace App\ItemData\Data;

use App\Http\Api\ListOf;
use App\Orders\Data\IterationRow;
use App\Structures\Data\ItemRow;
use OpenApi\Attributes as OA;

/** What is known of an item under an order, before and after. */
#[OA\Schema]
final readonly class DataRedline
{
    /**
     * @param  list<FieldRow>  $rows
     * @param  list<string>  $faults
     * @param  list<IterationRow>  $iterations  newest first
     */
    public function __construct(
        #[OA\Property] public string $order,
        #[OA\Property] public string $order_title,
        #[OA\Property] public string $state,
        #[OA\Property(description: 'whether the order is not released yet')] public bool $is_open,
        #[OA\Property] public ItemRow $item,
        #[OA\Property] public string $currency,
        #[OA\Property(description: 'the day from which it holds')] public ?string $effective_on,
        #[OA\Property(description: 'the revision of the data that the edits start from; null: the first')] public ?string $base,
        #[OA\Property(description: 'the revision that they get; null: nothing is changed')] public ?string $becomes,
        #[OA\Property(description: 'whether another order has released a newer revision meanwhile')] public bool $moved_on,
        #[OA\Property(description: 'whether you may edit it now')] public bool $may_edit,
        #[OA\Property(description: 'the number of the newest edit')] public int $seen,
        #[OA\Property] public bool $can_undo,
        #[OA\Property] public bool $can_redo,
        #[ListOf(FieldRow::class)] public array $rows,
        #[ListOf('string')] public array $faults,
        #[OA\Property(description: 'what the work is called now: C.3; null: nothing was begun')] public ?string $working,
        #[ListOf(IterationRow::class)] public array $iterations,
    ) {}
}
