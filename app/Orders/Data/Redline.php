<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Http\Api\ListOf;
use App\Structures\Data\ItemRow;
use OpenApi\Attributes as OA;

/** An item under an order: before and after in one table. */
#[OA\Schema]
final readonly class Redline
{
    /**
     * @param  list<RedlineRow>  $rows
     * @param  list<IterationRow>  $iterations  newest first
     */
    public function __construct(
        #[OA\Property] public string $order,
        #[OA\Property] public string $order_title,
        #[OA\Property] public string $state,
        #[OA\Property(description: 'whether the order is not released yet')] public bool $is_open,
        #[OA\Property] public ItemRow $item,
        #[OA\Property] public ?string $base,
        #[OA\Property] public ?string $becomes,
        #[OA\Property] public bool $moved_on,
        #[OA\Property(description: 'whether you may edit it now')] public bool $may_edit,
        #[OA\Property(description: 'the number of the newest edit')] public int $seen,
        #[OA\Property] public bool $can_undo,
        #[OA\Property] public bool $can_redo,
        #[ListOf(RedlineRow::class)] public array $rows,
        #[OA\Property(description: 'what the work is called now: C.3')] public string $working,
        #[ListOf(IterationRow::class)] public array $iterations,
    ) {}
}
