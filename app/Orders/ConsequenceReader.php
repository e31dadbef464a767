<?php

declare(strict_types=1);

namespace App\Orders;

use App\Days\Today;
use App\Orders\Data\CheckRow;
use App\Orders\Data\Consequences;
use App\Orders\Data\ProductCost;
use App\Orders\Models\ChangeOrder;
use App\Structures\Index\StructureIndex;
use App\Structures\ItemCosts;
use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderItem;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Impact\CostDifference;
use Orthotaxis\Core\ItemData\ItemData;
use Orthotaxis\Core\ItemData\ItemField;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Structure\HasLines;

/** Computes what the edits of an order mean for what is above, for cost, and for other orders. */
final readonly class ConsequenceReader
{
    public function __construct(private Collisions $collisions, private BuiltProducts $built) {}

    public function read(ChangeOrder $order, Order $core): Consequences
    {
        $items = Item::query()->whereIn('number', self::numbers($core))->get()->keyBy('number');
        $day = $order->effective_on === null ? Today::day() : Day::parse($order->effective_on);
        $index = StructureIndex::open();

        $costs = ItemCosts::on($day, $items->toBase());
        $lines = 0;
        $settled = $day;
        $own = $missing = [];
        foreach ($core->changing() as $item) {
            $comparison = $item->comparison();
            $lines += count($comparison->changes());
            $cost = CostDifference::settled($day, $item->before(), $item->after(), $costs);
            $settled = $cost->day->isBefore($settled) ? $settled : $cost->day;
            array_push($missing, ...$cost->missing);
            $id = $items[$item->number]->id;
            $isMade = count($item->outcome === Outcome::Revise ? $item->after() : $index->explosion($id, $day)->totals()) > 0;
            $perUnit = $isMade ? $cost->perUnit : $cost->perUnit->plus(self::ofData($item));
            if ($item->outcome !== Outcome::Revise && $perUnit->tenThousandths === 0) {
                continue;
            }
            $own[$id] = FixedPoint::add($own[$id] ?? 0, $perUnit->tenThousandths);
        }
        ['amounts' => $difference, 'above' => $above] = $index->amountsAbove($own, $day);
        $touched = DB::table('items')
            ->whereIntegerInRaw('id', array_keys($difference))
            ->orderBy('number')
            ->get(['id', 'number', 'title', 'sold']);

        return new Consequences(
            lines: $lines,
            items_above: $touched->whereIn('id', array_keys($above))->pluck('number')->values()->all(),
            products: $touched
                ->where('sold', true)
                ->map(
                    static fn(\stdClass $item): ProductCost => new ProductCost(
                        $item->number,
                        $item->title,
                        (string) Money::ofTenThousandths($difference[$item->id]),
                    ),
                )
                ->values()
                ->all(),
            built: $this->built->of($order, $core, $day),
            without_cost: array_values(array_unique($missing)),
            currency: config()->string('orthotaxis.currency'),
            cost_day: (string) $settled,
            affected: self::affected($core),
            coming: self::coming($core),
            collisions: $this->collisions->of($order),
            checks: array_map(CheckRow::of(...), OrderView::checks($core)),
        );
    }

    /** @return list<string> the items named on the order, and what its edits put out of use, be it at one plant */
    public static function affected(Order $core): array
    {
        $affected = [];
        foreach ($core->items as $item) {
            $affected[$item->number] = true;
            // A component that stands in another line afterwards has not gone.
            foreach ($item->works as $work) {
                if ($work->before instanceof HasLines && $work->after instanceof HasLines) {
                    foreach (array_diff($work->before->lines()->components(), $work->after->lines()->components()) as $gone) {
                        $affected[$gone] = true;
                    }
                }
            }
        }

        return array_map(strval(...), array_keys($affected));
    }

    /** @return list<string> components that its edits bring in, be it at one plant, and what takes the place of what is retired */
    public static function coming(Order $core): array
    {
        $coming = [];
        foreach ($core->works() as $work) {
            if ($work->before instanceof HasLines && $work->after instanceof HasLines) {
                array_push($coming, ...array_diff($work->after->lines()->components(), $work->before->lines()->components()));
            } elseif ($work->after instanceof ItemData) {
                array_push($coming, ...array_filter([$work->after->value(ItemField::ReplacedBy)]));
            }
        }

        return array_values(array_unique($coming));
    }

    /**
     * What one costs more because its own standard cost changes. What is made of something costs what that costs, whatever its own says.
     */
    private static function ofData(OrderItem $item): Money
    {
        $known = static fn(Content $data): ?Money => $data instanceof ItemData && $data->value(ItemField::StandardCost) !== ''
            ? Money::parse($data->value(ItemField::StandardCost))
            : null;
        foreach ($item->works as $work) {
            [$before, $after] = [$known($work->before), $known($work->after)];
            if ($before !== null && $after !== null) {
                return $after->minus($before);
            }
        }

        return Money::zero();
    }

    /** @return list<string> of the items on it, and of the components in lines that it changes: others cost what they did */
    private static function numbers(Order $core): array
    {
        $numbers = [];
        foreach ($core->items as $item) {
            $numbers[$item->number] = true;
            foreach ($item->comparison()->changes() as $difference) {
                foreach (array_filter([$difference->before, $difference->after]) as $line) {
                    $numbers[$line->component] = true;
                }
            }
        }

        return array_map(strval(...), array_keys($numbers));
    }
}
