<?php

declare(strict_types=1);

namespace App\Imports;

use App\Structures\PinnedRevisions;
use App\Structures\StructureReader;
use App\Structures\StructureView;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Comparison\Difference;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\FileColumn;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineReader;
use Orthotaxis\Core\Structure\Structure;
use Orthotaxis\Core\Structure\StructureKind;

/**
 * Rows of a file that are of one revision of their parent, because a line of the file names that revision. What is released
 * never changes: they have to say what is there already, and are not written.
 */
final class NamedRevisionRows
{
    /** Held in memory to be compared: named revisions are few, and the rest of a file is of what is new. */
    private const MOST = 40_000;

    private int $rows = 0;

    /** @var array<string, array{string, string, array<int, Line>}> number, revision and lines by row, by what Line::pinned says */
    private array $parents = [];

    /** @param  array<string, string>  $row */
    public function row(int $number, array $row, Faults $faults): void
    {
        if (++$this->rows > self::MOST) {
            throw Refusal::at(
                'file',
                'At most ' . number_format(self::MOST) . ' rows of revisions that lines name are compared. Leave out those that are here.',
            );
        }
        $revision = $row[FileColumn::ParentRevision->value];
        try {
            // The identity of a line says nothing of what it is.
            $this->parents[Line::pinned($row['parent'], $revision)] ??= [$row['parent'], $revision, []];
            $this->parents[Line::pinned($row['parent'], $revision)][2][$number] = (new LineReader())->read(
                "row {$number}",
                FileColumn::fieldsOf($row),
            );
        } catch (Refusal $refusal) {
            foreach ($refusal->reasons as $field => $reason) {
                $faults->add($number, $field, $reason);
            }
        }
    }

    /** Names every row that is not what the named revision says. */
    public function compare(StructureKind $kind, Faults $faults): void
    {
        $ids = PinnedRevisions::named(array_map(static fn(array $parent): array => [$parent[0], $parent[1]], array_values($this->parents)));
        $there = (new StructureReader())->ofRevisions(array_values($ids), new StructureView($kind));
        foreach ($this->parents as $key => [$number, $revision, $lines]) {
            $first = (int) array_key_first($lines);
            if (!isset($ids[$key])) {
                $faults->add(
                    $first,
                    FileColumn::ParentRevision->value,
                    "{$number} has no released revision {$revision}. It has to be there before a line can name it.",
                );

                continue;
            }
            foreach (Comparison::of($there[$ids[$key]] ?? new Structure(), new Structure($lines))->changes() as $difference) {
                $faults->add(
                    self::place($difference, $first),
                    FileColumn::ParentRevision->value,
                    "Revision {$revision} of {$number} is released and does not read so: what is released never changes.",
                );
            }
        }
    }

    private static function place(Difference $difference, int $first): int
    {
        return $difference->after === null ? $first : (int) substr($difference->after->key, strlen('row '));
    }
}
