<?php

declare(strict_types=1);

namespace App\Orders\Contents;

use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Orders\Models\WorkRecord;
use App\Structures\Models\Item;
use App\Structures\Models\StructureLine;
use App\Structures\PinnedRevisions;
use App\Structures\RevisionSequences;
use App\Tables\CopyInto;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/** What the kinds of content have in common that are made of lines: what lines need to be released, and how they are written. */
final readonly class LinesOfContents
{
    // One look into the revisions of each, by the index of their codes: as NOT EXISTS the database reads those of all items, and by a
    // list of what is released it takes the index that keeps days apart, which is twice as slow.
    private const ABSENT = <<<'SQL'
    SELECT d.day, i.number FROM jsonb_array_elements_text(?::jsonb) AS d (day),
    (SELECT id, number FROM items WHERE number = ANY (ARRAY(SELECT jsonb_array_elements_text(?::jsonb)))) AS i
    WHERE (
        SELECT true FROM contents r WHERE r.item_id = i.id AND r.kind = 'engineering' AND r.plant = '' AND r.status NOT IN ('in_work', 'in_review')
        AND (d.day = '' OR (coalesce(r.effective_from <= nullif(d.day, '')::date, true) AND coalesce(r.effective_to > nullif(d.day, '')::date, true)))
        LIMIT 1
    ) IS NULL
    SQL;

    public function __construct(private RevisionSequences $sequences) {}

    /**
     * Components that are not in force on the effective day of the order, and revisions that lines name and nobody releases; asked a
     * fixed number of times.
     *
     * @param  Collection<int, WorkRecord>  $records  with their orders and items
     * @param  array<int, Structure>  $lines  as they will be, by record
     * @return array<int, list<string>> by record, each what comes after the name of the subject in a sentence
     */
    public function missing(Collection $records, array $lines): array
    {
        $all = self::all($lines);
        $numbers = array_unique(array_map(static fn(Line $line): string => $line->component, $all));
        $absent = self::absent(array_values($numbers), $records);
        $pinned = PinnedRevisions::ids($all);
        $missing = $ofOrders = [];
        foreach ($records as $record) {
            $order = $record->row->order;
            // The same of all that one order changes: asked once, however many items it has.
            [$day, $lacking, $codes] = $ofOrders[$order->id] ??= $this->ofOrder($order, $absent);
            $not = [
                ...array_filter($lines[$record->id]->components(), static fn(string $number): bool => isset($lacking[$number])),
                ...self::unresolved($lines[$record->id], $codes + $pinned),
            ];
            $why = $day === null ? 'which has no released revision.' : "which has no revision in force on {$day->spelled()}.";
            $missing[$record->id] = $not === [] ? [] : ['uses ' . implode(', ', $not) . ", {$why}"];
        }

        return $missing;
    }

    /**
     * @param  array<string, array<array-key, true>>  $absent  as absent() gives them
     * @return array{?Day, array<array-key, true>, array<array-key, true>} its day, what is not there then, and the single revisions that it
     *     brings
     */
    private function ofOrder(ChangeOrder $order, array $absent): array
    {
        $day = $order->effective_on === null ? null : Day::parse($order->effective_on);
        // What is released for the first time under the same order is there on the same day.
        $coming = $order->items->where('outcome', Outcome::Revise)->keyBy(static fn(OrderItem $row): string => $row->item->number)->all();
        $lacking = array_diff_key($absent[(string) $order->effective_on] ?? [], $coming);
        $codes = [];
        foreach ($coming as $row) {
            $codes[Line::pinned($row->item->number, $this->sequences->of($row->item)->next($row->baseCode()))] = true;
        }

        return [$day, $lacking, $codes];
    }

    /**
     * Components that are released with them are there by now. Twenty thousand lines are written at once.
     *
     * @param  array<int, Structure>  $structures  by id of the content in review
     */
    public function write(array $structures): void
    {
        StructureLine::query()->whereIntegerInRaw('content_id', array_keys($structures))->delete();
        $numbers = array_merge(...array_map(static fn(Structure $one): array => $one->components(), array_values($structures)));
        $components = Item::query()->whereIn('number', array_unique($numbers))->pluck('id', 'number')->all();
        $pinned = PinnedRevisions::ids(self::all($structures), alsoComing: true);
        $rows = null;
        foreach ($structures as $id => $structure) {
            foreach ($structure->lines as $line) {
                $revision = $line->revision === null ? null : $pinned[$line->below()];
                $row = ['content_id' => $id, ...StructureLine::columns($line, $components[$line->component], $revision)];
                $rows ??= new CopyInto('structure_lines', array_keys($row));
                $rows->row(array_values($row));
            }
        }
        $rows?->flush();
    }

    /**
     * @param  array<int, Structure>  $structures
     * @return list<Line>
     */
    private static function all(array $structures): array
    {
        return array_merge(
            ...array_map(static fn(Structure $structure): array => array_values($structure->lines), array_values($structures)),
        );
    }

    /**
     * Components without a revision in force on the days of the orders; where none is said, without one that was ever released.
     *
     * @param  list<string>  $numbers
     * @param  Collection<int, WorkRecord>  $records
     * @return array<string, array<array-key, true>> by day; empty: none is said
     */
    private static function absent(array $numbers, Collection $records): array
    {
        $days = $records->map(static fn(WorkRecord $record): string => (string) $record->row->order->effective_on)->unique()->values();
        $absent = [];
        foreach (DB::select(self::ABSENT, [$days->toJson(), json_encode($numbers, JSON_THROW_ON_ERROR)]) as $row) {
            $absent[$row->day][$row->number] = true;
        }

        return $absent;
    }

    /**
     * @param  array<string, mixed>  $known  by what Line::below says
     * @return list<string> revisions that lines name and that neither are released nor come with the order, in words
     */
    private static function unresolved(Structure $after, array $known): array
    {
        $unresolved = [];
        foreach ($after->lines as $line) {
            if ($line->revision !== null && !isset($known[$line->below()])) {
                $unresolved[$line->below()] = "{$line->component} at revision {$line->revision}";
            }
        }

        return array_values($unresolved);
    }
}
