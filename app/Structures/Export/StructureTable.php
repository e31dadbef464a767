<?php

declare(strict_types=1);

namespace App\Structures\Export;

use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use App\Structures\Models\Revision;
use App\Structures\StructureReader;
use App\Structures\StructureView;
use App\Tables\Table;
use Orthotaxis\Core\Adjacency\TopologicalOrder;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Structure\FileColumn;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/**
 * A structure as a table that can be edited outside and read in again: each parent once, however often it is used. Where a line
 * names one revision of its component, the lines of that revision stand in it too, told apart by the revision of their parent.
 */
final readonly class StructureTable
{
    private const AT_ONCE = 200;

    public function __construct(private StructureReader $structures) {}

    public function of(Item $item, StructureView $view, Day $day, bool $allLevels): Table
    {
        $plant = $view->plant === '' ? '' : ", plant {$view->plant}";

        return new Table(
            "{$item->number} {$item->title}",
            ["{$view->kind->value} structure{$plant} as of {$day}", $allLevels ? 'All levels, each parent once' : 'One level'],
            array_column(FileColumn::cases(), 'value'),
            self::rows($this->parents($item, $view, $day, $allLevels)),
        );
    }

    /** @return \Generator<int, ParentLines> every parent before what it is made of */
    public function parents(Item $item, StructureView $view, Day $day, bool $allLevels): \Generator
    {
        // Item and, where it is not the one of the day, revision.
        $nodes = [[$item->id, null]];
        if ($allLevels) {
            $index = StructureIndex::open($view);
            $below = TopologicalOrder::below($index->adjacency, [$index->positions->of($item->id)], $day->number());
            $nodes = array_map(
                static fn(int $position): array => [$index->positions->item($position), $index->positions->revision($position)],
                $below,
            );
        }
        foreach (array_chunk($nodes, self::AT_ONCE) as $some) {
            $items = array_values(array_unique(array_column($some, 0)));
            $named = array_values(array_filter(array_column($some, 1), static fn(?int $revision): bool => $revision !== null));
            $numbers = Item::query()->whereIn('id', $items)->pluck('number', 'id');
            $revisions = Revision::query()->tap(Revision::effectiveOn($day))->whereIn('item_id', $items)->pluck('id', 'item_id');
            $codes = $named === [] ? [] : Revision::query()->whereIn('id', $named)->pluck('code', 'id')->all();
            $ofItems = $this->structures->ofItemsOn(
                array_combine($items, array_map(static fn(int $id): ?int => $revisions[$id] ?? null, $items)),
                $view,
                $day,
            );
            $ofRevisions = $this->structures->ofRevisions($named, $view);
            foreach ($some as [$id, $revision]) {
                $structure = ($revision === null ? $ofItems[$id] ?? null : $ofRevisions[$revision] ?? null) ?? new Structure();
                $structure = $structure->on($day);
                if (count($structure) > 0) {
                    yield new ParentLines((string) $numbers[$id], $revision === null ? null : (string) $codes[$revision], $structure);
                }
            }
        }
    }

    /** The value of a line in a column. */
    public static function value(string $parent, ?string $revision, Line $line, FileColumn $column): string
    {
        $field = $column->field();

        return match (true) {
            $field !== null => $line->text($field),
            $column === FileColumn::Parent => $parent,
            $column === FileColumn::ParentRevision => $revision ?? '',
            default => $line->key,
        };
    }

    /**
     * @param  iterable<ParentLines>  $parents
     * @return \Generator<int, list<string>>
     */
    private static function rows(iterable $parents): \Generator
    {
        foreach ($parents as $parent) {
            foreach ($parent->structure as $line) {
                yield array_map(
                    static fn(FileColumn $column): string => self::value($parent->number, $parent->revision, $line, $column),
                    FileColumn::cases(),
                );
            }
        }
    }
}
