<?php

declare(strict_types=1);

namespace App\Manufacturing\Files;

use App\Manufacturing\BuiltAt;
use App\Manufacturing\PlantStructures;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use App\Structures\StructureView;
use App\Tables\Table;
use Illuminate\Support\Collection;
use Orthotaxis\Core\Adjacency\TopologicalOrder;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Manufacturing\BuildColumn;
use Orthotaxis\Core\Manufacturing\BuildRows;
use Orthotaxis\Core\Structure\StructureKind;

/** What plants build of an item, and of all that is in it, as a table that can be edited outside and read in again. */
final readonly class BuiltTable
{
    private const AT_ONCE = 200;

    public function __construct(private PlantStructures $plants) {}

    /** @param  string  $plant  empty: all that build it */
    public function of(Item $item, string $plant, Day $day, bool $allLevels): Table
    {
        return new Table(
            "{$item->number} {$item->title}",
            ['Manufacturing structures and routings' . ($plant === '' ? '' : ", plant {$plant}") . " as of {$day}"],
            array_column(BuildColumn::cases(), 'value'),
            $this->cells($item, $plant, $day, $allLevels),
        );
    }

    /** @return \Generator<int, array<string, string>> every parent before what it is made of */
    public function rows(Item $item, string $plant, Day $day, bool $allLevels): \Generator
    {
        $ids = [$item->id];
        if ($allLevels) {
            $index = StructureIndex::open(new StructureView(StructureKind::Manufacturing, $plant));
            $below = TopologicalOrder::below($index->adjacency, [$index->positions->of($item->id)], $day->number());
            $ids = array_values(array_unique(array_map($index->positions->item(...), $below)));
        }
        foreach (array_chunk($ids, self::AT_ONCE) as $some) {
            $items = Item::query()->whereIn('id', $some)->get()->toBase();
            $built = new Collection($this->plants->inForce($items, [], $day));
            foreach ($some as $id) {
                foreach ($built->filter(static fn(BuiltAt $one): bool => $one->item->id === $id) as $one) {
                    if ($plant === '' || $one->plant === $plant) {
                        yield from BuildRows::of($one->plant, $one->item->number, $one->content);
                    }
                }
            }
        }
    }

    /** @return \Generator<int, list<string>> */
    private function cells(Item $item, string $plant, Day $day, bool $allLevels): \Generator
    {
        foreach ($this->rows($item, $plant, $day, $allLevels) as $row) {
            yield array_values($row);
        }
    }
}
