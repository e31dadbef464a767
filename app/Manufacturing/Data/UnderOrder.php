<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use App\Http\Api\ListOf;
use App\Manufacturing\ManufacturingContents;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\EditRecord;
use App\Orders\Models\OrderItem;
use OpenApi\Attributes as OA;

/** What an order does to what a plant builds of an item. */
#[OA\Schema]
final readonly class UnderOrder
{
    /** @param  list<string>  $edits  in words, in the order they were made */
    private function __construct(
        #[OA\Property] public string $number,
        #[OA\Property(description: 'whether you may edit it now')] public bool $may_edit,
        #[OA\Property(description: 'the number of the newest edit')] public int $seen,
        #[OA\Property] public bool $can_undo,
        #[ListOf('string')] public array $edits,
    ) {}

    public static function of(ChangeOrder $order, OrderItem $row, string $plant, bool $mayEdit): self
    {
        $work = $row
            ->works()
            ->with('edits')
            ->where(['kind' => ManufacturingContents::NAME, 'plant' => $plant])
            ->first();
        $holding = $work?->holding() ?? collect();
        $kind = app(ManufacturingContents::class);

        return new self(
            number: $order->number,
            may_edit: $mayEdit,
            seen: (int) $work?->edits->max('number'),
            can_undo: $holding->isNotEmpty(),
            edits: $holding
                ->map(
                    static fn(EditRecord $edit): string => $kind
                        ->edit($edit->operation, $edit->version, $edit->part, $edit->fields)
                        ->inWords(),
                )
                ->values()
                ->all(),
        );
    }
}
