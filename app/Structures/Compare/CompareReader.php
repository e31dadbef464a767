<?php

declare(strict_types=1);

namespace App\Structures\Compare;

use App\Structures\Data\CompareRow;
use App\Structures\Data\ComparisonPage;
use App\Structures\Data\ComparisonSide;
use App\Structures\Data\ItemRow;
use App\Structures\Data\LineRow;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use Orthotaxis\Core\Comparison\DeepComparison;
use Orthotaxis\Core\Comparison\Difference;
use Orthotaxis\Core\Comparison\DifferenceKind;
use Orthotaxis\Core\Comparison\ParentDifference;
use Orthotaxis\Core\Comparison\Side;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\Structure;

/** Compares two structures and tells the differences as rows, with the position of each. */
final readonly class CompareReader
{
    public const AT_MOST = 1_000;

    public function __construct(private SideReader $sides) {}

    /**
     * @param  list<DifferenceKind>  $kinds  only these; none for all
     * @param  ?Structure  $file  lines of a file in place of the right side's own
     */
    public function read(SideSpec $left, SideSpec $right, bool $allLevels, array $kinds = [], ?Structure $file = null, int $atMost = self::AT_MOST): ComparisonPage
    {
        $leftIndex = StructureIndex::open($left->kind);
        $rightIndex = $right->kind === $left->kind ? $leftIndex : StructureIndex::open($right->kind);
        $before = $this->sides->open($left, $leftIndex, 'left');
        $after = $file === null
            ? $this->sides->open($right, $rightIndex, 'right')
            : SideReader::fixed(new IndexSide($rightIndex, $right->kind, $right->day), $right->item, $file);
        $comparison = $this->compare($before, $leftIndex->positions->of($left->item->id), $after, $rightIndex->positions->of($right->item->id), $allLevels);

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
            self::side($left, null), self::side($right, $file === null ? null : 'file'), $allLevels, $comparison->totals(), $count,
            self::rows($picked, $leftIndex, $rightIndex),
        );
    }

    private function compare(Side $before, int $left, Side $after, int $right, bool $allLevels): DeepComparison
    {
        return DeepComparison::of($before, $left, $after, $right, $allLevels ? PHP_INT_MAX : 1);
    }

    private static function side(SideSpec $spec, ?string $source): ComparisonSide
    {
        return new ComparisonSide(
            $spec->item->number, $spec->item->title, $spec->kind->value, (string) $spec->day, $spec->revision, $spec->order, $source === 'file',
        );
    }

    /**
     * @param  list<array{ParentDifference, Difference}>  $picked
     * @return list<CompareRow>
     */
    private static function rows(array $picked, StructureIndex $left, StructureIndex $right): array
    {
        $ids = $numbers = [];
        foreach ($picked as [$parent, $difference]) {
            foreach ([...$parent->way, [$parent->before, $parent->after]] as [$a, $b]) {
                $ids += [$left->positions->item($a) => true, $right->positions->item($b) => true];
            }
            foreach ([$difference->before, $difference->after] as $line) {
                if ($line !== null) {
                    $numbers[$line->component] = true;
                }
            }
        }
        $parents = Item::query()->whereIn('id', array_keys($ids))->pluck('number', 'id')->all();
        $items = Item::rows()->whereIn('number', array_map(strval(...), array_keys($numbers)))->get()->keyBy('number');

        return array_map(static function (array $pair) use ($parents, $items, $left, $right): CompareRow {
            [$parent, $difference] = $pair;
            $way = array_map(static fn (array $step): string => $parents[$right->positions->item($step[1])], $parent->way);

            return new CompareRow(
                $way,
                $parents[$left->positions->item($parent->before)],
                $parents[$right->positions->item($parent->after)],
                $difference->find(),
                $difference->kind->value,
                $difference->before === null ? null : LineRow::of($difference->before),
                $difference->after === null ? null : LineRow::of($difference->after),
                $difference->before === null ? null : ItemRow::of($items[$difference->before->component]),
                $difference->after === null ? null : ItemRow::of($items[$difference->after->component]),
                array_map(static fn (LineField $field): string => $field->value, $difference->fields),
            );
        }, $picked);
    }
}
