<?php

declare(strict_types=1);

namespace Tests\Core\Support;

use Orthotaxis\Core\Comparison\LineSet;
use Orthotaxis\Core\Comparison\Side;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\Structure;

/** A side of a comparison in memory. Items P-1, P-2 … are named 1, 2 …; a line is read by a number of its own. */
final class Memory implements Side
{
    /** @var array<int, Line> */
    private array $lines = [];

    /** @var array<int, LineSet> */
    private array $sets = [];

    public int $read = 0;

    /** @param  array<int, Structure>  $structures  by item */
    public function __construct(array $structures)
    {
        foreach ($structures as $item => $structure) {
            $columns = [[], [], [], []];
            foreach ($structure as $line) {
                $this->lines[] = $line;
                $columns[0][] = array_key_last($this->lines);
                $columns[1][] = crc32($line->key);
                $columns[2][] = crc32(implode('|', array_map($line->text(...), LineField::cases())));
                $columns[3][] = (int) substr($line->component, 2);
            }
            $this->sets[$item] = new LineSet(...$columns);
        }
    }

    public function lines(int $item): LineSet
    {
        return $this->sets[$item] ?? new LineSet([], [], [], []);
    }

    public function read(array $lines): array
    {
        $this->read += count($lines);

        return array_intersect_key($this->lines, array_flip($lines));
    }

    public function agreesBelow(Side $other): bool
    {
        return $other === $this;
    }

    public function isSame(int $item, Side $other, int $otherItem): bool
    {
        return $item === $otherItem && $other === $this;
    }
}
