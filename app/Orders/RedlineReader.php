<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Data\IterationRow;
use App\Orders\Data\Redline;
use App\Orders\Data\RedlineRow;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\EditRecord;
use App\Orders\Models\Iteration;
use App\Orders\Models\OrderItem;
use App\People\Models\Person;
use App\Structures\Data\ItemRow;
use App\Structures\Data\LineRow;
use App\Structures\Models\Item;
use Illuminate\Support\Collection;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderItem as CoreOrderItem;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Comparison\Difference;
use Orthotaxis\Core\Structure\LineField;

/** Sets what was and what will be side by side, line by line. */
final readonly class RedlineReader
{
    public function __construct(private OrderReader $orders) {}

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
                            static fn(CoreOrderItem $item): array => [...$item->before->components(), ...$item->after->components()],
                            $core->items,
                        ),
                    ),
                ),
            )
            ->get()
            ->keyBy('number');
        $order->items->load('iterations.person');
        $data = collect(OrderView::items($order, $core))->keyBy(static fn($row): string => $row->item->number);
        $mayEdit = $order->state === OrderState::Revising && OrderPolicy::refusal(OrderAct::Revise, $by, $order) === null;

        return $order->items
            ->where('outcome', Outcome::Revise)
            ->map(static function (OrderItem $row) use ($order, $core, $components, $data, $mayEdit): Redline {
                $item = collect($core->items)->firstOrFail('number', $row->item->number);
                $shown = $data[$row->item->number];
                // The last edit of each line: later ones take the place of earlier ones.
                $last = $row->edits->whereNull('withdrawn_at')->keyBy('line_key');

                return new Redline(
                    $order->number,
                    $order->title,
                    $order->state->value,
                    $order->state->isOpen(),
                    $shown->item,
                    $shown->base,
                    $shown->becomes,
                    $shown->moved_on,
                    $mayEdit,
                    (int) $row->edits->max('number'),
                    $row->edits->contains(static fn(EditRecord $edit): bool => $edit->withdrawn_at === null),
                    $row->edits->contains(
                        static fn(EditRecord $edit): bool => $edit->withdrawn_at !== null && $edit->discarded_at === null,
                    ),
                    array_map(
                        static fn(Difference $difference): RedlineRow => self::row($difference, $components, $last),
                        $item->comparison()->differences,
                    ),
                    $item->sequence->working($item->baseRevision, count($row->iterations) + 1),
                    $row->iterations
                        ->map(
                            static fn(Iteration $one): IterationRow => new IterationRow(
                                $one->number,
                                $item->sequence->working($item->baseRevision, $one->number),
                                $one->note,
                                $one->person->name,
                                $one->saved_at->toIso8601String(),
                                count($one->edits),
                            ),
                        )
                        ->values()
                        ->all(),
                );
            })
            ->values()
            ->all();
    }

    /**
     * @param  Collection<array-key, Item>  $components by number
     * @param  Collection<array-key, EditRecord>  $edits the last of each line, by its key
     */
    private static function row(Difference $difference, Collection $components, Collection $edits): RedlineRow
    {
        $before = $difference->before;
        $after = $difference->after;
        $key = $before->key ?? ($after->key ?? '');
        $last = $edits[$key] ?? null;

        return new RedlineRow(
            $key,
            $difference->kind->value,
            $before === null ? null : LineRow::of($before),
            $after === null ? null : LineRow::of($after),
            array_map(static fn(LineField $field): string => $field->value, $difference->fields),
            $before === null ? null : ItemRow::of($components[$before->component]),
            $after === null ? null : ItemRow::of($components[$after->component]),
            $last?->author->name,
            $last?->made_at->toIso8601String(),
        );
    }
}
