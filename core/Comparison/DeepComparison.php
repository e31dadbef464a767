<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Comparison;

use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/**
 * What differs between two structures through all levels. Where a line stayed, was changed or replaced, the components of
 * both sides are compared in turn, each two once, however often they are met.
 *
 * On each level identity comes first; what is left and says the same is unchanged; what is left then is read and matched
 * by the further rules of Comparison. The work is linear in lines, and only what differs is read.
 */
final class DeepComparison
{
    /** @var list<ParentDifference> nearest first */
    public array $parents = [];

    /** Lines that stayed as they are. */
    public int $unchanged = 0;

    /** @var array<string, true> pairs of items that have been compared */
    private array $met = [];

    private function __construct(private readonly Side $before, private readonly Side $after) {}

    /**
     * @param  int  $deepest  1 for one level only
     * @param  bool  $moves  whether a line that went to another parent is told as one that moved
     */
    public static function of(Side $before, int $left, Side $after, int $right, int $deepest = PHP_INT_MAX, bool $moves = true): self
    {
        $comparison = new self($before, $after);
        $pairs = [[$left, $right, []]];
        for ($level = 1; $pairs !== [] && $level <= $deepest; $level++) {
            $pairs = $comparison->level($pairs);
        }
        if ($moves) {
            $comparison->parents = Moves::settle($comparison->parents);
        }

        return $comparison;
    }

    /** @return array<value-of<DifferenceKind>, int> how many lines of each kind, unchanged included */
    public function totals(): array
    {
        $totals = array_fill_keys(array_column(DifferenceKind::cases(), 'value'), 0);
        $totals[DifferenceKind::Unchanged->value] = $this->unchanged;
        foreach ($this->parents as $parent) {
            foreach ($parent->differences as $difference) {
                $totals[$difference->kind->value]++;
            }
        }

        return $totals;
    }

    /**
     * @param  list<array{int, int, list<array{int, int}>}>  $pairs  left, right, the way to them
     * @return list<array{int, int, list<array{int, int}>}> the pairs below
     */
    private function level(array $pairs): array
    {
        $agree = $this->before->agreesBelow($this->after);
        $below = $matches = [];
        $left = $right = [];
        foreach ($pairs as $at => [$a, $b]) {
            $match = new LineMatch($this->before->lines($a), $this->after->lines($b), !$agree);
            $this->unchanged += $match->same;
            foreach ($match->components as $components) {
                $below[] = [...$components, $at];
            }
            if ($match->left !== [] || $match->right !== []) {
                $matches[$at] = $match;
                $left += $match->left;
                $right += $match->right;
            }
        }
        $leftLines = $left === [] ? [] : $this->before->read(array_keys($left));
        $rightLines = $right === [] ? [] : $this->after->read(array_keys($right));
        foreach ($matches as $at => $match) {
            $before = self::lines($match->left, $leftLines);
            $after = self::lines($match->right, $rightLines);
            $differences = [];
            foreach (Comparison::of(new Structure($before[0]), new Structure($after[0]))->differences as $difference) {
                if ($difference->kind === DifferenceKind::Unchanged) {
                    $this->unchanged++;
                } else {
                    $differences[] = $difference;
                }
                if ($difference->before !== null && $difference->after !== null) {
                    $pair = [$before[1][$difference->before->key], $after[1][$difference->after->key], $at];
                    // A part in place of an assembly, or the other way: what is in it came or went with it.
                    if ($difference->kind !== DifferenceKind::Replaced || $this->bothHaveLines($pair[0], $pair[1])) {
                        $below[] = $pair;
                    }
                }
            }
            if ($differences !== []) {
                $this->parents[] = new ParentDifference($pairs[$at][0], $pairs[$at][1], $pairs[$at][2], $differences);
            }
        }
        $next = [];
        foreach ($below as [$a, $b, $at]) {
            if (!isset($this->met["{$a} {$b}"])) {
                $this->met["{$a} {$b}"] = true;
                if (!$this->before->isSame($a, $this->after, $b)) {
                    $next[] = [$a, $b, [...$pairs[$at][2], [$pairs[$at][0], $pairs[$at][1]]]];
                }
            }
        }

        return $next;
    }

    private function bothHaveLines(int $left, int $right): bool
    {
        return $this->before->lines($left)->ids !== [] && $this->after->lines($right)->ids !== [];
    }

    /**
     * @param  array<int, int>  $wanted  line => component
     * @param  array<int, Line>  $read
     * @return array{list<Line>, array<string, int>} the lines, and the component of each by its key
     */
    private static function lines(array $wanted, array $read): array
    {
        $lines = $components = [];
        foreach ($wanted as $id => $component) {
            $lines[] = $read[$id];
            $components[$read[$id]->key] = $component;
        }

        return [$lines, $components];
    }
}
