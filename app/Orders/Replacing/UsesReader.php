<?php

declare(strict_types=1);

namespace App\Orders\Replacing;

use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Orders\Models\WorkRecord;
use App\Orders\Subjects\NamedWork;
use App\Orders\WorkContents;
use App\Structures\Models\Item;
use App\Structures\StructureReader;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Revision\RevisionStatus;
use Orthotaxis\Core\Structure\HasLines;
use Orthotaxis\Core\Structure\Structure;

/** Finds all that has a component in what was released last of it, or in what an order makes of it: what a replacement would edit. */
final readonly class UsesReader
{
    private const RELEASED = "
        SELECT DISTINCT c.id, c.kind, c.plant, i.id AS item, i.number
        FROM structure_lines l JOIN contents c ON c.id = l.content_id JOIN items i ON i.id = c.item_id
        WHERE l.component_id = ? AND c.status = 'released' AND c.kind IN ('engineering', 'manufacturing')
        ORDER BY c.kind, c.plant, i.number";

    public function __construct(private StructureReader $structures, private WorkContents $works) {}

    /**
     * @param  list<Item>  $coming  what comes in its place: lines that have it are read too
     * @return list<UsedIn> engineering first, then plant by plant; by number
     */
    public function of(ChangeOrder $order, Item $component, array $coming): array
    {
        $own = $this->own($order);
        $released = [];
        foreach (DB::select(self::RELEASED, [$component->id]) as $row) {
            $named = new NamedWork($order->number, $row->number, $row->kind, $row->plant);
            if (!isset($own[$named->subject()])) {
                $released[$row->id] = [$named, $row->item];
            }
        }
        // Of thousands of parents only what the replacement looks at; all of it where further lines need free find numbers.
        $looked = array_map(static fn(Item $item): int => $item->id, [$component, ...$coming]);
        $structures =
            count($coming) > 1
                ? $this->structures->ofContents(array_keys($released))
                : $this->structures->ofComponents(array_keys($released), $looked);
        $uses = array_filter(
            array_values($own),
            static fn(UsedIn $use): bool => in_array($component->number, $use->lines->components(), true),
        );
        foreach ($released as $content => [$named, $item]) {
            $uses[] = new UsedIn($named, $item, $structures[$content] ?? new Structure());
        }
        usort(
            $uses,
            static fn(UsedIn $a, UsedIn $b): int => [$a->subject->kind, $a->subject->plant, $a->subject->item] <=> [
                $b->subject->kind,
                $b->subject->plant,
                $b->subject->item,
            ],
        );

        return $uses;
    }

    /**
     * What the order has edited already, or what was never released.
     *
     * @return array<string, UsedIn> by subject
     */
    private function own(ChangeOrder $order): array
    {
        $order->loadMissing(['items.item', 'items.works.edits', 'items.works.base']);
        $works = $order->items
            ->toBase()
            ->flatMap(
                static fn(OrderItem $row): Collection => $row->works
                    ->each(static fn(WorkRecord $work) => $work->setRelation('row', $row))
                    ->filter(static fn(WorkRecord $work): bool => $row->outcome->mayChange($work->kind))
                    ->toBase(),
            )
            ->filter(
                static fn(WorkRecord $work): bool => $work->kind !== Subject::ITEM_DATA &&
                    ($work->holding()->isNotEmpty() || $work->base?->status !== RevisionStatus::Released),
            );
        $after = $this->works->afterAll($works->values()->all());
        $own = [];
        foreach ($works as $work) {
            $content = $after[$work->id];
            $named = new NamedWork($order->number, $work->row->item->number, $work->kind, $work->plant);
            $own[$named->subject()] = new UsedIn(
                $named,
                $work->row->item_id,
                $content instanceof HasLines ? $content->lines() : new Structure(),
            );
        }

        return $own;
    }
}
