<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Comparison;

/**
 * Lines that went to another parent: gone at one place and come at another, the same component in the same quantity. Each
 * is told once, at its new place, with the place where it was.
 */
final readonly class Moves
{
    /**
     * @param  list<ParentDifference>  $parents
     * @return list<ParentDifference> the same, with moves in place of what went and came; parents without any difference left out
     */
    public static function settle(array $parents): array
    {
        $gone = [];
        foreach ($parents as $from => $parent) {
            foreach ($parent->differences as $at => $difference) {
                if ($difference->kind === DifferenceKind::Removed) {
                    $gone[self::what($difference)][] = [$from, $at];
                }
            }
        }
        $differences = array_map(static fn(ParentDifference $parent): array => $parent->differences, $parents);
        foreach ($parents as $to => $parent) {
            foreach ($parent->differences as $at => $difference) {
                if ($difference->kind !== DifferenceKind::Added) {
                    continue;
                }
                foreach ($gone[self::what($difference)] ?? [] as $i => [$from, $was]) {
                    if ($from !== $to) {
                        $differences[$to][$at] = new Difference(
                            $parents[$from]->differences[$was]->before,
                            $difference->after,
                            $parents[$from],
                        );
                        unset($differences[$from][$was], $gone[self::what($difference)][$i]);
                        break;
                    }
                }
            }
        }
        $settled = [];
        foreach ($parents as $at => $parent) {
            if ($differences[$at] !== []) {
                $settled[] = new ParentDifference($parent->before, $parent->after, $parent->way, array_values($differences[$at]));
            }
        }

        return $settled;
    }

    private static function what(Difference $difference): string
    {
        $line = $difference->before ?? $difference->after;

        return $line === null ? '' : "{$line->below()} {$line->quantity} {$line->unit->value}";
    }
}
