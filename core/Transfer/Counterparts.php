<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Transfer;

use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/** The lines of a structure by what is looked for: their component, or their find number. A thousand edits ask a thousand times. */
final readonly class Counterparts
{
    /**
     * @param  array<array-key, non-empty-list<Line>>  $byComponent  in the order of find numbers
     * @param  array<int, non-empty-list<Line>>  $byFind
     */
    private function __construct(private array $byComponent, private array $byFind) {}

    public static function in(Structure $structure): self
    {
        $byComponent = $byFind = [];
        foreach ($structure->lines as $line) {
            if (!$line->byProduct) {
                $byComponent[$line->component][] = $line;
            }
            $byFind[$line->find][] = $line;
        }

        return new self($byComponent, $byFind);
    }

    /**
     * @param  callable(Line): bool  $such
     * @return list<Line> that have a component, and nothing comes out of them; by find number
     */
    public function having(string $component, callable $such): array
    {
        $having = [];
        foreach ($this->byComponent[$component] ?? [] as $line) {
            if ($such($line)) {
                $having[] = $line;
            }
        }

        return $having;
    }

    /** @return list<Line> */
    public function at(int $find): array
    {
        return $this->byFind[$find] ?? [];
    }
}
