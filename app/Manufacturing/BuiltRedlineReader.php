<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Manufacturing\Data\BuiltRedline;
use App\Manufacturing\Data\OperationRow;
use App\Manufacturing\Data\UnitCostData;
use App\Manufacturing\Data\WorkCentreRow;
use App\Manufacturing\Models\WorkCentre;
use App\Orders\Data\RedlineRow;
use App\Orders\IterationRows;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\EditRecord;
use App\Orders\Models\OrderItem;
use App\Orders\Models\WorkRecord;
use App\Orders\OrderPolicy;
use App\Orders\OrderReader;
use App\People\Models\Person;
use App\Structures\ItemRows;
use App\Structures\Models\Content;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Comparison\Difference;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Manufacturing\ManufacturingChanges;
use Orthotaxis\Core\Manufacturing\ManufacturingContent;

/** What a plant builds of an item under an order: what was and what will be, line by line and operation by operation. */
final readonly class BuiltRedlineReader
{
    public function __construct(
        private OrderReader $orders,
        private BuildsOfOrder $ordered,
        private PlantStructures $plants,
        private UnitCosts $costs,
        private ManufacturingContents $contents,
        private IterationRows $iterations,
    ) {}

    public function one(Person $by, string $number, string $item, string $plant): BuiltRedline
    {
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();
        $core = $this->orders->toCore($order);
        $row = $order->items->firstOrFail(static fn(OrderItem $row): bool => $row->item->number === $item);
        $all = $this->ordered->of($order, $core, $plant);
        $built = collect($all)->firstOrFail(static fn(BuiltAt $one): bool => $one->item->number === $item && $one->plant === $plant);
        $work = collect($core->item($item)->works)->first(
            static fn(Work $work): bool => (string) $work->subject === (string) new Subject(ManufacturingContents::NAME, $item, $plant),
        );
        $record = $row->works->first(
            static fn(WorkRecord $work): bool => $work->kind === ManufacturingContents::NAME && $work->plant === $plant,
        );
        [$before, $after] = [self::content($work?->before, $built), self::content($work?->after, $built)];
        $changes = $after->since($before);
        $record?->loadMissing(['iterations.person', 'edits.author', 'edits.task']);
        $edits = $record->edits ?? new Collection();
        $centres = WorkCentre::query()->where('plant', $plant)->orderBy('code')->get();
        $day = BuildsOfOrder::day($order);
        [$costBefore, $cost] = $this->costs->of($plant, $day, [$before->on($day), $after->on($day)]);

        return new BuiltRedline(
            order: $order->number,
            order_title: $order->title,
            state: $order->state->value,
            is_open: $order->state->isAhead(),
            item: ItemRows::byNumber([$item])[$item],
            plant: $plant,
            // Once released, the order's own revision is the one in force.
            base: $work === null ? $built->released?->code : $work->base->revision,
            becomes: $changes->count() === 0 ? null : $work?->base->becomes(),
            moved_on: $order->state->isAhead() &&
                $record !== null &&
                $work !== null &&
                $record->holding()->isNotEmpty() &&
                $work->base->hasMovedOn(),
            may_edit: OrderPolicy::mayEdit($by, $order, new Subject(Subject::MANUFACTURING, $item, $plant)),
            seen: (int) $edits->max('number'),
            can_undo: $edits->whereNull('withdrawn_at')->isNotEmpty(),
            can_redo: $edits->whereNotNull('withdrawn_at')->whereNull('discarded_at')->isNotEmpty(),
            rows: self::lines($changes, $edits->whereNull('withdrawn_at')->keyBy('part')->all()),
            operations: array_map(OperationRow::of(...), $changes->routing->operations),
            batch_before: (string) $before->routing->batch,
            batch: (string) $after->routing->batch,
            cost_before: UnitCostData::of(...$costBefore),
            cost: UnitCostData::of(...$cost),
            difference: (string) UnitCostData::total(...$cost)->minus(UnitCostData::total(...$costBefore)),
            work_centres: array_values($centres->map(WorkCentreRow::of(...))->all()),
            faults: $after->faults(),
            open: count($this->plants->account([$built], BuildsOfOrder::day($order), $all)[0]->open()),
            working: $this->iterations->working($record),
            iterations: $this->iterations->of($record),
        );
    }

    /** As the order makes it. */
    public function after(string $number, string $item, string $plant): ManufacturingContent
    {
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();
        foreach ($this->orders->toCore($order)->item($item)->works as $work) {
            if ((string) $work->subject === (string) new Subject(ManufacturingContents::NAME, $item, $plant)) {
                return ManufacturingContents::built($work->after);
            }
        }
        $released = Content::query()
            ->where(['kind' => ManufacturingContents::NAME, 'plant' => $plant, 'status' => 'released'])
            ->whereRelation('item', 'number', $item)
            ->first();

        return $released === null ? new ManufacturingContent() : $this->contents->read([$released->id])[$released->id];
    }

    private static function content(mixed $content, BuiltAt $built): ManufacturingContent
    {
        return $content instanceof ManufacturingContent ? $content : $built->content;
    }

    /**
     * @param  array<EditRecord>  $edits  the last of each part
     * @return list<RedlineRow>
     */
    private static function lines(ManufacturingChanges $changes, array $edits): array
    {
        $numbers = [];
        foreach ($changes->lines->differences as $difference) {
            array_push($numbers, ...array_filter([$difference->before?->component, $difference->after?->component]));
        }
        $items = ItemRows::byNumber(array_values(array_unique($numbers)));

        return array_map(
            static fn(Difference $difference): RedlineRow => RedlineRow::of($difference, $items, $edits),
            $changes->lines->differences,
        );
    }
}
