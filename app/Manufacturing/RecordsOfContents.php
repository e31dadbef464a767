<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Manufacturing\OnRecord;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;

/** What is on record about engineering lines, as it is kept with what a plant builds. */
final readonly class RecordsOfContents
{
    /**
     * @param  list<int>  $contents  ids
     * @return array<int, list<OnRecord>> by content
     */
    public function read(array $contents): array
    {
        $records = [];
        $rows = DB::select(
            'SELECT o.content_id, o.line_key, o.reason, o.new, o.unit, o.old, i.number AS by
            FROM line_records o LEFT JOIN items i ON i.id = o.by_id WHERE o.content_id = ANY (?::bigint[]) ORDER BY o.id',
            ['{' . implode(',', $contents) . '}'],
        );
        foreach ($rows as $row) {
            $records[$row->content_id][] =
                $row->by === null
                    ? OnRecord::leftOut($row->line_key, $row->reason)
                    : OnRecord::replaced(
                        $row->line_key,
                        $row->by,
                        $row->reason,
                        new: Quantity::ofMillionths($row->new),
                        unit: Unit::from($row->unit),
                        old: Quantity::ofMillionths($row->old),
                    );
        }

        return $records;
    }

    /** @param  list<OnRecord>  $records  all there are */
    public function write(int $content, array $records): void
    {
        DB::table('line_records')->where('content_id', $content)->delete();
        $items = Item::query()->whereIn('number', array_filter(array_column($records, 'by')))->pluck('id', 'number');
        DB::table('line_records')->insert(
            array_map(
                static fn(OnRecord $record): array => [
                    'content_id' => $content,
                    'line_key' => $record->line,
                    'by_id' => $record->by === null ? null : $items[$record->by],
                    'new' => $record->new->millionths,
                    'unit' => $record->unit?->value,
                    'old' => $record->old->millionths,
                    'reason' => $record->reason,
                ],
                $records,
            ),
        );
    }
}
