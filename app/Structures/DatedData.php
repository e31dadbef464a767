<?php

declare(strict_types=1);

namespace App\Structures;

use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\ItemData\ItemData;
use Orthotaxis\Core\ItemData\ItemField;
use Orthotaxis\Core\Quantity\Money;

/**
 * What is known of items on a day. The columns of an item say what holds today; of items whose data have changed under an order, or will,
 * other days are read here. Before the first day that is on record the oldest holds.
 */
final readonly class DatedData
{
    /** @param  array<int, ItemData>  $byItem  of the items that have data on record */
    private function __construct(private array $byItem) {}

    /** @param  array<int>  $items  ids; asked once, for all of them */
    public static function on(Day $day, array $items): self
    {
        $rows = DB::select(
            "SELECT c.item_id, d.field, d.value
            FROM (
                SELECT DISTINCT ON (item_id) id, item_id FROM contents
                WHERE kind = 'item_data' AND status IN ('released', 'superseded', 'obsolete') AND item_id = ANY (?::bigint[])
                ORDER BY item_id, effective_from > ?, CASE WHEN effective_from > ? THEN effective_from END, effective_from DESC
            ) c LEFT JOIN item_data d ON d.content_id = c.id",
            ['{' . implode(',', $items) . '}', (string) $day, (string) $day],
        );
        $values = [];
        foreach ($rows as $row) {
            $values[$row->item_id][$row->field ?? ''] = $row->value ?? '';
        }

        return new self(array_map(static fn(array $fields): ItemData => new ItemData(array_diff_key($fields, ['' => ''])), $values));
    }

    /**
     * @return ?array{from: string, by: string} from when an item is not used any more, and what is used in its place, if anything;
     *     null: it is used
     */
    public static function retirement(int $item): ?array
    {
        $row = DB::selectOne(
            "SELECT c.effective_from AS first_day, b.value AS replaced_by
            FROM contents c JOIN item_data r ON r.content_id = c.id AND r.field = 'retired'
                LEFT JOIN item_data b ON b.content_id = c.id AND b.field = 'replaced_by'
            WHERE c.item_id = ? AND c.kind = 'item_data' AND c.status IN ('released', 'superseded', 'obsolete')
            ORDER BY c.effective_from LIMIT 1",
            [$item],
        );

        return $row === null ? null : ['from' => $row->first_day, 'by' => $row->replaced_by ?? ''];
    }

    public function of(int $item): ?ItemData
    {
        return $this->byItem[$item] ?? null;
    }

    /**
     * @param  ?int  $today  what the item says of it, in ten-thousandths
     * @return ?int the same on the day
     */
    public function cost(int $item, ?int $today): ?int
    {
        $data = $this->of($item);
        $cost = $data?->value(ItemField::StandardCost) ?? '';

        return $data === null ? $today : ($cost === '' ? null : Money::parse($cost)->tenThousandths);
    }

    /** @return ?int working days */
    public function leadTime(int $item, ?int $today): ?int
    {
        $data = $this->of($item);
        $days = $data?->value(ItemField::LeadTime) ?? '';

        return $data === null ? $today : ($days === '' ? null : (int) $days);
    }
}
