<?php

declare(strict_types=1);

namespace App\Orders\Strokes;

use App\Orders\Events\OrderItemsNamed;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Orders\Models\WorkRecord;
use App\Orders\Subjects\NamedWork;
use App\People\Models\Person;
use App\Structures\Models\Content;
use App\Structures\Models\Item;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Revision\RevisionStatus;

/** Many subjects of one order, held for an act that is done to all of them; what the order does not name yet is named on it. */
final readonly class HeldSubjects
{
    /**
     * @param  ChangeOrder  $order  held
     * @param  list<NamedWork>  $named
     * @param  bool  $mayName  whether the person may name further items, and let more of them change
     * @return array<string, WorkRecord> by subject, with edits, base, item and order
     *
     * @throws Refusal at every item that cannot be changed so
     */
    public static function of(Person $by, ChangeOrder $order, array $named, bool $mayName): array
    {
        /** @var array<string, Outcome> $needed by item number */
        $needed = [];
        foreach ($named as $one) {
            $least = $one->kind === Subject::ENGINEERING ? Outcome::Revise : Outcome::Build;
            $needed[$one->item] = ($needed[$one->item] ?? $least) === Outcome::Revise ? Outcome::Revise : $least;
        }
        $items = Item::query()
            ->with(['released', 'everReleased'])
            ->whereIn('number', array_keys($needed))
            ->get()
            ->keyBy('number');
        $rows = self::rows($order, $items);
        $refused = $naming = [];
        foreach ($needed as $number => $outcome) {
            $item = $items[$number] ?? null;
            $row = $item === null ? null : $rows[$item->id] ?? null;
            $fault = match (true) {
                $item === null => "There is no item {$number}.",
                $row !== null && self::allows($row, $outcome) => null,
                !$mayName => $row === null
                    ? "{$number} is not on {$order->number}: whoever plans the order adds it."
                    : "{$number} stays as it is under {$order->number}: whoever plans the order decides otherwise.",
                $item->released === null && $item->everReleased->isNotEmpty() => "{$number} is retired: it gets no new revision.",
                default => null,
            };
            if ($fault !== null) {
                $refused["items.{$number}"] = $fault;
            } elseif ($item !== null && ($row === null || !self::allows($row, $outcome))) {
                $naming[$outcome->value][] = $item;
            }
        }
        if ($refused !== []) {
            throw Refusal::because($refused);
        }
        foreach ($naming as $outcome => $some) {
            self::name($by, $order, $some, Outcome::from($outcome), $rows);
        }

        return self::works($order, $named, $items, $naming === [] ? $rows : self::rows($order, $items));
    }

    private static function allows(OrderItem $row, Outcome $outcome): bool
    {
        return $row->outcome->mayChange($outcome === Outcome::Revise ? Subject::ENGINEERING : Subject::MANUFACTURING);
    }

    /**
     * @param  Collection<string, Item>  $items
     * @return Collection<int, OrderItem> by item id
     */
    private static function rows(ChangeOrder $order, Collection $items): Collection
    {
        return $order
            ->items()
            ->whereIn('item_id', $items->pluck('id')->all())
            ->get()
            ->keyBy('item_id');
    }

    /**
     * @param  non-empty-list<Item>  $items
     * @param  Collection<int, OrderItem>  $rows
     */
    private static function name(Person $by, ChangeOrder $order, array $items, Outcome $outcome, Collection $rows): void
    {
        $there = array_filter($items, static fn(Item $item): bool => isset($rows[$item->id]));
        OrderItem::query()
            ->where('order_id', $order->id)
            ->whereIn('item_id', array_map(static fn(Item $item): int => $item->id, $there))
            ->update(['outcome' => $outcome]);
        $new = array_filter($items, static fn(Item $item): bool => !isset($rows[$item->id]));
        foreach (array_chunk($new, 1_000) as $some) {
            OrderItem::query()->insert(
                array_map(
                    static fn(Item $item): array => ['order_id' => $order->id, 'item_id' => $item->id, 'outcome' => $outcome->value],
                    $some,
                ),
            );
        }
        $order->update(['version' => $order->version + 1]);
        event(new OrderItemsNamed($by->login, $order->number, array_map(static fn(Item $item): string => $item->number, $items), $outcome));
    }

    /**
     * @param  list<NamedWork>  $named
     * @param  Collection<string, Item>  $items
     * @param  Collection<int, OrderItem>  $rows  by item id
     * @return array<string, WorkRecord> by subject
     */
    private static function works(ChangeOrder $order, array $named, Collection $items, Collection $rows): array
    {
        $released = Content::query()
            ->where('status', RevisionStatus::Released)
            ->whereIn('item_id', $items->pluck('id')->all())
            ->get(['id', 'item_id', 'kind', 'plant'])
            ->keyBy(static fn(Content $content): string => "{$content->item_id} {$content->kind} {$content->plant}");
        $wanted = [];
        foreach ($named as $one) {
            $item = $items[$one->item];
            $base = $released["{$item->id} {$one->kind} {$one->plant}"]->id ?? null;
            // What was never released starts from what somebody has put down of it so far.
            $base ??= $one->kind === Subject::ENGINEERING ? $item->workBase()?->id : null;
            $wanted["{$rows[$item->id]->id} {$one->kind} {$one->plant}"] = [
                'order_item_id' => $rows[$item->id]->id,
                'kind' => $one->kind,
                'plant' => $one->plant,
                'base_id' => $base,
            ];
        }
        $key = static fn(WorkRecord $work): string => "{$work->order_item_id} {$work->kind} {$work->plant}";
        $there = self::ofRows($rows)->keyBy($key);
        foreach (array_chunk(array_values(array_diff_key($wanted, $there->all())), 1_000) as $some) {
            WorkRecord::query()->insert($some);
        }
        $byId = $items->keyBy('id');
        foreach ($rows as $row) {
            $row->setRelation('order', $order)->setRelation('item', $byId[$row->item_id]);
        }
        $named = $rows->keyBy('id');
        $works = [];
        foreach (self::ofRows($rows)->load(['edits.author', 'base']) as $work) {
            $asked = $wanted[$key($work)] ?? null;
            if ($asked === null) {
                continue;
            }
            $work->setRelation('row', $named[$work->order_item_id]);
            // Nothing was done to it yet: it starts from what is released now.
            if ($asked['base_id'] !== $work->base_id && $work->holding()->isEmpty()) {
                $work->update(['base_id' => $asked['base_id']]);
                $work->load('base');
            }
            $works[(string) $work->subject()] = $work;
        }

        return $works;
    }

    /**
     * @param  Collection<int, OrderItem>  $rows
     * @return Collection<int, WorkRecord>
     */
    private static function ofRows(Collection $rows): Collection
    {
        return WorkRecord::query()
            ->whereIn('order_item_id', $rows->pluck('id')->all())
            ->orderBy('id')
            ->get();
    }
}
