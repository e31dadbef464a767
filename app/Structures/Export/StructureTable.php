<?php

declare(strict_types=1);

namespace App\Structures\Export;

use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use App\Structures\Models\Revision;
use App\Structures\Picture;
use App\Structures\StructureReader;
use App\Tables\Table;
use Orthotaxis\Core\Adjacency\Order;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Structure\FileColumn;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/** A structure as a table that can be edited outside and read in again: each parent once, however often it is used. */
final readonly class StructureTable
{
    private const AT_ONCE = 200;

    public function __construct(private StructureReader $structures) {}

    public function of(Item $item, Picture $picture, Day $day, bool $allLevels): Table
    {
        $plant = $picture->plant === '' ? '' : ", plant {$picture->plant}";

        return new Table(
            "{$item->number} {$item->title}", ["{$picture->kind->value} structure{$plant} as of {$day}", $allLevels ? 'All levels, each parent once' : 'One level'],
            array_column(FileColumn::cases(), 'value'),
            self::rows($this->parents($item, $picture, $day, $allLevels)),
        );
    }

    /** @return \Generator<string, Structure> by item number, every parent before what it is made of */
    public function parents(Item $item, Picture $picture, Day $day, bool $allLevels): \Generator
    {
        $ids = [$item->id];
        if ($allLevels) {
            $index = StructureIndex::open($picture);
            $ids = array_values(array_unique(array_map($index->positions->item(...), Order::below($index->adjacency, $index->positions->of($item->id), $day->number()))));
        }
        foreach (array_chunk($ids, self::AT_ONCE) as $some) {
            $numbers = Item::query()->whereIn('id', $some)->pluck('number', 'id');
            $revisions = Revision::query()->tap(Revision::effectiveOn($day))->whereIn('item_id', $some)->pluck('id', 'item_id');
            $structures = $this->structures->ofRevisions(array_values($revisions->all()), $picture);
            foreach ($some as $id) {
                $structure = ($structures[$revisions[$id] ?? 0] ?? new Structure)->on($day);
                if (count($structure) > 0) {
                    yield $numbers[$id] => $structure;
                }
            }
        }
    }

    /** The value of a line in a column. */
    public static function value(string $parent, Line $line, FileColumn $column): string
    {
        $field = $column->field();

        return match (true) {
            $field !== null => $line->text($field),
            $column === FileColumn::Parent => $parent,
            default => $line->key,
        };
    }

    /**
     * @param  iterable<string, Structure>  $structures
     * @return \Generator<int, list<string>>
     */
    private static function rows(iterable $structures): \Generator
    {
        foreach ($structures as $parent => $structure) {
            foreach ($structure as $line) {
                yield array_map(static fn (FileColumn $column): string => self::value((string) $parent, $line, $column), FileColumn::cases());
            }
        }
    }
}
