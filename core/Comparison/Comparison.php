<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Comparison;

use Orthotaxis\Core\Content\Changes;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/**
 * What differs between the lines of two structures of one level.
 *
 * Lines are matched by their identity; then what is left by find number and component; then by component and
 * designators; then by role, one gone and one come at the same find number. Each line is matched once. Swapping the
 * sides swaps added and removed and nothing else.
 */
final readonly class Comparison implements Changes
{
    /** @param  list<Difference>  $differences in the order of find numbers */
    private function __construct(public array $differences) {}

    public static function of(Structure $before, Structure $after): self
    {
        return self::between($before, $after, array_intersect_key($before->lines, $after->lines));
    }

    /**
     * Without the lines that read the same: for whoever asks only what would have to be done.
     *
     * @param  ?list<string>  $keys  of lines that stayed, those to look at; null: all
     */
    public static function ofChanges(Structure $before, Structure $after, ?array $keys = null): self
    {
        $asked = $keys === null ? $before->lines : array_intersect_key($before->lines, array_flip($keys));
        $stayed = array_intersect_key($asked, $after->lines);

        // Two lines that say the same are equal in every property.
        return self::between($before, $after, array_filter($stayed, static fn(Line $line): bool => $line != $after->lines[$line->key]));
    }

    /** @param  array<string, Line>  $stayed  of those before, what is told of */
    private static function between(Structure $before, Structure $after, array $stayed): self
    {
        $right = $after->lines;
        $differences = [];
        foreach ($stayed as $key => $line) {
            $differences[] = new Difference($line, $right[$key]);
        }
        $left = array_diff_key($before->lines, $right);
        $right = array_diff_key($right, $before->lines);
        $rules = [
            static fn(Line $line): string => $line->find . '|' . $line->component,
            static fn(Line $line): string => $line->component . '|' . $line->designators,
            static fn(Line $line): string => (string) $line->find,
        ];
        foreach ($rules as $rule) {
            if ($left === [] || $right === []) {
                break;
            }
            $waiting = [];
            foreach ($right as $key => $line) {
                $waiting[$rule($line)][] = $key;
            }
            foreach ($left as $key => $line) {
                $role = $rule($line);
                if (isset($waiting[$role]) && $waiting[$role] !== []) {
                    $match = array_shift($waiting[$role]);
                    $differences[] = new Difference($line, $right[$match]);
                    unset($left[$key], $right[$match]);
                }
            }
        }
        foreach ($left as $line) {
            $differences[] = new Difference($line, null);
        }
        foreach ($right as $line) {
            $differences[] = new Difference(null, $line);
        }
        for ($at = 1; $at < count($differences); $at++) {
            // Where little differs they are in order already.
            if (self::order($differences[$at - 1], $differences[$at]) > 0) {
                usort($differences, self::order(...));
                break;
            }
        }

        return new self($differences);
    }

    private static function order(Difference $a, Difference $b): int
    {
        return $a->find <=> $b->find ?:
            strcmp($a->kind->value, $b->kind->value) ?:
            strcmp(($a->before ?? $a->after)->key ?? '', ($b->before ?? $b->after)->key ?? '');
    }

    /** @return list<Difference> all but the unchanged */
    public function changes(): array
    {
        return array_values(array_filter($this->differences, static fn(Difference $d): bool => $d->kind !== DifferenceKind::Unchanged));
    }

    /** @return array<value-of<DifferenceKind>, int> how many of each kind, unchanged included */
    public function totals(): array
    {
        $totals = array_fill_keys(array_column(DifferenceKind::cases(), 'value'), 0);
        foreach ($this->differences as $difference) {
            $totals[$difference->kind->value]++;
        }

        return $totals;
    }

    public function parts(): array
    {
        return array_map(static fn(Difference $one): array => [$one->before?->key, $one->after?->key], $this->changes());
    }

    /** How many lines are not the same. */
    public function count(): int
    {
        return count($this->changes());
    }
}
