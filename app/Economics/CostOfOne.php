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
        $revised = $this->orders->toCore($order)->revised();
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
        /** @var list<array{gone: list<string>, come: list<array{item: string, ratio?: ?string}>}> $swaps */
        $swaps = $chosen->asked['swaps'] ?? [];
        $numbers = [];
        foreach ($swaps as $swap) {
            array_push($numbers, ...$swap['gone'], ...array_column($swap['come'], 'item'));
        }
        $items = Item::query()->whereIn('number', array_values(array_unique($numbers)))->get()->keyBy('number');
        $rows = $missing = [];
        foreach ($swaps as $swap) {
            // What goes is the measure: without any, nothing says how often.
            if ($swap['gone'] === []) {
                continue;
            }
            $more = Money::zero();
            foreach ($swap['gone'] as $number) {
                $more = $more->minus(Money::ofTenThousandths((int) $items[$number]->standard_cost));
            }
            foreach ($swap['come'] as $one) {
                $ratio = ($one['ratio'] ?? '') === '' ? Quantity::ONE : Quantity::parse((string) $one['ratio'])->millionths;
                $more = $more->plus(
                    Money::ofTenThousandths(FixedPoint::scale((int) $items[$one['item']]->standard_cost, $ratio, Quantity::ONE)),
                );
            }
            foreach ([...$swap['gone'], ...array_column($swap['come'], 'item')] as $number) {
                $missing = $items[$number]->standard_cost === null ? [...$missing, $number] : $missing;
            }
            $come = implode(', ', array_column($swap['come'], 'item'));
            $rows[] = [$items[$swap['gone'][0]], $come === '' ? 'Nothing in its place' : "{$come} in its place", $more];
        }

        return [$rows, array_values(array_unique($missing))];
    }
}
