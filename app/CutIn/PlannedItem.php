<?php

declare(strict_types=1);

namespace App\CutIn;

use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Quantity\Unit;

/** What the planner has to know of an item: tens of thousands may be above a part, so not all of it is read. */
final readonly class PlannedItem
{
    /** @param  list<string>  $madeAt  the plants that have a structure of their own of it */
    public function __construct(
        public int $id,
        public string $number,
        public Unit $unit,
        public ?int $leadDays,
        public array $madeAt = [],
    ) {}

    public static function of(Item $item): self
    {
        return new self($item->id, $item->number, $item->unit, $item->lead_time_days);
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, self> by id
     */
    public static function among(array $ids): array
    {
        $madeAt = [];
        foreach (
            DB::table('contents')
                ->whereIntegerInRaw('item_id', $ids)
                ->where('kind', 'manufacturing')
                ->where('status', '!=', 'obsolete')
                ->orderBy('plant')
                ->get(['item_id', 'plant'])
            as $row
        ) {
            $madeAt[$row->item_id][$row->plant] = $row->plant;
        }
        $found = [];
        foreach (
            DB::table('items')
                ->whereIntegerInRaw('id', $ids)
                ->orderBy('id')
                ->get(['id', 'number', 'unit', 'lead_time_days'])
            as $row
        ) {
            $found[$row->id] = new self(
                $row->id,
                $row->number,
                Unit::from($row->unit),
                $row->lead_time_days,
                array_values($madeAt[$row->id] ?? []),
            );
        }

        return $found;
    }
}
