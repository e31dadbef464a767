<?php

declare(strict_types=1);

namespace App\Structures;

use App\Structures\Data\LineRow;
use App\Structures\Data\RevisionRow;
use App\Structures\Data\TreePage;
use App\Structures\Data\TreeRow;
use App\Structures\Index\PinnedNode;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use App\Structures\Models\Revision;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Adjacency\Span;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Revision\DatedRevision;
use Orthotaxis\Core\Revision\Phase;
use Orthotaxis\Core\Revision\RevisionStatus;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;
use Orthotaxis\Core\Structure\StructureKind;
use Orthotaxis\Core\Structure\Tree;
use Orthotaxis\Core\Structure\TreeRow as CoreRow;

/** Reads a structure as a tree, some levels at once. */
final readonly class TreeReader
{
    /** Rows given at once. What has more is opened branch by branch, or read summed up. */
    public const AT_MOST = 5_000;

    public const DEEPEST = 30;

    public function __construct(private StructureReader $structures) {}

    /**
     * @param  bool  $anyTime  every line of the revisions of that day, whenever it holds
     * @param  ?Overlay  $planned  given, what is planned is laid over what is released
     */
    public function read(
        Item $item,
        StructureView $view,
        Day $day,
        bool $anyTime,
        int $levels,
        Quantity $times,
        ?string $revision = null,
        ?Overlay $planned = null,
    ): TreePage {
        $index = StructureIndex::open($view);
        $revisions = Revision::query()
            ->with(['order', 'releasedBy'])
            ->where('item_id', $item->id);
        $top =
            $revision === null
                ? $revisions->tap(Revision::effectiveOn($day))->first()
                : $revisions->where('code', $revision)->firstOrFail();
        $lines =
            $revision === null
                ? $this->structures->ofItemsOn([$item->id => $top?->id], $view, $day)[$item->id] ?? new Structure()
                : $this->structures->ofRevision($top?->id, $view);
        $structures = [$item->number => $anyTime ? $lines : $lines->on($day)];
        $structures = $planned?->over($structures, $day) ?? $structures;
        $components = $pinned = [];
        $open = [$structures[$item->number]];
        for ($level = 1; $open !== []; $level++) {
            $lines = array_merge(...array_values(array_map(static fn(Structure $one): array => array_values($one->lines), $open)));
            $wanted = array_diff(
                array_unique(array_map(static fn(Line $line): string => $line->component, $lines)),
                array_map(strval(...), array_keys($components)),
            );
            $components += Item::query()->whereIn('number', $wanted)->get()->keyBy('number')->all();
            $pinned += PinnedRevisions::ids($lines);
            if ($level >= $levels || count($components) > self::AT_MOST) {
                break;
            }
            $opening = [];
            foreach ($lines as $line) {
                if (!isset($structures[$line->below()]) && self::opens($index, self::node($line, $components, $pinned), $day)) {
                    $opening[$line->below()] = $line;
                }
            }
            $below = $this->below($opening, $components, $pinned, $view, $day, $anyTime);
            $open = $planned?->over($below, $day) ?? $below;
            $structures += $open;
        }

        $rows = $numbers = [];
        $more = false;
        foreach (
            Tree::rows($item->number, $structures, array_map(static fn(Item $one): Unit => $one->unit, $components), $levels, $times)
            as $row
        ) {
            if (count($rows) === self::AT_MOST) {
                $more = true;
                break;
            }
            $rows[] = $row;
            $numbers[$row->line->component] = true;
        }
        $shown = ItemRows::byNumber(array_map(strval(...), array_keys($numbers)));
        $opens = [];
        foreach ($rows as $row) {
            $opens[$row->line->below()] ??= self::opens($index, self::node($row->line, $components, $pinned), $day);
        }

        $applying = self::applying($rows, $components, $pinned, $day);
        $built = self::built($item, $view);
        // Plants count apart from engineering.
        $shownRevision =
            $view->kind === StructureKind::Manufacturing && $revision === null
                ? $built->first(static fn(Revision $one): bool => $one->dated()->phase($day) === Phase::InForce)
                : $top;

        return new TreePage(
            number: $item->number,
            kind: $view->kind->value,
            plant: $view->plant,
            on: (string) $day,
            any_time: $anyTime,
            revision: $shownRevision === null ? null : RevisionRow::of($shownRevision, $day),
            built: $built->map(static fn(Revision $one): RevisionRow => RevisionRow::of($one, $day))->values()->all(),
            built_at: $built->first()?->plant,
            levels: $levels,
            more: $more,
            rows: array_map(static function (CoreRow $row) use ($shown, $applying, $opens, $components, $day, $planned): TreeRow {
                $mark = $planned?->mark($row->parent, $row->line->key);

                return new TreeRow(
                    path: implode('/', $row->path),
                    level: $row->level(),
                    line: LineRow::of($row->line),
                    item: $shown[$row->line->component],
                    revision: $applying[$row->line->below()][0] ?? null,
                    status: $applying[$row->line->below()][1] ?? 'in_work',
                    opens: $opens[$row->line->below()],
                    extended: (string) $row->extended,
                    times: (string) $row->line->unit->convert($row->extended, $components[$row->line->component]->unit),
                    holds: $row->line->validity->holdsOn($day),
                    mark: $mark?->value,
                    order: $mark === null ? null : $planned->plannedBy($row->parent),
                );
            }, $rows),
        );
    }

    /** @return Collection<int, Revision> of what a plant builds, as the view shows it; newest first */
    private static function built(Item $item, StructureView $view): Collection
    {
        if ($view->kind !== StructureKind::Manufacturing) {
            return new Collection();
        }
        $rows = DB::select(
            "SELECT of.* FROM contents of WHERE of.item_id = ? AND {$view->contents()} AND of.status NOT IN ('in_work', 'in_review')
            ORDER BY of.id DESC",
            [$item->id],
        );

        return Revision::query()
            ->hydrate(array_map(get_object_vars(...), $rows))
            ->load(['order', 'releasedBy'])
            ->toBase();
    }

    /**
     * The revision that goes in for each line on the day.
     *
     * @param  list<CoreRow>  $rows
     * @param  array<array-key, Item>  $components  by number
     * @param  array<string, int>  $pinned
     * @return array<string, array{string, string}> code and phase on the day, by what is below the line
     */
    private static function applying(array $rows, array $components, array $pinned, Day $day): array
    {
        $items = $revisions = [];
        foreach ($rows as $row) {
            if ($row->line->revision === null) {
                $items[$row->line->below()] = $components[$row->line->component]->id;
            } else {
                $revisions[$row->line->below()] = $pinned[$row->line->below()] ?? 0;
            }
        }
        $found = [];
        foreach (
            DB::select(
                "
            SELECT 'i' || item_id AS of, code, status, effective_from, effective_to FROM revisions WHERE item_id = ANY (?::bigint[]) AND status NOT IN ('in_work', 'in_review')
                AND effective_from <= ? AND (effective_to IS NULL OR effective_to > ?)
            UNION ALL SELECT 'r' || id, code, status, effective_from, effective_to FROM revisions WHERE id = ANY (?::bigint[])",
                ['{' . implode(',', array_unique($items)) . '}', (string) $day, (string) $day, '{' . implode(',', $revisions) . '}'],
            )
            as $row
        ) {
            $one = DatedRevision::kept($row->code, RevisionStatus::from($row->status), $row->effective_from, $row->effective_to);
            $found[$row->of] = [$one->code, $one->phase($day)->value];
        }

        return array_filter([
            ...array_map(static fn(int $id): ?array => $found["i{$id}"] ?? null, $items),
            ...array_map(static fn(int $id): ?array => $found["r{$id}"] ?? null, $revisions),
        ]);
    }

    /**
     * @param  array<array-key, Line>  $lines  by what is below them
     * @param  array<array-key, Item>  $components  by number
     * @param  array<string, int>  $pinned  revisions that lines name, by what is below them
     * @return array<string, Structure> by what is below the lines
     */
    private function below(array $lines, array $components, array $pinned, StructureView $view, Day $day, bool $anyTime): array
    {
        $items = array_map(
            static fn(Line $line): int => $components[$line->component]->id,
            array_filter($lines, static fn(Line $line): bool => $line->revision === null),
        );
        $revisions = Revision::query()->tap(Revision::effectiveOn($day))->whereIn('item_id', $items)->pluck('id', 'item_id');
        $current = [];
        foreach ($items as $item) {
            $current[$item] = $revisions[$item] ?? null;
        }
        $ofItems = $this->structures->ofItemsOn($current, $view, $day);
        $named = array_intersect_key($pinned, array_diff_key($lines, $items));
        $ofRevisions = $this->structures->ofRevisions(array_values($named), $view);
        $structures = [];
        foreach (array_keys($lines) as $below) {
            $read = isset($items[$below]) ? $ofItems[$items[$below]] ?? null : $ofRevisions[$pinned[$below]] ?? null;
            if ($read !== null) {
                $structures[(string) $below] = $anyTime ? $read : $read->on($day);
            }
        }

        return $structures;
    }

    /**
     * What stands below a line in the index.
     *
     * @param  array<array-key, Item>  $components  by number
     * @param  array<string, int>  $pinned
     */
    private static function node(Line $line, array $components, array $pinned): int
    {
        return $line->revision === null ? $components[$line->component]->id : PinnedNode::of($pinned[$line->below()]);
    }

    /** Whether something stands below a node on that day. */
    private static function opens(StructureIndex $index, int $node, Day $day): bool
    {
        $list = $index->adjacency->downOf($index->positions->of($node));
        for ($i = 4, $n = count($list), $number = $day->number(); $i < $n; $i += 3) {
            if (Span::holdsOn($list[$i], $number)) {
                return true;
            }
        }

        return false;
    }
}
