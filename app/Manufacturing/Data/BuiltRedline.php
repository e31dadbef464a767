<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use App\Http\Api\ListOf;
use App\Orders\Data\IterationRow;
use App\Orders\Data\RedlineRow;
use App\Structures\Data\ItemRow;
use OpenApi\Attributes as OA;

/** What a plant builds of an item, under an order: lines and operations, before and after. */
#[OA\Schema]
final readonly class BuiltRedline
{
    /**
     * @param  list<RedlineRow>  $rows
     * @param  list<OperationRow>  $operations
     * @param  list<WorkCentreRow>  $work_centres
     * @param  list<string>  $faults
     * @param  list<IterationRow>  $iterations  newest first
     */
    public function __construct(
        #[OA\Property] public string $order,
        #[OA\Property] public string $order_title,
        #[OA\Property] public string $state,
        #[OA\Property(description: 'whether the order is not released yet')] public bool $is_open,
        #[OA\Property] public ItemRow $item,
        #[OA\Property] public string $plant,
        #[
            OA\Property(
                description: 'the revision that the edits start from, or that the plant builds by where there are none; null: none yet',
            ),
        ]
        public ?string $base,
        #[OA\Property(description: 'the revision that it gets; null: nothing is changed there')] public ?string $becomes,
        #[OA\Property(description: 'whether another order has released a newer revision meanwhile')] public bool $moved_on,
        #[OA\Property(description: 'whether you may edit it now')] public bool $may_edit,
        #[OA\Property(description: 'the number of the newest edit')] public int $seen,
        #[OA\Property] public bool $can_undo,
        #[OA\Property] public bool $can_redo,
        #[ListOf(RedlineRow::class)] public array $rows,
        #[ListOf(OperationRow::class)] public array $operations,
        #[OA\Property(description: 'how many were made at once')] public string $batch_before,
        #[OA\Property(description: 'how many are made at once')] public string $batch,
        #[OA\Property] public UnitCostData $cost_before,
        #[OA\Property] public UnitCostData $cost,
        #[OA\Property(description: 'of the totals of a unit')] public string $difference,
        #[ListOf(WorkCentreRow::class)] public array $work_centres,
        #[ListOf('string')] public array $faults,
        #[OA\Property(description: 'engineering lines that are not accounted for')] public int $open,
        #[OA\Property(description: 'what the work is called now: C.3; null: nothing was begun')] public ?string $working,
        #[ListOf(IterationRow::class)] public array $iterations,
    ) {}
}
