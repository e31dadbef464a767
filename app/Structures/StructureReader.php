<?php

declare(strict_types=1);

namespace App\Structures;

use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Structure\Structure;
use Orthotaxis\Core\Structure\StructureKind;

/** Brings structures from the database to core. */
final readonly class StructureReader
{
    /**
     * The lines of some contents, in one go.
     *
     * @param  list<int>  $contents  ids
     * @return array<int, Structure> by content id; empty structures are left out
     */
    public function ofContents(array $contents): array
    {
        return array_map(
            static fn(array $lines): Structure => new Structure($lines),
            $contents === [] ? [] : (new LineLoader())->ofContents($contents),
        );
    }

    /**
     * Of some contents only the lines of some components, in one go.
     *
     * @param  list<int>  $contents  ids
     * @param  non-empty-list<int>  $components  ids
     * @return array<int, Structure> by content id; what has none is left out
     */
    public function ofComponents(array $contents, array $components): array
    {
        return array_map(
            static fn(array $lines): Structure => new Structure($lines),
            $contents === [] ? [] : (new LineLoader())->ofComponents($contents, $components),
        );
    }

    public function ofContent(?int $content): Structure
    {
        return $content === null ? new Structure() : $this->ofContents([$content])[$content] ?? new Structure();
    }

    /**
     * The lines of some revisions as one looks at them, in one go.
     *
     * @param  list<int>  $revisions  ids
     * @return array<int, Structure> by revision id; empty structures are left out
     */
    public function ofRevisions(array $revisions, StructureView $view = new StructureView()): array
    {
        return array_map(
            static fn(array $lines): Structure => new Structure($lines),
            $revisions === [] ? [] : (new LineLoader())->ofRevisions($revisions, $view),
        );
    }

    /**
     * What holds of items on a day.
     *
     * @param  array<int, ?int>  $items  item => the revision in force on the day, if there is one
     * @return array<int, Structure> by item; of what has no lines nothing
     */
    public function ofItemsOn(array $items, StructureView $view, Day $day): array
    {
        if ($view->kind === StructureKind::Manufacturing) {
            return array_map(
                static fn(array $lines): Structure => new Structure($lines),
                $items === [] ? [] : (new LineLoader())->ofItemsOn(array_keys($items), $view, $day),
            );
        }
        $read = $this->ofRevisions(array_values(array_filter($items, is_int(...))), $view);
        $structures = [];
        foreach ($items as $item => $revision) {
            if ($revision !== null && isset($read[$revision])) {
                $structures[$item] = $read[$revision];
            }
        }

        return $structures;
    }

    public function ofRevision(?int $revision, StructureView $view = new StructureView()): Structure
    {
        return $revision === null ? new Structure() : $this->ofRevisions([$revision], $view)[$revision] ?? new Structure();
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
        $rows = DB::select(
            "
            WITH RECURSIVE below (item) AS (
                SELECT unnest(?::bigint[])
                UNION
                SELECT l.component_id FROM below JOIN contents r ON r.item_id = below.item AND r.kind = ?
                JOIN structure_lines l ON l.content_id = r.id
                WHERE r.status IN ('released','superseded') AND (r.effective_to IS NULL OR r.effective_to > ?)
            )
            SELECT DISTINCT r.item_id AS parent, l.component_id AS component
            FROM below JOIN contents r ON r.item_id = below.item AND r.kind = ? JOIN structure_lines l ON l.content_id = r.id
            WHERE r.status IN ('released','superseded') AND (r.effective_to IS NULL OR r.effective_to > ?)",
            ['{' . implode(',', $items) . '}', $kind->value, (string) $from, $kind->value, (string) $from],
        );
        $components = [];
        foreach ($rows as $row) {
            $components[$row->parent][] = $row->component;
        }

        return $components;
    }
}
