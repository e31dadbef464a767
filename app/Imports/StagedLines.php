<?php

declare(strict_types=1);

namespace App\Imports;

use App\Structures\Models\StructureLine;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Adjacency\LoopSearch;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\StructureKind;

/** The lines of a file of structures, each good by itself: what they say together, and how they are written. */
final class StagedLines
{
    private const AT_ONCE = 2_000;

    /** So many uses are looked through for a loop in memory; of more, the lowest levels are left out first. */
    private const SEARCHED = 100_000;

    private const MOST_LEVELS = 100;

    /** Of the line, in the order of StructureLine::columns(). */
    private const OF_LINE = [
        'line_key' => 'uuid',
        'find' => 'integer',
        'component_id' => 'bigint',
        'pinned_id' => 'bigint',
        'quantity' => 'bigint',
        'unit' => 'text',
        'designators' => 'text',
        'notes' => 'text',
        'operation' => 'integer',
        'scrap' => 'integer',
        'takes_over' => 'uuid',
        'not_modelled' => 'boolean',
        'phantom' => 'boolean',
        'by_product' => 'boolean',
        'valid_from' => 'date',
        'valid_to' => 'date',
    ];

    private readonly Staging $rows;

    public function __construct()
    {
        $this->rows = new Staging('staged_lines', [
            'row' => 'integer',
            'parent_id' => 'bigint',
            'parent' => 'text',
            'component' => 'text',
            'named' => 'boolean',
            ...self::OF_LINE,
        ]);
    }

    /** @param  bool  $named  whether the file gives the line its identity */
    public function add(int $row, int $parent, string $parentNumber, Line $line, int $component, ?int $pinned, bool $named): void
    {
        $values = array_values(StructureLine::columns($line, $component, $pinned));
        $this->rows->row([$row, $parent, $parentNumber, $line->component, $named, ...$values]);
    }

    public function count(): int
    {
        return $this->rows->count();
    }

    public function refuseRepeated(Faults $faults): void
    {
        $this->rows->refuseRepeated(
            ['parent_id', 'line_key'],
            'named',
            'line',
            static fn(\stdClass $row): string => "This line stands in row {$row->before} already.",
            $faults,
        );
        $this->rows->refuseRepeated(
            ['parent_id', 'find'],
            'true',
            'find',
            static fn(\stdClass $row): string => "Find number {$row->find} of {$row->parent} stands in row {$row->before} already.",
            $faults,
        );
    }

    /** What is not released has to get its structure, and with it its first revision, by the same file. */
    public function refuseUnreleased(Faults $faults): void
    {
        $this->rows->refuse(
            "SELECT min(row) AS row, component FROM staged_lines line
            WHERE NOT EXISTS (SELECT 1 FROM staged_lines own WHERE own.parent_id = line.component_id)
                AND NOT EXISTS (SELECT 1 FROM revisions WHERE item_id = line.component_id AND status = 'released')
            GROUP BY component",
            'component',
            static fn(
                \stdClass $row,
            ): string => "{$row->component} is not released. Take it over with its revision first, or give its structure in this file.",
            $faults,
        );
    }

    /** A loop goes only through items that the file gives structures: what has one already is not given another. */
    public function refuseLoop(Faults $faults): void
    {
        if (!$this->rows->filled()) {
            return;
        }
        $loop = LoopSearch::in($this->usesThatMayLoop());
        if ($loop === null) {
            return;
        }
        $names = DB::table('items')->whereIn('id', $loop)->pluck('number', 'id');
        $faults->add(
            (int) DB::table('staged_lines')->where('parent_id', $loop[0])->where('component_id', $loop[1])->min('row'),
            'component',
            'A structure would contain itself: ' . implode(' › ', array_map(static fn(int $id): string => $names[$id], $loop)) . '.',
        );
    }

    /** @return list<int> the next items that get a structure, by their ids; empty after the last */
    public function parentsAfter(int $id): array
    {
        /** @var list<int> */
        return DB::table('staged_lines')
            ->distinct()
            ->where('parent_id', '>', $id)
            ->orderBy('parent_id')
            ->limit(self::AT_ONCE)
            ->pluck('parent_id')
            ->all();
    }

    /** Writes them to the content of the kind that is in review for each parent. */
    public function write(StructureKind $kind): void
    {
        $columns = implode(', ', array_keys(self::OF_LINE));
        DB::insert(
            "INSERT INTO structure_lines (content_id, {$columns}) SELECT content.id, {$columns}
            FROM staged_lines JOIN contents content ON content.item_id = parent_id AND content.kind = ? AND content.status = 'in_review' ORDER BY row",
            [$kind->value],
        );
    }

    /**
     * @return array<int, list<int>> item => what it is made of, without what can be in no loop where that is much
     *
     * @throws Refusal when what is left is too much to be looked through
     */
    private function usesThatMayLoop(): array
    {
        DB::statement('DROP TABLE IF EXISTS pg_temp.staged_uses');
        DB::statement('CREATE TEMPORARY TABLE staged_uses AS SELECT DISTINCT parent_id, component_id FROM staged_lines');
        DB::statement('CREATE INDEX ON staged_uses (parent_id)');
        DB::statement('ANALYZE staged_uses');
        // What is made of nothing that the file gives a structure is in no loop; then what is made of nothing but that.
        $lowest = 'DELETE FROM staged_uses use WHERE NOT EXISTS (SELECT 1 FROM staged_uses of WHERE of.parent_id = use.component_id)';
        for ($level = 1; DB::table('staged_uses')->count() > self::SEARCHED; $level++) {
            if ($level > self::MOST_LEVELS || DB::delete($lowest) === 0) {
                throw Refusal::at('file', 'Too many structures of this file contain each other to be looked through at once. Split it.');
            }
        }
        $components = [];
        foreach (DB::cursor('SELECT parent_id, component_id FROM staged_uses ORDER BY parent_id, component_id') as $use) {
            $components[$use->parent_id][] = $use->component_id;
        }

        return $components;
    }
}
