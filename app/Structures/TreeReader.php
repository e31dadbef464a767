<?php

declare(strict_types=1);

namespace App\Structures;

use App\Structures\Data\LineRow;
use App\Structures\Data\RevisionRow;
use App\Structures\Data\TreePage;
use App\Structures\Data\TreeRow;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use App\Structures\Models\Revision;
use Orthotaxis\Core\Adjacency\Span;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Structure;
use Orthotaxis\Core\Structure\StructureKind;
use Orthotaxis\Core\Structure\Tree;
use Orthotaxis\Core\Structure\TreeRow as CoreRow;

/** Reads a structure as a tree, some levels at once. */
final readonly class TreeReader
{
    /** Rows given at once. What has more is opened branch by branch, or read summed up. */
    public const AT_MOST = 5_000;

    public const DEEPEST = 30;

    public function __construct(private StructureReader $structures) {}

    /**
     * @param  bool  $anyTime  every line of the revisions of that day, whenever it holds
     * @param  ?PlannedStructures  $planned  given, open orders are laid over what is released
     */
    public function read(Item $item, StructureKind $kind, Day $day, bool $anyTime, int $levels, Quantity $times, ?string $revision = null, ?PlannedStructures $planned = null): TreePage
    {
        $index = StructureIndex::open($kind);
        $revisions = Revision::query()->with(['order', 'releasedBy'])->where('item_id', $item->id);
        $top = $revision === null ? $revisions->tap(Revision::effectiveOn($day))->first() : $revisions->where('code', $revision)->firstOrFail();
        $structures = [$item->number => $this->top($top?->id, $kind, $day, $anyTime)];
        $structures = $planned?->over($structures, $day) ?? $structures;
        $components = [];
        $open = $structures[$item->number]->components();
        for ($level = 1; $open !== []; $level++) {
            $found = Item::query()->whereIn('number', $open)->get()->keyBy('number');
            $components += $found->all();
            if ($level >= $levels || count($components) > self::AT_MOST) {
                break;
            }
            $opening = $found->filter(fn (Item $one): bool => ! isset($structures[$one->number]) && self::opens($index, $one->id, $day));
            $open = [];
            $below = $this->below($opening->all(), $kind, $day, $anyTime);
            foreach ($planned?->over($below, $day) ?? $below as $number => $structure) {
                $structures[$number] = $structure;
                $open = [...$open, ...array_diff($structure->components(), array_map(strval(...), array_keys($components)), $open)];
            }
        }

        $rows = $numbers = [];
        $more = false;
        foreach (Tree::rows($item->number, $structures, array_map(static fn (Item $one): Unit => $one->unit, $components), $levels, $times) as $row) {
            if (count($rows) === self::AT_MOST) {
                $more = true;
                break;
            }
            $rows[] = $row;
            $numbers[$row->line->component] = true;
        }
        $shown = ItemRows::byNumber(array_map(strval(...), array_keys($numbers)));
        $opens = array_map(static fn (Item $one): bool => self::opens($index, $one->id, $day), array_intersect_key($components, $numbers));

        return new TreePage(
            $item->number, $kind->value, (string) $day, $anyTime, $top === null ? null : RevisionRow::of($top), $levels, $more,
            array_map(static fn (CoreRow $row): TreeRow => new TreeRow(
                implode('/', $row->path), $row->level(), LineRow::of($row->line), $shown[$row->line->component], $opens[$row->line->component],
                (string) $row->extended, (string) $row->line->unit->convert($row->extended, $components[$row->line->component]->unit),
                $row->line->validity->holdsOn($day), $planned?->marks[$row->parent][$row->line->key]->value ?? null,
                isset($planned->marks[$row->parent][$row->line->key]) ? $planned->orders[$row->parent] : null,
            ), $rows),
        );
    }

    private function top(?int $revision, StructureKind $kind, Day $day, bool $anyTime): Structure
    {
        $structure = $this->structures->ofRevision($revision, $kind);

        return $anyTime ? $structure : $structure->on($day);
    }

    /**
     * @param  array<array-key, Item>  $items
     * @return array<string, Structure> by item number
     */
    private function below(array $items, StructureKind $kind, Day $day, bool $anyTime): array
    {
        $revisions = Revision::query()->tap(Revision::effectiveOn($day))->whereIn('item_id', array_map(static fn (Item $item): int => $item->id, $items))->pluck('item_id', 'id');
        $numbers = [];
        foreach ($items as $item) {
            $numbers[$item->id] = $item->number;
        }
        $structures = [];
        foreach ($this->structures->ofRevisions(array_values($revisions->keys()->all()), $kind) as $revision => $structure) {
            $structures[$numbers[$revisions[$revision]]] = $anyTime ? $structure : $structure->on($day);
        }

        return $structures;
    }

    /** Whether the item is made of something on that day. */
    private static function opens(StructureIndex $index, int $item, Day $day): bool
    {
        $list = $index->adjacency->downOf($index->positions->of($item));
        for ($i = 4, $n = count($list), $number = $day->number(); $i < $n; $i += 3) {
            if (Span::holdsOn($list[$i], $number)) {
                return true;
            }
        }

        return false;
    }
}
