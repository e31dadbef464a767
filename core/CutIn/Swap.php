<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Comparison\Difference;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Structure\Line;

/**
 * What goes and what comes in some parents, cutting in together: one part for another or for several, only gone, only come, or another
 * quantity of the same.
 */
final readonly class Swap
{
    /**
     * @param  list<string>  $gone  numbers; none: it only comes
     * @param  list<SwapPart>  $come  none: it only goes
     * @param  list<string>  $parents  numbers of those in which it is done
     */
    public function __construct(public array $gone, public array $come, public array $parents) {}

    /**
     * What edits of structures say of it. A line that is replaced is a swap of its old component for its new one; a line that ends on a
     * day and one that begins on it in the same place are one too. Where a parent keeps some of what goes, that comes as well. The same
     * swap in several parents is told once; where one takes another share than the others it is told apart. What is said of a parent
     * first holds: engineering comes before the plants, which follow it.
     *
     * Example: 0.5 m and 0.5 m of one tube become 0.6 m and 0.6 m of another: 1.2 for one. A seal that only comes: so many in one parent.
     *
     * @param  iterable<array{string, Comparison}>  $changes  number of each parent, before and after with all lines
     * @return list<self> in the order of the lines
     */
    public static function all(iterable $changes): array
    {
        $found = $said = [];
        foreach ($changes as [$parent, $comparison]) {
            $new = [];
            foreach (self::inParent($comparison) as [$gone, $come]) {
                $of = $gone === '' ? "+{$come[0]->item}" : $gone;
                $new["{$parent} {$of}"] = true;
                if (isset($said["{$parent} {$of}"])) {
                    continue;
                }
                $key = "{$gone} " . implode(' ', array_map(static fn(SwapPart $part): string => $part->key(), $come));
                $found[$key] ??= [$gone === '' ? [] : [$gone], $come, []];
                $found[$key][2][$parent] = true;
            }
            $said += $new;
        }

        return array_map(
            static fn(array $one): self => new self($one[0], $one[1], array_map(strval(...), array_keys($one[2]))),
            array_values($found),
        );
    }

    /** @return list<array{string, list<SwapPart>}> what goes, empty where nothing does, and what comes */
    private static function inParent(Comparison $comparison): array
    {
        $lines = [];
        foreach (self::pairs($comparison->differences) as [$before, $after]) {
            $old = $before->component ?? '';
            $key = $old === '' ? "+{$after?->component}" : $old;
            $lines[$key] ??= [$old, [], []];
            $lines[$key][1] = [...$lines[$key][1], ...$before === null ? [] : [$before]];
            if ($after !== null) {
                $lines[$key][2][$after->component][] = $after;
            }
        }
        $swaps = [];
        foreach ($lines as [$old, $before, $after]) {
            $come = array_map(
                static fn(string $new, array $of): SwapPart => SwapPart::of($new, $before, $of),
                array_map(strval(...), array_keys($after)),
                array_values($after),
            );
            $stays = count($come) === 1 && $come[0]->item === $old && $come[0]->ratio?->millionths === Quantity::ONE;
            if (!$stays) {
                $swaps[] = [$old, $come];
            }
        }

        return $swaps;
    }

    /**
     * @param  list<Difference>  $differences
     * @return list<array{?Line, ?Line}> what each line was and what comes in its place; one of them at least
     */
    private static function pairs(array $differences): array
    {
        // What comes out of a part is wanted by nobody.
        $changes = array_values(
            array_filter($differences, static fn(Difference $one): bool => !($one->before->byProduct ?? ($one->after->byProduct ?? false))),
        );
        $begin = $pairs = [];
        foreach ($changes as $at => $change) {
            if ($change->before === null && $change->after?->validity->from !== null) {
                $begin["{$change->after->validity->from}"][] = $at;
            }
        }
        $taken = [];
        foreach ($changes as $at => $change) {
            [$before, $after] = [$change->before, $change->after];
            $ends = $after?->validity->to;
            if ($before !== null && $ends !== null && "{$ends}" !== "{$before->validity->to}") {
                $heir = self::heir($changes, array_diff($begin["{$ends}"] ?? [], $taken), $before);
                $taken = $heir === null ? $taken : [...$taken, $heir];
                $pairs[$at] = [$before, $heir === null ? null : $changes[$heir]->after];
            } else {
                $pairs[$at] = [$before, $after];
            }
        }

        return array_values(array_diff_key($pairs, array_flip($taken)));
    }

    /**
     * Which of the lines that begin when another ends comes in its place: one at the same find number, else the only one.
     *
     * @param  list<Difference>  $changes
     * @param  array<int>  $begin  places of those that begin
     */
    private static function heir(array $changes, array $begin, Line $ends): ?int
    {
        foreach ($begin as $at) {
            if ($changes[$at]->after?->find === $ends->find) {
                return $at;
            }
        }

        return count($begin) === 1 ? array_values($begin)[0] : null;
    }
}
