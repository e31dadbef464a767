<?php

declare(strict_types=1);

namespace App\Dossier;

use App\Economics\MoneyReader;
use App\Orders\Models\ChangeOrder;
use App\Orders\Paths\FactsOfOrder;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use App\Structures\Models\Succession;
use Orthotaxis\Core\Approval\Fact;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderItem;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Quantity\Money;

/** What is so of an order: what its requests cost, where and why they were raised, and what it changes. */
final readonly class OrderFacts implements FactsOfOrder
{
    public function __construct(private MoneyReader $money) {}

    public function of(ChangeOrder $order, Order $core): array
    {
        $order->loadMissing('requests.reports');
        $works = $core->works();
        $items = Item::query()
            ->whereIn('number', array_map(static fn(OrderItem $item): string => $item->number, $core->items))
            ->with('category')
            ->get();
        $plants = array_map(static fn(Work $work): string => $work->subject->plant, $works);
        $told = [
            Fact::Priority->value => [$order->priority],
            Fact::Severity->value => $order->requests->flatMap->reports->pluck('severity')->all(),
            Fact::Reason->value => $order->requests->pluck('reason')->all(),
            Fact::Plant->value => [...$plants, ...$order->requests->pluck('site')->all()],
            Fact::Category->value => $items->map(static fn(Item $item): string => $item->category->code ?? '')->all(),
            Fact::SubjectKind->value => array_map(static fn(Work $work): string => $work->subject->kind, $works),
            Fact::Outcome->value => array_map(static fn(OrderItem $item): string => $item->outcome->value, $core->items),
            Fact::Interchange->value => self::classes($order),
            ...$this->amounts($order),
        ];

        return array_map(
            static fn(array $values): array => array_values(
                array_unique(array_filter($values, static fn(string $one): bool => $one !== '')),
            ),
            $told,
        );
    }

    /** @return list<string> of the numbers that it gives in place of others */
    private static function classes(ChangeOrder $order): array
    {
        return array_values(
            Succession::query()
                ->where('order_id', $order->id)
                ->get()
                ->map(static fn(Succession $one): string => $one->interchangeable ? 'interchangeable' : 'not_interchangeable')
                ->all(),
        );
    }

    /** @return array<string, list<string>> nothing of an order that was raised without a request: nobody has said what it costs */
    private function amounts(ChangeOrder $order): array
    {
        $once = $yearly = Money::zero();
        if ($order->requests->isEmpty()) {
            return [];
        }
        foreach ($order->requests as $request) {
            /** @var ChangeRequest $request */
            $page = $this->money->of($request->number);
            $once = $once->plus(Money::parse($page->one_time_total));
            $yearly = $yearly->plus(Money::parse($page->yearly_total));
        }

        return [Fact::OneTimeCost->value => [(string) $once], Fact::YearlyCost->value => [(string) $yearly]];
    }
}
