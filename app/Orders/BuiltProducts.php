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
use Orthotaxis\Core\Structure\StructureKind;

/** What an order makes of end products in minutes and money, plant by plant, through what that plant builds. */
final readonly class BuiltProducts
{
    public function __construct(private WorkOfPlants $work) {}

    /** @return list<BuiltProductCost> by product and plant; what stays as it is is left out */
    public function of(ChangeOrder $order, Order $core, Day $day): array
    {
        $own = [];
        foreach ($this->work->changes($order, $core) as $change) {
            $minutes = $own[$change->plant]['minutes'][$change->item] ?? 0;
            $money = $own[$change->plant]['money'][$change->item] ?? 0;
            $own[$change->plant]['minutes'][$change->item] = FixedPoint::add($minutes, $change->minutes);
            $own[$change->plant]['money'][$change->item] = FixedPoint::add($money, $change->cost->tenThousandths);
        }
        if ($own === []) {
            return [];
        }
        $minutes = $money = [];
        foreach ($own as $plant => $changes) {
            $index = StructureIndex::open(new StructureView(StructureKind::Manufacturing, (string) $plant));
            foreach ($index->amountsAbove($changes['minutes'], $day)['amounts'] as $item => $amount) {
                $minutes["{$item} {$plant}"] = $amount;
            }
            foreach ($index->amountsAbove($changes['money'], $day)['amounts'] as $item => $amount) {
                $money["{$item} {$plant}"] = Money::ofTenThousandths($amount);
            }
        }
        $ids = array_map(static fn(string $at): int => (int) explode(' ', $at, 2)[0], array_keys($minutes));
        $products = Item::query()->whereIntegerInRaw('id', array_unique($ids))->where('sold', true)->get()->keyBy('id');
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
