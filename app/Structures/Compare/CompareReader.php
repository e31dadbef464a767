<?php

declare(strict_types=1);

namespace App\Structures\Compare;

use App\Structures\Data\CompareRow;
use App\Structures\Data\ComparisonPage;
use App\Structures\Data\ComparisonSide;
use App\Structures\Data\ItemRow;
use App\Structures\Data\LineRow;
use App\Structures\Index\StructureIndex;
use App\Structures\ItemRows;
use Orthotaxis\Core\Comparison\DeepComparison;
use Orthotaxis\Core\Comparison\Difference;
use Orthotaxis\Core\Comparison\DifferenceKind;
use Orthotaxis\Core\Comparison\ParentDifference;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;

/** Compares two structures and tells the differences as rows, with the position of each. */
final readonly class CompareReader
{
    public const AT_MOST = 1_000;

    public function __construct(private SideReader $sides) {}

    /**
     * @param  list<DifferenceKind>  $kinds  only these; none for all
     */
    public function read(SideSpec $left, SideSpec $right, bool $allLevels, array $kinds = [], int $atMost = self::AT_MOST): ComparisonPage
    {
        $leftIndex = StructureIndex::open($left->view);
        $rightIndex = $right->view == $left->view ? $leftIndex : StructureIndex::open($right->view);
        $before = $this->sides->open($left, $leftIndex, $left->view->kind === $right->view->kind, 'left');
        $after = $this->sides->open($right, $rightIndex, $left->view->kind === $right->view->kind, 'right');
        $comparison = DeepComparison::of(
            $before,
            $leftIndex->positions->of($left->item->id),
            $after,
            $rightIndex->positions->of($right->item->id),
            $allLevels ? PHP_INT_MAX : 1,
        );

        $picked = [];
        $count = 0;
        foreach ($comparison->parents as $parent) {
            foreach ($parent->differences as $difference) {
                if ($kinds === [] || in_array($difference->kind, $kinds, true)) {
                    if (++$count <= $atMost) {
                        $picked[] = [$parent, $difference];
                    }
                }
            }
        }

        return new ComparisonPage(
            left: self::side($left),
            right: self::side($right),
            all_levels: $allLevels,
            totals: $comparison->totals(),
            count: $count,
            rows: self::rows($picked, $before, $after),
        );
    }

    private static function side(SideSpec $spec): ComparisonSide
    {
        return new ComparisonSide(
            number: $spec->item->number,
            title: $spec->item->title,
            kind: $spec->view->kind->value,
            plant: $spec->view->plant,
            on: (string) $spec->day,
            revision: $spec->revision,
            order: $spec->order,
            file: $spec->file?->name,
        );
    }

    /**
     * @param  list<array{ParentDifference, Difference}>  $picked
     * @return list<CompareRow>
     */
    private static function rows(array $picked, NamedSide $left, NamedSide $right): array
    {
        $before = $after = $numbers = [];
        foreach ($picked as [$parent, $difference]) {
            $from = $difference->movedFrom;
            foreach (
                [...$parent->way, [$parent->before, $parent->after], ...$from === null ? [] : [[$from->before, $from->after]]]
                as [$a, $b]
            ) {
                $before[$a] = $after[$b] = true;
            }
            foreach ([$difference->before, $difference->after] as $line) {
                if ($line !== null) {
                    $numbers[$line->component] = true;
                }
            }
        }
        $before = $left->numbers(array_keys($before));
        $after = $right->numbers(array_keys($after));
        $items = ItemRows::byNumber(array_map(strval(...), array_keys($numbers)));

        return array_map(static function (array $pair) use ($before, $after, $items): CompareRow {
            [$parent, $difference] = $pair;
            $way = array_map(static fn(array $step): string => $after[$step[1]], $parent->way);

            return new CompareRow(
                way: $way,
                parent_before: $before[$difference->movedFrom->before ?? $parent->before],
                parent_after: $after[$parent->after],
                find: $difference->find,
                kind: $difference->kind->value,
                before: $difference->before === null ? null : LineRow::of($difference->before),
                after: $difference->after === null ? null : LineRow::of($difference->after),
                was_item: self::item($items, $difference->before),
                item: self::item($items, $difference->after),
                fields: array_map(static fn(LineField $field): string => $field->value, $difference->fields),
            );
        }, $picked);
    }

    /**
     * @param  array<string, ItemRow>  $items  by number
     * @return ?ItemRow null also for what a file names and we do not have
     */
    private static function item(array $items, ?Line $line): ?ItemRow
    {
        return $line === null ? null : $items[$line->component] ?? null;
    }
}
