<?php

declare(strict_types=1);

namespace App\Structures;

use App\Structures\Models\Item;
use Illuminate\Support\Collection;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Unit;

/** What one of each item costs on a day, and the unit that is one of it: what rules of cost ask for. */
final readonly class ItemCosts
{
    /**
     * Asked once, for all of them.
     *
     * @param  Collection<array-key, Item>  $items
     * @return array<string, array{cost: ?Money, unit: Unit}> by number; cost null: not known
     */
    public static function on(Day $day, Collection $items): array
    {
        $dated = DatedData::on($day, $items->pluck('id')->all());
        $costs = [];
        foreach ($items as $item) {
            $cost = $dated->cost($item->id, $item->standard_cost);
            $costs[$item->number] = ['cost' => $cost === null ? null : Money::ofTenThousandths($cost), 'unit' => $item->unit];
        }

        return $costs;
    }
}
