<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Structure;

use Orthotaxis\Core\Calendar\Day;

/**
 * The lines of one parent, in the order of their find numbers.
 *
 * @implements \IteratorAggregate<string, Line>
 */
final readonly class Structure implements \Countable, \IteratorAggregate
{
    /** @var array<string, Line> by key */
    public array $lines;

    /** @param  iterable<Line>  $lines */
    public function __construct(iterable $lines = [])
    {
        $byKey = [];
        $last = null;
        // They mostly come in order: a structure is made of another one with every edit.
        $inOrder = true;
        foreach ($lines as $line) {
            // Written out: with every edit it is asked of every line.
            $inOrder =
                $inOrder &&
                ($last === null || $last->find < $line->find || ($last->find === $line->find && strcmp($last->key, $line->key) < 0));
            $byKey[$line->key] = $last = $line;
        }
        if (!$inOrder) {
            uasort($byKey, self::order(...));
        }
        $this->lines = $byKey;
    }

    private static function order(Line $a, Line $b): int
    {
        return $a->find <=> $b->find ?: strcmp($a->key, $b->key);
    }

    public function line(string $key): ?Line
    {
        return $this->lines[$key] ?? null;
    }

    /** A line as people call it: by its find number and component. */
    public function called(string $key): string
    {
        $line = $this->line($key);

        return $line === null ? 'a line' : "line {$line->find} {$line->component}";
    }

    public function on(Day $day): self
    {
        return new self(array_filter($this->lines, static fn(Line $line): bool => $line->validity->holdsOn($day)));
    }

    public function with(Line $line): self
    {
        return new self([...$this->lines, $line->key => $line]);
    }

    public function without(string $key): self
    {
        return new self(array_diff_key($this->lines, [$key => true]));
    }

    /** @return list<string> the item numbers of the components, each once */
    public function components(): array
    {
        return array_values(array_unique(array_map(static fn(Line $line): string => $line->component, array_values($this->lines))));
    }

    public function count(): int
    {
        return count($this->lines);
    }

    /** @return \ArrayIterator<string, Line> */
    public function getIterator(): \ArrayIterator
    {
        return new \ArrayIterator($this->lines);
    }
}
