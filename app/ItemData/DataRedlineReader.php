<?php

declare(strict_types=1);

namespace App\ItemData;

use App\ItemData\Data\DataRedline;
use App\ItemData\Data\FieldRow;
use App\Orders\IterationRows;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Orders\Models\WorkRecord;
use App\Orders\OrderPolicy;
use App\Orders\OrderReader;
use App\Orders\OrderView;
use App\People\Models\Person;
use App\Structures\Data\ItemRow;
use Illuminate\Support\Collection;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\ItemData\DataField;
use Orthotaxis\Core\ItemData\ItemData;

/** What is known of items under an order: what was and what will be. */
final readonly class DataRedlineReader
{
    public function __construct(private OrderReader $orders, private ItemDataContents $contents, private IterationRows $iterations) {}

    public function one(Person $by, string $number, string $item): DataRedline
    {
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();
        $core = $this->orders->toCore($order);
        OrderView::load($order);
        $row = $order->items->firstOrFail(static fn(OrderItem $row): bool => $row->item->number === $item);

        return $this->redline($by, $order, $core, $row);
    }

    /** @return list<DataRedline> of the items of which anything is changed */
    public function changed(Person $by, string $number): array
    {
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();
        $core = $this->orders->toCore($order);
        OrderView::load($order);

        return array_values(
            $order->items
                ->filter(static fn(OrderItem $row): bool => self::work($core, $row) !== null)
                ->map(fn(OrderItem $row): DataRedline => $this->redline($by, $order, $core, $row))
                ->filter(static fn(DataRedline $one): bool => $one->becomes !== null)
                ->all(),
        );
    }

    private function redline(Person $by, ChangeOrder $order, Order $core, OrderItem $row): DataRedline
    {
        $work = self::work($core, $row);
        $record = $row->works->firstWhere('kind', ItemDataContents::NAME);
        $before = $work === null ? $this->before($row, $record) : ItemDataContents::data($work->before);
        $after = $work === null ? $before : ItemDataContents::data($work->after);
        $record?->loadMissing('iterations.person');
        $edits = $record->edits ?? new Collection();

        return new DataRedline(
            order: $order->number,
            order_title: $order->title,
            state: $order->state->value,
            is_open: $order->state->isAhead(),
            item: ItemRow::of($row->item),
            currency: config()->string('orthotaxis.currency'),
            effective_on: $order->effective_on,
            base: $work?->base->revision,
            becomes: $work === null || count($work->changes()) === 0 ? null : $work->base->becomes(),
            moved_on: $order->state->isAhead() &&
                $record !== null &&
                $work !== null &&
                $record->holding()->isNotEmpty() &&
                $work->base->hasMovedOn(),
            may_edit: OrderPolicy::mayEdit($by, $order, new Subject(Subject::ITEM_DATA, $row->item->number)),
            seen: (int) $edits->max('number'),
            can_undo: $edits->whereNull('withdrawn_at')->isNotEmpty(),
            can_redo: $edits->whereNotNull('withdrawn_at')->whereNull('discarded_at')->isNotEmpty(),
            rows: array_map(
                static fn(DataField $field): FieldRow => FieldRow::of($row->item, $field, $before, $after),
                FieldsOfItem::all($row->item, $before, $after),
            ),
            faults: [...$after->faults(), ...$work === null ? [] : array_map(ucfirst(...), $work->missing)],
            working: $this->iterations->working($record),
            iterations: $this->iterations->of($record),
        );
    }

    private static function work(Order $core, OrderItem $row): ?Work
    {
        foreach ($core->item($row->item->number)->works as $work) {
            if ($work->subject->kind === ItemDataContents::NAME) {
                return $work;
            }
        }

        return null;
    }

    /** Where the order changes nothing of it: what the work was begun on, or what holds today. */
    private function before(OrderItem $row, ?WorkRecord $record): ItemData
    {
        $begun = $record?->base_id === null ? null : $this->contents->read([$record->base_id])[$record->base_id] ?? null;

        return $begun ?? FieldsOfItem::today($row->item);
    }
}
