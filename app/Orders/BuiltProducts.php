<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Data\BuiltProductCost;
use App\Orders\Models\ChangeOrder;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use App\Structures\StructureView;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Minutes;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Structure\StructureKind;

/** What an order makes of end products in minutes and money, plant by plant, through what that plant builds. */
final readonly class BuiltProducts
{
    public function __construct(private WorkOfPlants $work) {}

    /** @return list<BuiltProductCost> by product and plant; what stays as it is is left out */
    public function of(ChangeOrder $order, Order $core, Day $day): array
    {
        $minutes = $money = [];
        foreach ($this->work->changes($order, $core) as $change) {
            $index = StructureIndex::open(new StructureView(StructureKind::Manufacturing, $change->plant));
            $used = $index->whereUsed($change->item, $day);
            $times = [$change->item => Quantity::ONE];
            foreach ($used->parents as $position) {
                $times[$index->positions->item($position)] = $used->quantity($position)->millionths;
            }
            foreach ($times as $item => $quantity) {
                $at = "{$item} {$change->plant}";
                $minutes[$at] = FixedPoint::add($minutes[$at] ?? 0, FixedPoint::scale($change->minutes, $quantity, Quantity::ONE));
                $money[$at] = ($money[$at] ?? Money::zero())->plus($change->cost->times(Quantity::ofMillionths($quantity)));
            }
        }
        $ids = array_map(static fn(string $at): int => (int) explode(' ', $at, 2)[0], array_keys($minutes));
        $products = Item::query()->whereIn('id', array_unique($ids))->where('sold', true)->orderBy('number')->get()->keyBy('id');
        $rows = [];
        foreach ($minutes as $at => $thousandths) {
            [$item, $plant] = explode(' ', $at, 2);
            $product = $products[(int) $item] ?? null;
            if ($product !== null && ($thousandths !== 0 || $money[$at]->tenThousandths !== 0)) {
                $rows[] = new BuiltProductCost(
                    $product->number,
                    $product->title,
                    $plant,
                    minutes: FixedPoint::format($thousandths, Minutes::PLACES),
                    difference: (string) $money[$at],
                );
            }
        }
        usort($rows, static fn(BuiltProductCost $a, BuiltProductCost $b): int => [$a->product, $a->plant] <=> [$b->product, $b->plant]);

        return $rows;
    }
}
