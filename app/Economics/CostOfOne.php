<?php

declare(strict_types=1);

namespace App\Economics;

use App\CutIn\Models\CutIn;
use App\Days\Today;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Requests\Models\ChangeRequest;
use App\Structures\ItemCosts;
use App\Structures\Models\Item;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Impact\CostDifference;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

/**
 * What one unit of an item costs more where nobody says so: by the edits of the order or of what the request proposes, or, before there
 * are any, by the parts that were chosen to cut in for one another.
 */
final readonly class CostOfOne
{
    public function __construct(private OrderReader $orders) {}

    /** @return array{list<array{Item, string, Money}>, list<string>} item, from where, amount; components without a standard cost */
    public function of(ChangeRequest $request): array
    {
        $order =
            ChangeOrder::ofRequest($request)->where('state', '!=', OrderState::Withdrawn->value)->first() ??
            ChangeOrder::proposedBy($request);
        [$rows, $missing] = $order === null ? [[], []] : $this->ofEdits($order);

        return $rows === [] && $missing === [] ? self::ofParts($request) : [$rows, $missing];
    }

    /** @return array{list<array{Item, string, Money}>, list<string>} */
    private function ofEdits(ChangeOrder $order): array
    {
        $revised = $this->orders->toCore(OrderReader::load($order))->revised();
        $numbers = [];
        foreach ($revised as $item) {
            array_push($numbers, $item->number, ...$item->before()->components(), ...$item->after()->components());
        }
        $items = Item::query()->whereIn('number', array_values(array_unique($numbers)))->get()->keyBy('number');
        $day = $order->effective_on === null ? Today::day() : Day::parse($order->effective_on);
        $costs = ItemCosts::on($day, $items->toBase());
        $rows = $missing = [];
        foreach ($revised as $item) {
            $difference = CostDifference::settled($day, $item->before(), $item->after(), $costs);
            $missing = [...$missing, ...$difference->missing];
            if ($difference->perUnit->tenThousandths !== 0) {
                $rows[] = [$items[$item->number], "Edits of {$order->number}", $difference->perUnit];
            }
        }

        return [$rows, array_values(array_unique($missing))];
    }

    /** @return array{list<array{Item, string, Money}>, list<string>} */
    private static function ofParts(ChangeRequest $request): array
    {
        $chosen = CutIn::query()->where('request_id', $request->id)->orderByDesc('id')->first();
        /** @var list<array{old: string, new: string, ratio?: ?string}> $pairs */
        $pairs = $chosen->asked['pairs'] ?? [];
        $items = Item::query()
            ->whereIn('number', [...array_column($pairs, 'old'), ...array_column($pairs, 'new')])
            ->get()
            ->keyBy('number');
        $rows = $missing = [];
        foreach ($pairs as $pair) {
            [$old, $new] = [$items[$pair['old']], $items[$pair['new']]];
            foreach ([$old, $new] as $part) {
                $missing = $part->standard_cost === null ? [...$missing, $part->number] : $missing;
            }
            $ratio = ($pair['ratio'] ?? '') === '' ? Quantity::ONE : Quantity::parse((string) $pair['ratio'])->millionths;
            $rows[] = [
                $old,
                "{$new->number} in its place",
                Money::ofTenThousandths(FixedPoint::scale((int) $new->standard_cost, $ratio, Quantity::ONE))->minus(
                    Money::ofTenThousandths((int) $old->standard_cost),
                ),
            ];
        }

        return [$rows, array_values(array_unique($missing))];
    }
}
