<?php

declare(strict_types=1);

namespace App\Structures;

use App\Structures\Data\UsedInPage;
use App\Structures\Data\UsedInRow;
use App\Structures\Index\KeptAnswer;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use Orthotaxis\Core\Adjacency\Span;
use Orthotaxis\Core\Adjacency\WhereUsed;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Quantity\Quantity;

/** Where an item is used, level by level up to what is sold. */
final readonly class WhereUsedReader
{
    /** Rows given at once; the totals count all of them. */
    public const AT_MOST = 100;

    /** Parents of one item given at once. */
    private const DIRECT = 1_000;

    public function page(Item $item, Day $day, StructureView $view, bool $topsOnly, int $from): UsedInPage
    {
        $index = StructureIndex::open($view);
        $kept = $index->keptWhereUsed($item->id, $day);
        if ($kept !== null) {
            return new UsedInPage(
                $kept->total,
                $kept->tops,
                $from,
                self::keptRows($index, $item, $day, $kept, $kept->page($topsOnly, $from, self::AT_MOST)),
            );
        }
        $used = $index->whereUsed($item->id, $day);
        $index->keep($item->id, $day, $used);
        $tops = $used->tops();
        $shown = array_slice($topsOnly ? $tops : $used->parents, $from, self::AT_MOST);

        return new UsedInPage(count($used->parents), count($tops), $from, self::rows($index, [[$item, $used, $shown]])[$item->number]);
    }

    /**
     * @param  array<int, array{int, Quantity}>  $page  level and quantity by position
     * @return list<UsedInRow>
     */
    private static function keptRows(StructureIndex $index, Item $item, Day $day, KeptAnswer $kept, array $page): array
    {
        $inUse = $index->inUse($day);
        $own = array_fill_keys([$index->positions->of($item->id), ...$index->positions->pinnedOf($item->id)], true);
        $through = $ids = [];
        foreach (array_keys($page) as $position) {
            $list = $index->adjacency->downOf($position);
            $through[$position] = [];
            for ($i = 2; $i < count($list); $i += 3) {
                if (Span::holdsOn($list[$i + 2], $day->number()) && (isset($own[$list[$i]]) || $kept->level($list[$i]) > 0)) {
                    $through[$position][$index->positions->item($list[$i])] = true;
                }
            }
            $ids += $through[$position];
        }
        $known = ItemRows::byId(array_map($index->positions->item(...), array_keys($page)));
        $numbers = Item::query()->toBase()->whereIn('id', array_keys($ids))->pluck('number', 'id');
        $revisions = $index->revisionsAt(array_keys($page));
        $rows = [];
        foreach ($page as $position => [$level, $quantity]) {
            $rows[] = new UsedInRow(
                item: $known[$index->positions->item($position)],
                revision: $revisions[$position] ?? null,
                level: $level,
                quantity: (string) $quantity,
                unit: $item->unit->value,
                through: array_map(static fn(int $id): string => $numbers[$id], array_keys($through[$position])),
                top: !$inUse->isUsed($position),
            );
        }

        return $rows;
    }

    /**
     * One step up: the parents that have the item in a line of their own, with what these lines say. For a tree, opened branch by
     * branch.
     */
    public function direct(Item $item, Day $day, StructureView $view): UsedInPage
    {
        $index = StructureIndex::open($view);
        $inUse = $index->inUse($day);
        $quantities = [];
        foreach ([$index->positions->of($item->id), ...$index->positions->pinnedOf($item->id)] as $position) {
            $list = $index->adjacency->upOf($position);
            for ($i = 2; $i < count($list); $i += 3) {
                if (Span::holdsOn($list[$i + 2], $day->number()) && $inUse->counts($list[$i])) {
                    $quantities[$list[$i]] = Quantity::ofMillionths($list[$i + 1])->plus(
                        $quantities[$list[$i]] ?? Quantity::ofMillionths(0),
                    );
                }
            }
        }
        $shown = array_slice($quantities, 0, self::DIRECT, true);
        $known = ItemRows::byId(array_values(array_unique(array_map($index->positions->item(...), array_keys($shown)))));
        $revisions = $index->revisionsAt(array_keys($shown));
        $rows = [];
        foreach ($shown as $parent => $quantity) {
            $rows[] = new UsedInRow(
                item: $known[$index->positions->item($parent)],
                revision: $revisions[$parent] ?? null,
                level: 1,
                quantity: (string) $quantity,
                unit: $item->unit->value,
                through: [$item->number],
                top: !$inUse->isUsed($parent),
            );
        }
        usort($rows, static fn(UsedInRow $a, UsedInRow $b): int => [$a->item->number, $a->revision] <=> [$b->item->number, $b->revision]);

        return new UsedInPage(count($quantities), 0, 0, $rows);
    }

    /**
     * @param  list<Item>  $items
     * @return array<string, array{int, list<UsedInRow>}> by item number: of how many, and the nearest of them, at most AT_MOST each
     */
    public function rowsOfAll(array $items, Day $day, StructureView $view = new StructureView()): array
    {
        $index = StructureIndex::open($view);
        $asked = $totals = [];
        foreach ($items as $item) {
            $used = $index->whereUsed($item->id, $day);
            $totals[$item->number] = count($used->parents);
            $asked[] = [$item, $used, array_slice($used->parents, 0, self::AT_MOST)];
        }
        $all = [];
        foreach (self::rows($index, $asked) as $number => $rows) {
            $all[(string) $number] = [$totals[$number], $rows];
        }

        return $all;
    }

    /**
     * @param  list<array{Item, WhereUsed, list<int>}>  $asked  an item, what is above it, and the positions to show
     * @return array<string, list<UsedInRow>>
     */
    private static function rows(StructureIndex $index, array $asked): array
    {
        $shownIds = $through = $throughIds = [];
        $revisions = $index->revisionsAt(array_values(array_unique(array_merge(...array_column($asked, 2)))));
        foreach ($asked as [$item, $used, $shown]) {
            foreach ($shown as $parent) {
                $through[$item->id][$parent] = array_map($index->positions->item(...), $used->through($parent));
                $shownIds[$index->positions->item($parent)] = true;
                $throughIds += array_fill_keys($through[$item->id][$parent], true);
            }
        }
        $known = ItemRows::byId(array_keys($shownIds));
        $numbers = Item::query()->toBase()->whereIn('id', array_keys($throughIds))->pluck('number', 'id');

        $answer = [];
        foreach ($asked as [$item, $used, $shown]) {
            $answer[$item->number] = array_map(
                static fn(int $parent): UsedInRow => new UsedInRow(
                    item: $known[$index->positions->item($parent)],
                    revision: $revisions[$parent] ?? null,
                    level: $used->level($parent),
                    quantity: (string) $used->quantity($parent),
                    unit: $item->unit->value,
                    through: array_map(static fn(int $id): string => $numbers[$id], $through[$item->id][$parent]),
                    top: $used->isTop($parent),
                ),
                $shown,
            );
        }

        return $answer;
    }
}
