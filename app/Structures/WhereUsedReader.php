<?php

declare(strict_types=1);

namespace App\Structures;

use App\Structures\Data\ItemRow;
use App\Structures\Data\UsedInRow;
use App\Structures\Models\Item;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Structure\StructureKind;
use Orthotaxis\Core\Structure\WhereUsed;

/** Where an item is used, level by level up to what is sold. */
final readonly class WhereUsedReader
{
    public function __construct(private StructureReader $structures) {}

    /** @return list<UsedInRow> nearest first */
    public function rows(Item $item, Day $day, StructureKind $kind = StructureKind::Engineering): array
    {
        return $this->rowsOfAll([$item], $day, $kind)[$item->number];
    }

    /**
     * @param  list<Item>  $items
     * @return array<string, list<UsedInRow>> by item number, nearest first
     */
    public function rowsOfAll(array $items, Day $day, StructureKind $kind = StructureKind::Engineering): array
    {
        $usages = $this->structures->usagesAbove(array_map(static fn (Item $item): int => $item->id, $items), $day, $kind);
        $ids = [];
        foreach ($usages as $usage) {
            $ids[$usage->parent] = $ids[$usage->component] = true;
        }
        $known = Item::rows()->whereIn('id', array_keys($ids))->get()->keyBy('id');

        $answer = [];
        foreach ($items as $item) {
            $rows = [];
            foreach (WhereUsed::of($item->id, $usages)->parents as $used) {
                $rows[] = new UsedInRow(
                    ItemRow::of($known[$used->parent]),
                    $used->level,
                    (string) $used->quantity,
                    $item->unit->value,
                    array_map(static fn (int $through): string => $known[$through]->number, array_keys($used->through)),
                    $used->top,
                );
            }
            $answer[$item->number] = $rows;
        }

        return $answer;
    }
}
