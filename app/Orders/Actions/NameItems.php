<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\Events\OrderItemsNamed;
use App\Orders\Events\OrderItemsTakenOff;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Orders\Models\WorkRecord;
use App\People\Models\Person;
use App\Structures\MistypedNumbers;
use App\Structures\Models\Item;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Refusal;

/** Names many items on an order at once, says what becomes of them, or takes them off again: all of it or nothing. */
final readonly class NameItems
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  list<string>  $numbers
     * @param  ?Outcome  $outcome  null: what each has; a new revision where the order does not name it yet
     * @param  ?Disposition  $disposition  null: what each has
     *
     * @throws Refusal at every item that cannot be so, by its place in the list
     */
    public function put(Person $by, string $number, array $numbers, ?Outcome $outcome, ?Disposition $disposition, int $version): void
    {
        $this->ledger->together(function () use ($by, $number, $numbers, $outcome, $disposition, $version): void {
            $order = self::open($number, $version);
            $items = Item::query()
                ->with(['released', 'everReleased'])
                ->whereIn('number', $numbers)
                ->get()
                ->keyBy('number');
            $rows = self::rows($order, $items);
            $refused = [];
            foreach ($numbers as $at => $one) {
                $item = $items[$one] ?? null;
                $row = $item === null ? null : $rows[$item->id] ?? null;
                $fault = $item === null ? (new MistypedNumbers())->noSuchItem($one) : self::fault($item, $row, $outcome);
                if ($fault !== null) {
                    $refused["items.{$at}"] = $fault;
                }
            }
            if ($refused !== []) {
                throw Refusal::because($refused);
            }
            $this->write($order, $items, $rows, $outcome, $disposition);
            $order->update(['version' => $version + 1]);
            event(new OrderItemsNamed($by->login, $number, array_values(array_unique($numbers)), $outcome, $disposition));
        });
    }

    /**
     * @param  list<string>  $numbers
     *
     * @throws Refusal at every item that is not on the order, or has been edited under it
     */
    public function takeOff(Person $by, string $number, array $numbers, int $version): void
    {
        $this->ledger->together(function () use ($by, $number, $numbers, $version): void {
            $order = self::open($number, $version);
            $items = Item::query()->whereIn('number', $numbers)->get()->keyBy('number');
            $rows = self::rows($order, $items);
            $refused = [];
            foreach ($numbers as $at => $one) {
                $row = isset($items[$one]) ? $rows[$items[$one]->id] ?? null : null;
                if ($row === null) {
                    $refused["items.{$at}"] = "{$one} is not on this order.";
                } elseif (self::isEdited($row, Outcome::Keep)) {
                    $refused["items.{$at}"] = "{$one} has been edited under this order. Undo its edits first.";
                }
            }
            if ($refused !== []) {
                throw Refusal::because($refused);
            }
            $order->followUps()->whereIn('item_id', $rows->keys())->delete();
            OrderItem::query()->whereIn('id', $rows->pluck('id'))->delete();
            $order->update(['version' => $version + 1]);
            event(new OrderItemsTakenOff($by->login, $number, array_values(array_unique($numbers))));
        });
    }

    /** @return ?string why it cannot be so */
    private static function fault(Item $item, ?OrderItem $row, ?Outcome $outcome): ?string
    {
        $will = $outcome ?? ($row->outcome ?? Outcome::Revise);

        return match (true) {
            $will === Outcome::Revise && $item->released === null && $item->everReleased->isNotEmpty()
                => "{$item->number} is retired: it gets no new revision.",
            $row !== null && self::isEdited($row, $will) => "{$item->number} has been edited under this order. Undo its edits first.",
            default => null,
        };
    }

    private static function isEdited(OrderItem $row, Outcome $outcome): bool
    {
        return $row->works->contains(
            static fn(WorkRecord $work): bool => !$outcome->mayChange($work->kind) && $work->holding()->isNotEmpty(),
        );
    }

    /**
     * @param  Collection<string, Item>  $items
     * @param  Collection<int, OrderItem>  $rows  by item
     */
    private function write(ChangeOrder $order, Collection $items, Collection $rows, ?Outcome $outcome, ?Disposition $disposition): void
    {
        $set = array_filter(['outcome' => $outcome, 'disposition' => $disposition], static fn($value): bool => $value !== null);
        if ($set !== []) {
            OrderItem::query()->whereIn('id', $rows->pluck('id'))->update($set);
        }
        $new = $items->reject(static fn(Item $item): bool => isset($rows[$item->id]));
        OrderItem::query()->insert(
            $new
                ->map(
                    static fn(Item $item): array => [
                        'order_id' => $order->id,
                        'item_id' => $item->id,
                        'outcome' => ($outcome ?? Outcome::Revise)->value,
                        'disposition' => $disposition?->value,
                    ],
                )
                ->values()
                ->all(),
        );
        $all = self::rows($order, $items);
        $ends = $all->reject(static fn(OrderItem $row): bool => $row->outcome === Outcome::Revise);
        $ofEngineering = WorkRecord::query()->where('kind', Subject::ENGINEERING);
        $ofEngineering
            ->clone()
            ->whereIn('order_item_id', $ends->pluck('id'))
            ->update(['base_id' => null]);
        if (!$order->state->allowsEdits()) {
            return;
        }
        $begun = $ofEngineering->whereIn('order_item_id', $all->pluck('id'))->get()->keyBy('order_item_id');
        $byId = $items->keyBy('id');
        foreach ($all->diff($ends) as $row) {
            $base = $byId[$row->item_id]->workBase()?->id;
            if (!isset($begun[$row->id])) {
                $works[] = ['order_item_id' => $row->id, 'kind' => Subject::ENGINEERING, 'plant' => '', 'base_id' => $base];
            } elseif ($begun[$row->id]->base_id === null) {
                $begun[$row->id]->update(['base_id' => $base]);
            }
        }
        WorkRecord::query()->insert($works ?? []);
    }

    /**
     * @param  Collection<string, Item>  $items
     * @return Collection<int, OrderItem> by item
     */
    private static function rows(ChangeOrder $order, Collection $items): Collection
    {
        return $order->items()->with('works.edits')->whereIn('item_id', $items->pluck('id'))->get()->keyBy('item_id');
    }

    private static function open(string $number, int $version): ChangeOrder
    {
        $order = ChangeOrder::hold($number);
        $order->mustBeAt($version);
        PlanOrder::mustBeOpen($order);

        return $order;
    }
}
