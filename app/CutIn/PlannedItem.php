<?php

declare(strict_types=1);

namespace App\CutIn;

use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Quantity\Unit;

/** What the planner has to know of an item: tens of thousands may be above a part, so not all of it is read. */
final readonly class PlannedItem
{
    public function __construct(public int $id, public string $number, public Unit $unit, public int $leadDays) {}

    public static function of(Item $item): self
    {
        return new self($item->id, $item->number, $item->unit, (int) $item->lead_time_days);
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, self> by id
     */
    public static function among(array $ids): array
    {
        $found = [];
        foreach (
            DB::table('items')
                ->whereIntegerInRaw('id', $ids)
                ->orderBy('id')
                ->get(['id', 'number', 'unit', 'lead_time_days'])
            as $row
        ) {
            $found[$row->id] = new self($row->id, $row->number, Unit::from($row->unit), (int) $row->lead_time_days);
        }

        return $found;
    }
}
