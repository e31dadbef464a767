<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Transfer;

use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/** The lines of a structure by what is looked for: their component, or their find number. A thousand edits ask a thousand times. */
final class Counterparts
{
    /** @var array<int, non-empty-list<Line>>|null asked for only where something comes */
    private ?array $byFind = null;

    /** @param  array<array-key, non-empty-list<Line>>  $byComponent  in the order of find numbers */
    private function __construct(private readonly Structure $structure, private readonly array $byComponent) {}

    public static function in(Structure $structure): self
    {
        $byComponent = [];
        foreach ($structure->lines as $line) {
            if (!$line->byProduct) {
                $byComponent[$line->component][] = $line;
            }
        }

        return new self($structure, $byComponent);
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
        if ($this->byFind === null) {
            $this->byFind = [];
            foreach ($this->structure->lines as $line) {
                $this->byFind[$line->find][] = $line;
            }
        }

        return $this->byFind[$find] ?? [];
    }
}
