<?php

declare(strict_types=1);

namespace App\ItemData;

use App\Days\Today;
use App\Orders\Models\OrderItem;
use App\Orders\Models\WorkRecord;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Revision\RevisionStatus;
use Orthotaxis\Core\Structure\HasLines;

/** Where an item would still be used on the day on which it is retired, as its order makes everything else. */
final readonly class RetiredUses
{
    /** So many are named; the rest is counted. */
    private const NAMED = 5;

    /**
     * Asked once, for all of them.
     *
     * @param  Collection<int, WorkRecord>  $retiring  of items that are retired
     * @param  array<int, Work>  $works  all that their orders do, by id
     * @return array<int, non-empty-list<string>> by record, the subjects that use it; what is used nowhere is left out
     */
    public function of(Collection $retiring, array $works): array
    {
        if ($retiring->isEmpty()) {
            return [];
        }
        $lines = DB::table('structure_lines AS l')
            ->join('contents AS c', 'c.id', '=', 'l.content_id')
            ->join('items AS i', 'i.id', '=', 'c.item_id')
            ->whereIn('l.component_id', $retiring->map(static fn(WorkRecord $record): int => $record->row->item_id))
            ->where('c.kind', '!=', 'design')
            ->whereIn('c.status', [RevisionStatus::Released, RevisionStatus::Superseded, RevisionStatus::Obsolete])
            ->get(['l.component_id', 'l.valid_from', 'l.valid_to', 'c.kind', 'c.plant', 'c.effective_from', 'c.effective_to', 'i.number']);
        $used = [];
        foreach ($retiring as $record) {
            $day = $record->row->order->effective_on ?? (string) Today::day();
            $users = [];
            foreach ($lines->where('component_id', $record->row->item_id) as $line) {
                if (self::holds($line, $day)) {
                    $users[(string) new Subject($line->kind, $line->number, $line->plant)] = true;
                }
            }
            foreach (self::others($record, $works) as $work) {
                $users[(string) $work->subject] =
                    $work->after instanceof HasLines &&
                    in_array($record->row->item->number, $work->after->lines()->on(Day::parse($day))->components(), true);
            }
            $users = array_keys(array_filter($users));
            if ($users !== []) {
                sort($users);
                $more = count($users) - self::NAMED;
                $used[$record->id] = [...array_slice($users, 0, self::NAMED), ...$more > 0 ? ["{$more} more"] : []];
            }
        }

        return $used;
    }

    private static function holds(\stdClass $line, string $day): bool
    {
        return self::within($day, $line->effective_from, $line->effective_to) && self::within($day, $line->valid_from, $line->valid_to);
    }

    private static function within(string $day, ?string $from, ?string $to): bool
    {
        return ($from === null || $from <= $day) && ($to === null || $day < $to);
    }

    /**
     * @param  array<int, Work>  $works
     * @return list<Work> of structures, of the same order
     */
    private static function others(WorkRecord $record, array $works): array
    {
        return $record->row->order->items
            ->flatMap(static fn(OrderItem $row): Collection => $row->works->toBase())
            ->map(static fn(WorkRecord $work): ?Work => $works[$work->id] ?? null)
            ->filter(static fn(?Work $work): bool => $work?->after instanceof HasLines)
            ->values()
            ->all();
    }
}
