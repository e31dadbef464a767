<?php

declare(strict_types=1);

namespace App\Orders;

use App\Days\Today;
use App\Orders\Data\CheckRow;
use App\Orders\Data\Consequences;
use App\Orders\Data\ProductCost;
use App\Orders\Models\ChangeOrder;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Impact\CostDifference;
use Orthotaxis\Core\Quantity\Money;

/** Computes what the edits of an order mean for what is above, for cost, and for other orders. */
final readonly class ConsequenceReader
{
    public function __construct(private Collisions $collisions) {}

    public function read(ChangeOrder $order, Order $core): Consequences
    {
        $revised = $core->revised();
        $items = Item::query()->whereIn('number', self::numbers($core))->get()->keyBy('number');
        $day = $order->effective_on === null ? Today::day() : Day::parse($order->effective_on);
        $index = StructureIndex::open();

        $costs = $items
            ->map(
                static fn(Item $item): array => [
                    'cost' => $item->standard_cost === null ? null : Money::ofTenThousandths($item->standard_cost),
                    'unit' => $item->unit,
                ],
            )
            ->all();
        $lines = 0;
        $settled = $day;
        $above = $difference = $missing = [];
        foreach ($revised as $item) {
            $comparison = $item->comparison();
            $lines += count($comparison->changes());
            $cost = CostDifference::settled($day, $item->before(), $item->after(), $costs);
            $settled = $cost->day->isBefore($settled) ? $settled : $cost->day;
            $missing = [...$missing, ...$cost->missing];
            $own = $items[$item->number]->id;
            $difference[$own] = ($difference[$own] ?? Money::zero())->plus($cost->perUnit);
            $used = $index->whereUsed($own, $day);
            foreach ($used->parents as $position) {
                $parent = $index->positions->item($position);
                $above[$parent] = true;
                $difference[$parent] = ($difference[$parent] ?? Money::zero())->plus($cost->perUnit->times($used->quantity($position)));
            }
        }
        $touched = Item::query()->whereIn('id', array_keys($difference))->orderBy('number')->get();

        return new Consequences(
            lines: $lines,
            items_above: $touched->whereIn('id', array_keys($above))->map(static fn(Item $item): string => $item->number)->values()->all(),
            products: $touched
                ->where('sold', true)
                ->map(static fn(Item $item): ProductCost => new ProductCost($item->number, $item->title, (string) $difference[$item->id]))
                ->values()
                ->all(),
            without_cost: array_values(array_unique($missing)),
            currency: config()->string('orthotaxis.currency'),
            cost_day: (string) $settled,
            affected: self::affected($core),
            collisions: $this->collisions->of($order),
            checks: array_map(CheckRow::of(...), OrderView::checks($core)),
        );
    }

    /** @return list<string> the items named on the order, and what its edits put out of use */
    public static function affected(Order $core): array
    {
        $affected = [];
        foreach ($core->items as $item) {
            $affected[$item->number] = true;
            // A component that stands in another line afterwards has not gone.
            foreach (array_diff($item->before()->components(), $item->after()->components()) as $gone) {
                $affected[$gone] = true;
            }
        }

        return array_map(strval(...), array_keys($affected));
    }

    /** @return list<string> */
    private static function numbers(Order $core): array
    {
        $numbers = [];
        foreach ($core->items as $item) {
            $numbers = [...$numbers, $item->number, ...$item->before()->components(), ...$item->after()->components()];
        }

        return array_values(array_unique($numbers));
    }
}
