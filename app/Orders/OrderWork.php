<?php

declare(strict_types=1);

namespace App\Orders;

use App\Documents\RevisionWork;
use App\Orders\Editing\EditorsOfOrders;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\Structures\Models\Item;
use App\Structures\Models\NamedOrder;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Refusal;

/** Work on the coming revision of an item is work under an order, by those who edit it there. */
final readonly class OrderWork implements RevisionWork
{
    public function of(Person $by, Item $item): ?NamedOrder
    {
        $orders = $this->revising($item);
        $mine = $orders->first(
            static fn(ChangeOrder $order): bool => $order->state === OrderState::Revising &&
                app(EditorsOfOrders::class)->of($order)->mayEdit($by->id, new Subject(Subject::ENGINEERING, $item->number)),
        );
        if ($mine !== null) {
            // Held, so that it is not sent to review at the same moment.
            ChangeOrder::hold($mine->number);

            return NamedOrder::query()->findOrFail($mine->id);
        }
        $held = $orders->first(static fn(ChangeOrder $order): bool => $order->state !== OrderState::Planning);
        if ($held !== null) {
            throw Refusal::at(
                'file',
                $held->state === OrderState::Revising
                    ? "{$held->number} names another person to edit {$item->number}."
                    : "{$item->number} is locked under {$held->number}.",
            );
        }
        if ($item->released !== null) {
            throw Refusal::at(
                'file',
                "{$item->number} is released as revision {$item->released->code}. Its sheet and model change under an order only.",
            );
        }

        return null;
    }

    /**
     * A draft belongs to one order, and is removed by who edits the item there; one that came before any order had the item is
     * everybody's who may add.
     */
    public function mayTakeAway(Person $by, Item $item, ?int $order): void
    {
        if ($order === null) {
            $held = $this->revising($item)->first(static fn(ChangeOrder $order): bool => $order->state->isLocked());
            if ($held !== null) {
                throw Refusal::at('file', "{$item->number} is locked under {$held->number}.");
            }
            $this->of($by, $item);

            return;
        }
        $brought = ChangeOrder::hold(ChangeOrder::query()->findOrFail($order)->number);
        if ($brought->state !== OrderState::Revising) {
            throw Refusal::at('file', "{$item->number} is locked under {$brought->number}.");
        }
        $refusal = OrderPolicy::refusalToEdit($by, $brought, new Subject(Subject::ENGINEERING, $item->number));
        $refusal === null || throw Refusal::at('file', $refusal);
    }

    public function mustBeFree(Person $by, array $items, string $place): void
    {
        $revising = ChangeOrder::query()
            ->where('state', OrderState::Revising->value)
            ->whereHas(
                'items',
                static fn(Builder $rows): Builder => $rows->whereIn('item_id', $items)->where('outcome', Outcome::Revise->value),
            )
            ->orderBy('id')
            ->get();
        $coordinates = $revising->contains(static fn(ChangeOrder $order): bool => OrderPolicy::coordinates($by, $order));
        if ($revising->isNotEmpty() && !$coordinates && !$revising->contains('editor_id', $by->id)) {
            throw Refusal::at($place, "{$revising->first()->number} is revising this and names another person to edit.");
        }
        $held = ChangeOrder::query()
            ->whereIn('state', OrderState::locked())
            ->whereHas('items', static fn(Builder $rows): Builder => $rows->whereIn('item_id', $items))
            ->orderBy('id')
            ->value('number');
        if (is_string($held)) {
            throw Refusal::at($place, "This is locked under {$held}, which is in review or signed.");
        }
    }

    /** @return Collection<int, ChangeOrder> open orders that give the item a new revision */
    private function revising(Item $item): Collection
    {
        return ChangeOrder::query()
            ->whereHas('items', static fn($rows) => $rows->where('item_id', $item->id)->where('outcome', Outcome::Revise->value))
            ->whereIn('state', OrderState::open())
            ->orderBy('id')
            ->get();
    }
}
