<?php

declare(strict_types=1);

namespace App\FollowThrough\Actions;

use App\Days\Today;
use App\FollowThrough\Jobs\CloseIfDone;
use App\FollowThrough\ReplacedItems;
use App\Orders\Models\ChangeOrder;
use App\Planning\ExposureReader;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\FollowThrough\Replaced;
use Orthotaxis\Core\Impact\Supply;

/**
 * Asks planning what still names what a released order replaced: what is new appears, what it does not tell of any more is seen to. When it
 * does not answer, or does not know an item, nothing is taken for gone.
 */
final readonly class ReadOldDocuments
{
    private const KEEP = '
        INSERT INTO old_documents (order_id, item_id, key, kind, document, revision, comes, quantity, unit, value, due, place, status, serial, proposed,
            is_new, first_read_at, reading)
        SELECT :order, r.item_id, r.key, r.kind, r.document, r.revision, r.comes, r.quantity, r.unit, r.value, r.due, r.place, r.status, r.serial,
            r.proposed, :reading_too > 1, :now, :reading
        FROM jsonb_to_recordset(:rows::jsonb) AS r (item_id bigint, key text, kind text, document text, revision text, comes text, quantity bigint,
            unit text, value bigint, due date, place text, status text, serial text, proposed text)
        ON CONFLICT (order_id, key) DO UPDATE SET revision = excluded.revision, comes = excluded.comes, quantity = excluded.quantity,
            unit = excluded.unit, value = excluded.value, due = excluded.due, status = excluded.status, serial = excluded.serial,
            proposed = excluded.proposed, reading = excluded.reading, gone_at = NULL,
            is_new = old_documents.is_new OR old_documents.gone_at IS NOT NULL,
            way = CASE WHEN old_documents.gone_at IS NULL THEN old_documents.way END,
            seen_at = CASE WHEN old_documents.gone_at IS NULL THEN old_documents.seen_at END,
            seen_by = CASE WHEN old_documents.gone_at IS NULL THEN old_documents.seen_by END,
            first_read_at = CASE WHEN old_documents.gone_at IS NULL THEN old_documents.first_read_at ELSE excluded.first_read_at END';

    /** Rows written at once. */
    private const SOME = 5_000;

    public function __construct(private ExposureReader $planning) {}

    public function __invoke(int $orderId): void
    {
        $order = ChangeOrder::query()->findOrFail($orderId);
        if ($order->state !== OrderState::Released) {
            return;
        }
        $replaced = ReplacedItems::of($order);
        $numbers = array_map(static fn(Replaced $one): string => $one->item, $replaced);
        $today = Today::day();
        $old = [];
        $told = $this->planning->each(
            $numbers,
            static function (array $rows) use (&$old, $replaced, $numbers, $today): void {
                $ids = array_flip($numbers);
                foreach ($rows as $row) {
                    $id = $ids[$row->item] ?? null;
                    if ($id !== null && $replaced[$id]->isOld($row, $today)) {
                        $old[] = [$id, $row];
                    }
                }
            },
            static function () use (&$old): void {
                $old = [];
            },
        );
        if ($told->fault !== null) {
            DB::table('old_document_readings')
                ->where('order_id', $order->id)
                ->update(['fault' => mb_substr($told->fault, 0, 500)]);

            return;
        }
        $known = array_keys(array_diff($numbers, $told->unknown));
        DB::transaction(fn() => $this->keep($order->id, $this->rows($old, $replaced), $known));
        CloseIfDone::dispatch($order->number);
    }

    /**
     * @param  list<array{int, Supply}>  $old
     * @param  array<int, Replaced>  $replaced
     * @return list<array<string, mixed>>
     */
    private function rows(array $old, array $replaced): array
    {
        $rows = $seen = [];
        foreach ($old as [$id, $row]) {
            // Of several rows that nothing tells apart, each is one.
            $same = implode("\n", [$row->item, $row->kind->value, $row->document, $row->place, $row->serial]);
            $seen[$same] = ($seen[$same] ?? 0) + 1;
            $rows[] = [
                'item_id' => $id,
                'key' => hash('xxh128', "{$same}\n{$seen[$same]}"),
                'kind' => $row->kind->value,
                'document' => mb_substr($row->document, 0, 100),
                'revision' => mb_substr($row->revision, 0, 20),
                'comes' => $replaced[$id]->comes,
                'quantity' => $row->quantity->millionths,
                'unit' => $row->unit->value,
                'value' => $row->value()->tenThousandths,
                'due' => $row->due?->__toString(),
                'place' => mb_substr($row->place, 0, 100),
                'status' => mb_substr($row->status, 0, 60),
                'serial' => mb_substr($row->serial, 0, 2000),
                'proposed' => $replaced[$id]->proposes($row)?->value,
            ];
        }

        return $rows;
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     * @param  list<int>  $items  ids of those that planning knows
     */
    private function keep(int $order, array $rows, array $items): void
    {
        // Two readings at once take turns.
        $readings = DB::table('old_document_readings')->where('order_id', $order);
        $reading = (int) (clone $readings)->lockForUpdate()->value('times') + 1;
        $now = CarbonImmutable::now();
        foreach (array_chunk($rows, self::SOME) as $some) {
            DB::statement(self::KEEP, [
                'order' => $order,
                'reading_too' => $reading,
                'now' => $now,
                'reading' => $reading,
                'rows' => json_encode($some, JSON_THROW_ON_ERROR),
            ]);
        }
        DB::table('old_documents')
            ->where('order_id', $order)
            ->whereIntegerInRaw('item_id', $items)
            ->where('reading', '<', $reading)
            ->whereNull('gone_at')
            ->update(['gone_at' => $now]);
        $readings->update(['read_at' => $now, 'times' => $reading, 'fault' => '']);
    }
}
