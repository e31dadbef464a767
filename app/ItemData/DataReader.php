<?php

declare(strict_types=1);

namespace App\ItemData;

use App\ItemData\Data\DataOfItem;
use App\ItemData\Data\DataRevisionRow;
use App\ItemData\Data\FieldRow;
use App\Orders\Models\ChangeOrder;
use App\Structures\Models\Content;
use App\Structures\Models\Item;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\ItemData\DataField;
use Orthotaxis\Core\ItemData\ItemData;
use Orthotaxis\Core\Revision\RevisionStatus;

/** What is known of an item on a day, with every revision of it. */
final readonly class DataReader
{
    public function __construct(private ItemDataContents $contents) {}

    public function on(Item $item, Day $day): DataOfItem
    {
        $records = Content::query()
            ->where(['item_id' => $item->id, 'kind' => ItemDataContents::NAME])
            ->whereIn('status', [RevisionStatus::Released, RevisionStatus::Superseded, RevisionStatus::Obsolete])
            ->orderBy('effective_from')
            ->get()
            ->all();
        $said = $this->contents->read(array_map(static fn(Content $one): int => $one->id, $records));
        $orders = ChangeOrder::query()
            ->whereIn('id', array_filter(array_map(static fn(Content $one): ?int => $one->order_id, $records)))
            ->pluck('number', 'id');
        $before = $shown = FieldsOfItem::today($item);
        $earlier = new ItemData();
        $rows = [];
        foreach ($records as $at => $one) {
            $data = $said[$one->id] ?? new ItemData();
            // Before the first day that is on record the oldest holds.
            $begun = $at === 0 || (string) $one->effective_from <= (string) $day;
            $holds = $begun && !($one->effective_to !== null && $one->effective_to <= (string) $day);
            if ($holds) {
                [$before, $shown] = [$at === 0 ? $data : $earlier, $data];
            }
            $rows[] = new DataRevisionRow(
                code: $one->code,
                effective_from: $one->effective_from,
                effective_to: $one->effective_to,
                holds: $holds,
                order: $orders[$one->order_id] ?? null,
                reason: $one->reason,
                changes: $at === 0
                    ? []
                    : array_values(
                        array_filter(self::rows($item, $earlier, $data), static fn(FieldRow $row): bool => $row->mark !== 'unchanged'),
                    ),
            );
            $earlier = $data;
        }

        return new DataOfItem(
            (string) $day,
            config()->string('orthotaxis.currency'),
            self::rows($item, $before, $shown),
            array_reverse($rows),
        );
    }

    /** @return list<FieldRow> */
    private static function rows(Item $item, ItemData $before, ItemData $after): array
    {
        return array_map(
            static fn(DataField $field): FieldRow => FieldRow::of($item, $field, $before, $after),
            FieldsOfItem::all($item, $before, $after),
        );
    }
}
