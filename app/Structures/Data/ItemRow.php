<?php

declare(strict_types=1);

namespace App\Structures\Data;

use App\Http\Api\ListOf;
use App\Structures\ItemKind;
use App\Structures\Models\Item;
use App\Structures\Models\RevisingOrder;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Quantity\Money;

/** An item as it appears in any table, with its status at a glance. */
#[OA\Schema]
final readonly class ItemRow
{
    /** @param  list<string>  $being_revised_by */
    private function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $category,
        #[OA\Property] public string $unit,
        #[OA\Property(description: 'the newest released revision')] public ?string $revision,
        #[OA\Property] public string $status,
        #[ListOf('string')] public array $being_revised_by,
        #[OA\Property] public bool $sold,
        #[OA\Property] public ?string $standard_cost,
    ) {}

    public static function of(Item $item): self
    {
        return new self(
            $item->number,
            $item->title,
            $item->kind->label(),
            $item->category->name,
            $item->unit->value,
            $item->released?->code,
            $item->released?->status->value ?? 'in_work',
            $item->revisingOrders->map(static fn (RevisingOrder $order): string => $order->number)->values()->all(),
            $item->sold,
            $item->standard_cost === null ? null : (string) Money::ofTenThousandths($item->standard_cost),
        );
    }

    /** From a row that ItemRows has read. */
    public static function read(\stdClass $row): self
    {
        return new self(
            $row->number, $row->title, ItemKind::from($row->kind)->label(), $row->category, $row->unit, $row->revision, $row->status ?? 'in_work',
            $row->revised_by === null ? [] : explode(',', $row->revised_by), $row->sold,
            $row->standard_cost === null ? null : (string) Money::ofTenThousandths($row->standard_cost),
        );
    }
}
