<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInStart;
use App\CutIn\Data\CutInStartPair;
use App\Orders\Models\OrderItem;
use App\Orders\OrderReader;
use App\Requests\Models\ChangeRequest;
use App\Structures\ItemKind;
use App\Structures\Models\Item;
use App\Structures\StructureReader;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\CutIn\Swap;
use Orthotaxis\Core\Structure\Structure;

/** What the planner starts from: the parts that the orders of a request swap, else the items it affects, as old parts. */
final readonly class StartReader
{
    public const AT_MOST = 20;

    private const NEVER_STOCKED = [ItemKind::Document, ItemKind::Drawing, ItemKind::Software, ItemKind::Service];

    public function __construct(private StructureReader $structures) {}

    public function read(ChangeRequest $request): CutInStart
    {
        $request->load(['orders.items.edits', 'items']);
        $swaps = Swap::all($this->comparisons(new Collection($request->orders->flatMap->items)));
        $pairs = $swaps === []
            ? $request->items->filter(static fn (Item $item): bool => ! in_array($item->kind, self::NEVER_STOCKED, true))->map(static fn (Item $item): CutInStartPair => CutInStartPair::item($item->number))->all()
            : array_map(CutInStartPair::of(...), $swaps);

        return new CutInStart(array_slice(array_values($pairs), 0, self::AT_MOST));
    }

    /**
     * @param  Collection<int, OrderItem>  $rows
     * @return list<Comparison> of each item that an order revises, what was and what will be
     */
    private function comparisons(Collection $rows): array
    {
        $bases = array_values(array_filter($rows->pluck('base_revision_id')->all(), is_int(...)));
        $before = $this->structures->ofRevisions($bases);

        return $rows->map(static function (OrderItem $row) use ($before): Comparison {
            $base = $before[$row->base_revision_id] ?? new Structure;

            return Comparison::of($base, OrderReader::after($base, OrderReader::activeEdits($row))[0]);
        })->values()->all();
    }
}
