<?php

declare(strict_types=1);

namespace App\Structures\Compare;

use Orthotaxis\Core\Comparison\LineSet;
use Orthotaxis\Core\Comparison\Side;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/**
 * A side whose top is given line by line (a certain revision, what an order makes of it, a file), with the released
 * structure of a day below. The given lines have no digests: they are read and compared in full.
 */
final readonly class FixedSide implements NamedSide
{
    /** @var array<int, Line> by a number of its own */
    private array $lines;

    /** @param  array<string, int>  $components  position by item number and by what Line::below says, for all that the lines name */
    public function __construct(private IndexSide $below, private int $top, Structure $structure, private array $components)
    {
        // Numbers that no identity, digest or line of the other side has.
        $number = -random_int(1 << 40, 1 << 60);
        $lines = [];
        foreach ($structure as $line) {
            $lines[$number--] = $line;
        }
        $this->lines = $lines;
    }

    public function lines(int $item): LineSet
    {
        if ($item !== $this->top) {
            return $this->below->lines($item);
        }
        $numbers = array_keys($this->lines);

        return new LineSet(
            $numbers,
            $numbers,
            $numbers,
            array_map(
                fn(Line $line): int => $this->components[$line->below()] ?? $this->components[$line->component],
                array_values($this->lines),
            ),
        );
    }

    public function read(array $lines): array
    {
        $own = array_intersect_key($this->lines, array_flip($lines));
        $others = array_values(array_diff($lines, array_keys($own)));

        return $own + ($others === [] ? [] : $this->below->read($others));
    }

    public function numbers(array $items): array
    {
        return $this->below->numbers($items);
    }

    public function agreesBelow(Side $other): bool
    {
        return ($other instanceof self ? $other->below : $other)->agreesBelow($this->below);
    }

    public function isSame(int $item, Side $other, int $otherItem): bool
    {
        return $other instanceof FileSide
            ? $other->isSame($otherItem, $this, $item)
            : $item === $otherItem && $item !== $this->top && $this->agreesBelow($other);
    }
}
