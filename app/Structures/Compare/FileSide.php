<?php

declare(strict_types=1);

namespace App\Structures\Compare;

use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use App\Structures\PinnedRevisions;
use Orthotaxis\Core\Comparison\LineSet;
use Orthotaxis\Core\Comparison\Side;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/**
 * Structures of a file as a side of a comparison. Items we know are named by their positions in the index, others by
 * numbers beyond all of these. Its lines have no digests: they are read and compared in full.
 */
final class FileSide implements NamedSide
{
    /** @var array<string, int> item number, or what Line::pinned says => position */
    private array $positions = [];

    /** @var array<int, string> */
    private array $numbers = [];

    /** @var array<int, LineSet> */
    private array $sets = [];

    /** @var array<int, Line> */
    private array $lines = [];

    /** @param  array<string, Structure>  $structures  by item number, or by what Line::pinned says of one revision */
    public function __construct(array $structures, StructureIndex $index)
    {
        $numbers = array_map(strval(...), array_keys($structures));
        foreach ($structures as $structure) {
            $numbers = [...$numbers, ...array_map(static fn(Line $line): string => $line->below(), array_values($structure->lines))];
        }
        $numbers = array_values(array_unique($numbers));
        foreach (Item::query()->whereIn('number', $numbers)->pluck('id', 'number') as $number => $id) {
            $this->positions[(string) $number] = $index->positions->of($id);
        }
        foreach (
            PinnedRevisions::ids(
                array_merge(...array_map(static fn(Structure $one): array => array_values($one->lines), array_values($structures))),
            )
            as $pinned => $revision
        ) {
            $position = $index->positions->ofKnownRevision($revision);
            if ($position !== null) {
                $this->positions[$pinned] = $position;
            }
        }
        $next = $index->positions->end() + 1_000_000;
        foreach ($numbers as $number) {
            $this->positions[$number] ??= $next++;
        }
        $this->numbers = array_map(
            static fn(int|string $below): string => strtok((string) $below, "\n") ?: '',
            array_flip($this->positions),
        );
        // Numbers that no line, identity or digest of the other side has.
        $id = -random_int(1 << 40, 1 << 60);
        foreach ($structures as $parent => $structure) {
            $ids = $components = [];
            foreach ($structure as $line) {
                $this->lines[$id] = $line;
                $ids[] = $id--;
                $components[] = $this->positions[$line->below()];
            }
            $this->sets[$this->positions[$parent]] = new LineSet($ids, $ids, $ids, $components);
        }
    }

    public function lines(int $item): LineSet
    {
        return $this->sets[$item] ?? new LineSet([], [], [], []);
    }

    public function read(array $lines): array
    {
        return array_intersect_key($this->lines, array_flip($lines));
    }

    public function agreesBelow(Side $other): bool
    {
        return false;
    }

    /** What the file says nothing about is not compared. */
    public function isSame(int $item, Side $other, int $otherItem): bool
    {
        return $item === $otherItem && !isset($this->sets[$item]);
    }

    public function numbers(array $items): array
    {
        return array_intersect_key($this->numbers, array_flip($items));
    }
}
