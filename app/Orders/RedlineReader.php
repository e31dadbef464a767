<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Data\Redline;
use App\Orders\Data\RedlineRow;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\EditRecord;
use App\Orders\Models\OrderItem;
use App\People\Models\Person;
use App\Structures\Data\ItemRow;
use App\Structures\Models\Item;
use Illuminate\Support\Collection;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderItem as CoreOrderItem;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Comparison\Difference;
use Orthotaxis\Core\Content\Subject;

/** Sets what was and what will be side by side, line by line. */
final readonly class RedlineReader
{
    public function __construct(private OrderReader $orders, private IterationRows $iterations) {}

    public function one(Person $by, string $order, string $item): Redline
    {
        $found = ChangeOrder::query()->where('number', $order)->firstOrFail();

        return collect($this->all($by, $found, $this->orders->toCore($found)))->firstOrFail(
            static fn(Redline $redline): bool => $redline->item->number === $item,
        );
    }

    /** @return list<Redline> of every item that gets a new revision */
    public function all(Person $by, ChangeOrder $order, Order $core): array
    {
        $components = Item::rows()
            ->whereIn(
                'number',
                array_unique(
                    array_merge(
                        ...array_map(
                            static fn(CoreOrderItem $item): array => [...$item->before()->components(), ...$item->after()->components()],
                            $core->items,
                        ),
                    ),
                ),
            )
            ->get()
            ->keyBy('number')
            ->map(ItemRow::of(...))
            ->all();
        $order->items->loadMissing(['works.iterations.person', 'works.edits.author', 'works.edits.task']);
        $data = collect(OrderView::items($order, $core))->keyBy(static fn($row): string => $row->item->number);

        return $order->items
            ->where('outcome', Outcome::Revise)
            ->map(function (OrderItem $row) use ($order, $core, $components, $data, $by): Redline {
                $item = collect($core->items)->firstOrFail('number', $row->item->number);
                $shown = $data[$row->item->number];
                // The last edit of each line: later ones take the place of earlier ones.
                $work = $row->engineering();
                $edits = $work->edits ?? new Collection();
                $last = $edits->whereNull('withdrawn_at')->keyBy('part');

                return new Redline(
                    order: $order->number,
                    order_title: $order->title,
                    state: $order->state->value,
                    is_open: $order->state->isAhead(),
                    item: $shown->item,
                    base: $shown->base,
                    becomes: $shown->becomes,
                    moved_on: $shown->moved_on,
                    may_edit: OrderPolicy::mayEdit($by, $order, new Subject(Subject::ENGINEERING, $row->item->number)),
                    seen: (int) $edits->max('number'),
                    can_undo: $edits->contains(static fn(EditRecord $edit): bool => $edit->withdrawn_at === null),
                    can_redo: $edits->contains(
                        static fn(EditRecord $edit): bool => $edit->withdrawn_at !== null && $edit->discarded_at === null,
                    ),
                    rows: array_map(
                        static fn(Difference $difference): RedlineRow => RedlineRow::of($difference, $components, $last->all()),
                        $item->comparison()->differences,
                    ),
                    working: $this->iterations->working($work) ?? $item->base->sequence->working($item->base->revision, 1),
                    iterations: $this->iterations->of($work),
                );
            })
            ->values()
            ->all();
    }
}
