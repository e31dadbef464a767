<?php

declare(strict_types=1);

namespace App\Structures;

use App\Structures\Models\StructureLine;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;
use Orthotaxis\Core\Structure\StructureKind;
use Orthotaxis\Core\Structure\Usage;

/** Brings structures from the database to core. */
final readonly class StructureReader
{
    /** A revision holds on a day; in SQL, with the day given twice. */
    private const HOLDS = "r.status IN ('released','superseded','obsolete') AND r.effective_from <= ? AND (r.effective_to IS NULL OR r.effective_to > ?)
        AND (l.valid_from IS NULL OR l.valid_from <= ?) AND (l.valid_to IS NULL OR l.valid_to > ?)";

    /**
     * The lines of some revisions, in one go.
     *
     * @param  list<int>  $revisions  ids
     * @return array<int, Structure> by revision id; empty structures are left out
     */
    public function ofRevisions(array $revisions, StructureKind $kind = StructureKind::Engineering): array
    {
        return StructureLine::query()->with('component')->whereIn('revision_id', $revisions)->where('kind', $kind->value)->get()
            ->groupBy('revision_id')
            ->map(static fn (Collection $lines): Structure => new Structure($lines->map(static fn (StructureLine $line): Line => $line->toCore())))
            ->all();
    }

    public function ofRevision(?int $revision, StructureKind $kind = StructureKind::Engineering): Structure
    {
        return $revision === null ? new Structure : ($this->ofRevisions([$revision], $kind)[$revision] ?? new Structure);
    }

    /**
     * Every usage on a way upward from some items on a day.
     *
     * @param  list<int>  $items  ids
     * @return list<Usage> quantities in the component's own unit
     */
    public function usagesAbove(array $items, Day $day, StructureKind $kind = StructureKind::Engineering): array
    {
        $on = array_fill(0, 4, (string) $day);
        /** @var list<\stdClass> $rows */
        $rows = DB::select('
            WITH RECURSIVE above (item) AS (
                SELECT unnest(?::bigint[])
                UNION
                SELECT r.item_id FROM above JOIN structure_lines l ON l.component_id = above.item AND l.kind = ?
                JOIN revisions r ON r.id = l.revision_id WHERE '.self::HOLDS.'
            )
            SELECT r.item_id AS parent, l.component_id AS component, l.quantity, l.unit, c.unit AS item_unit
            FROM above JOIN structure_lines l ON l.component_id = above.item AND l.kind = ?
            JOIN revisions r ON r.id = l.revision_id JOIN items c ON c.id = l.component_id
            WHERE '.self::HOLDS,
            ['{'.implode(',', $items).'}', $kind->value, ...$on, $kind->value, ...$on],
        );

        return array_map(static fn (\stdClass $row): Usage => new Usage(
            $row->parent,
            $row->component,
            Unit::from($row->unit)->convert(Quantity::ofMillionths($row->quantity), Unit::from($row->item_unit)),
        ), $rows);
    }

    /**
     * What is directly in each item that is below some items, in any revision that holds or will hold: the ground on
     * which a loop is looked for.
     *
     * @param  list<int>  $items  ids
     * @return array<int, list<int>> item => components
     */
    public function componentsBelow(array $items, Day $from, StructureKind $kind = StructureKind::Engineering): array
    {
        $rows = DB::select("
            WITH RECURSIVE below (item) AS (
                SELECT unnest(?::bigint[])
                UNION
                SELECT l.component_id FROM below JOIN revisions r ON r.item_id = below.item
                JOIN structure_lines l ON l.revision_id = r.id AND l.kind = ?
                WHERE r.status IN ('released','superseded') AND (r.effective_to IS NULL OR r.effective_to > ?)
            )
            SELECT DISTINCT r.item_id AS parent, l.component_id AS component
            FROM below JOIN revisions r ON r.item_id = below.item JOIN structure_lines l ON l.revision_id = r.id AND l.kind = ?
            WHERE r.status IN ('released','superseded') AND (r.effective_to IS NULL OR r.effective_to > ?)",
            ['{'.implode(',', $items).'}', $kind->value, (string) $from, $kind->value, (string) $from],
        );
        $components = [];
        foreach ($rows as $row) {
            $components[$row->parent][] = $row->component;
        }

        return $components;
    }
}
