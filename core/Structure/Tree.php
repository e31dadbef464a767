<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Structure;

use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;

/** A structure as people read it: every path, each line under its parent, down to a level. */
final readonly class Tree
{
    /**
     * @param  string  $top  item number
     * @param  array<string, Structure>  $structures  by item number, or by what Line::below says, for every item above the deepest level
     * @param  array<string, Unit>  $units  the own unit of each component, by item number
     * @param  Quantity  $times  how much of the top is asked for
     * @return \Generator<int, TreeRow> a line directly before all that is below it
     */
    public static function rows(string $top, array $structures, array $units, int $levels, Quantity $times): \Generator
    {
        $stack = [[$top, [], $times, array_values(($structures[$top] ?? new Structure())->lines), 0]];
        while ($stack !== []) {
            [$parent, $path, $parents, $lines, $at] = array_pop($stack);
            $line = $lines[$at] ?? null;
            if ($line === null) {
                continue;
            }
            $stack[] = [$parent, $path, $parents, $lines, $at + 1];
            $extended = $line->quantity->times($parents);
            $here = [...$path, $line->key];
            yield new TreeRow($parent, $here, $line, $extended);
            $below = $structures[$line->below()] ?? null;
            if ($below !== null && !$line->byProduct && count($here) < $levels) {
                $stack[] = [
                    $line->below(),
                    $here,
                    $line->unit->convert($extended, $units[$line->component] ?? $line->unit),
                    array_values($below->lines),
                    0,
                ];
            }
        }
    }
}
