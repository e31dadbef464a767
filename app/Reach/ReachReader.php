<?php

declare(strict_types=1);

namespace App\Reach;

use App\Reach\Data\ReachCount;
use App\Reach\Data\ReachDecision;
use App\Reach\Data\ReachGraph;
use App\Reach\Data\ReachNode;
use App\Reach\Data\ReachPage;
use App\Reach\Data\ReachRow;
use App\Requests\Models\ChangeRequest;
use App\Structures\Index\StructureIndex;
use App\Structures\ItemRows;
use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Impact\Reach;
use Orthotaxis\Core\Impact\ReachReason;

/**
 * All that a request would touch: what hangs on its items, all that is above them up to what is sold, and the siblings of
 * these products. Computed anew whenever it is asked for; what was decided on stands beside it.
 *
 * @phpstan-import-type Found from HangsOn
 */
final readonly class ReachReader
{
    public const AT_MOST = 200;

    /** More nodes than this nobody reads. */
    public const NODES = 500;

    /**
     * @param  string  $reason  empty for all
     * @param  bool  $decided  whether only what is decided on is asked for
     */
    public function page(ChangeRequest $request, Day $day, string $reason, int $from, bool $decided = false): ReachPage
    {
        [$index, $reach] = self::reach($request, $day);
        $decisions = self::decisions($request);
        $found = self::rows($request, $index, $reach, $day, $decisions);
        $counts = array_count_values(array_map(static fn(array $row): string => $row['reason']->value, $found));
        $asked = array_values(
            array_filter(
                $found,
                static fn(array $row): bool => ($reason === '' || $row['reason']->value === $reason) &&
                    (!$decided || isset($decisions[$row['subject']])),
            ),
        );
        $counted = [];
        foreach (ReachReason::cases() as $case) {
            if (isset($counts[$case->value])) {
                $counted[] = new ReachCount($case->value, $counts[$case->value]);
            }
        }
        $settled = count(array_intersect_key($decisions, array_column($found, 'subject', 'subject')));

        return new ReachPage(
            on: (string) $day,
            counts: $counted,
            total: count($asked),
            decided: $settled,
            from: $from,
            rows: self::named($index, $reach, array_slice($asked, $from, self::AT_MOST), $decisions),
        );
    }

    public function picture(ChangeRequest $request, Day $day): ReachGraph
    {
        [$index, $reach] = self::reach($request, $day);
        $sold = $index->sold();
        // Whole ways to what is sold first, then what is nearest.
        $shown = array_fill_keys(array_keys($reach->levels, 0, true), 0);
        foreach (array_intersect_key($reach->levels, $sold) as $position => $level) {
            $path = $reach->path($position);
            if (count($shown) + count($path) <= self::NODES) {
                $shown += array_intersect_key($reach->levels, array_flip($path));
            }
        }
        $shown += array_slice(array_diff_key($reach->levels, $shown), 0, max(0, self::NODES - count($shown)), true);
        asort($shown);

        $positions = array_keys($shown);
        $known = DB::table('items')
            ->whereIntegerInRaw('id', array_map($index->positions->item(...), $positions))
            ->get(['id', 'number', 'title', 'sold'])
            ->keyBy('id');
        $revisions = $index->revisionsAt($positions);
        $places = array_flip($positions);
        $nodes = $edges = [];
        foreach ($positions as $position) {
            $item = $known[$index->positions->item($position)];
            $nodes[] = new ReachNode($item->number, $item->title, $shown[$position], $item->sold, $revisions[$position] ?? null);
            foreach ($reach->users($position) as $user) {
                if (isset($places[$user])) {
                    $edges[] = [$places[$position], $places[$user]];
                }
            }
        }

        return new ReachGraph(count($reach->levels), $nodes, $edges);
    }

    /** @return array{StructureIndex, Reach} */
    private static function reach(ChangeRequest $request, Day $day): array
    {
        $index = StructureIndex::open();

        return [$index, $index->reach($request->items->modelKeys(), $day)];
    }

    /**
     * @param  array<string, ReachDecision>  $decisions
     * @return list<Found> in the order of the reasons, nearest first
     */
    private static function rows(ChangeRequest $request, StructureIndex $index, Reach $reach, Day $day, array $decisions): array
    {
        $numbers = $request->items->pluck('number', 'id');
        $affected = array_values($request->items->modelKeys());
        $direct = self::ids($index, array_keys($reach->levels, 1, true));
        $sold = $index->sold();
        $products = array_keys(array_intersect_key($reach->levels, $sold));
        $item = static fn(ReachReason $reason, int $position, string $why): array => [
            'reason' => $reason,
            'subject' => $reason->value . ' ' . $index->positions->item($position),
            'item' => $index->positions->item($position),
            'number' => '',
            'title' => '',
            'why' => $why,
            'level' => $reach->levels[$position] ?? 0,
            'via' => $position,
        ];
        $rows = [];
        foreach (array_keys($reach->levels, 0, true) as $position) {
            // What was taken in stays under what it was taken in by, so that it can be taken back.
            $id = $index->positions->item($position);
            $taken = array_values(
                array_filter(
                    ["parent {$id}", "product {$id}", "sibling {$id}", "document {$numbers[$id]}", "tool {$numbers[$id]}"],
                    static fn(string $subject): bool => ($decisions[$subject] ?? null)?->taken === true,
                ),
            );
            $rows[] =
                $taken === []
                    ? $item(ReachReason::Affected, $position, 'Named by the request')
                    : ['subject' => $taken[0]] + $item(ReachReason::Affected, $position, 'Taken in');
        }
        $hangs = [
            ...HangsOn::documents($affected, $direct),
            ...HangsOn::plants($affected, $day),
            ...HangsOn::operations($affected, $day),
            ...HangsOn::openChanges($request, $affected, self::ids($index, array_keys(array_filter($reach->levels)))),
        ];
        usort(
            $hangs,
            static fn(array $a, array $b): int => [array_search($a['reason'], ReachReason::cases(), true), $a['level'], $a['subject']] <=> [
                array_search($b['reason'], ReachReason::cases(), true),
                $b['level'],
                $b['subject'],
            ],
        );
        foreach ($hangs as $row) {
            $rows[] = ['via' => $index->positions->of($row['via'])] + $row;
        }
        foreach ($products as $position) {
            if ($reach->levels[$position] > 0) {
                $rows[] = $item(ReachReason::Product, $position, 'Is sold and has it inside');
            }
        }
        foreach ($reach->siblings($products, $sold) as $sibling => $product) {
            $rows[] = ['via' => $product] + $item(ReachReason::Sibling, $sibling, '');
        }
        foreach ($reach->levels as $position => $level) {
            if ($level > 0 && !isset($sold[$position])) {
                $rows[] = $item(
                    ReachReason::Parent,
                    $position,
                    $level === 1 ? 'Has it in a line of its own' : "Has it inside, {$level} levels down",
                );
            }
        }

        // A tool may serve two operations, and an item be reached as it is on the day and as one revision of it.
        $once = [];
        foreach ($rows as $row) {
            $once[$row['subject']] ??= $row;
        }

        return array_values($once);
    }

    /**
     * @param  list<Found>  $rows
     * @param  array<string, ReachDecision>  $decisions
     * @return list<ReachRow>
     */
    private static function named(StructureIndex $index, Reach $reach, array $rows, array $decisions): array
    {
        $paths = array_map(static fn(array $row): array => self::ids($index, $reach->path($row['via'])), $rows);
        $items = ItemRows::byId(array_values(array_unique(array_filter(array_column($rows, 'item')))));
        $numbers = Item::query()
            ->toBase()
            ->whereIntegerInRaw('id', array_values(array_unique(array_merge(...$paths))))
            ->pluck('number', 'id');
        $named = [];
        foreach ($rows as $i => $row) {
            $item = $row['item'] === null ? null : $items[$row['item']];
            $path = array_map(static fn(int $id): string => $numbers[$id], $paths[$i]);
            $named[] = new ReachRow(
                subject: $row['subject'],
                reason: $row['reason']->value,
                number: $item->number ?? $row['number'],
                title: $item->title ?? $row['title'],
                why: $row['reason'] === ReachReason::Sibling ? 'Shares at least half of its components with ' . end($path) : $row['why'],
                level: $row['level'],
                path: $path,
                item: $item,
                decision: $decisions[$row['subject']] ?? null,
            );
        }

        return $named;
    }

    /** @return array<string, ReachDecision> by subject */
    private static function decisions(ChangeRequest $request): array
    {
        return DB::table('reach_decisions as d')
            ->join('people as p', 'p.id', '=', 'd.person_id')
            ->where('request_id', $request->id)
            ->get(['d.id', 'subject', 'taken', 'reason', 'name', 'decided_at'])
            ->mapWithKeys(
                static fn(\stdClass $row): array => [
                    $row->subject => new ReachDecision($row->id, $row->taken, $row->reason, $row->name, $row->decided_at),
                ],
            )
            ->all();
    }

    /**
     * @param  list<int>  $positions
     * @return list<int>
     */
    private static function ids(StructureIndex $index, array $positions): array
    {
        return array_map($index->positions->item(...), $positions);
    }
}
