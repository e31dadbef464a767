<?php

declare(strict_types=1);

use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Comparison\DeepComparison;
use Orthotaxis\Core\Structure\Structure;
use Tests\Core\Support\Make;
use Tests\Core\Support\Memory;

/** @return list<array{int, string, int, string}> parent before, parent after, find, kind */
function told(DeepComparison $comparison): array
{
    $told = [];
    foreach ($comparison->parents as $parent) {
        foreach ($parent->differences as $difference) {
            $told[] = ["{$parent->before}-{$parent->after}", $difference->find, $difference->kind->value];
        }
    }

    return $told;
}

it('goes down through what stayed, what changed and what was replaced', function (): void {
    $before = new Memory([
        1 => new Structure([Make::line('a', 10, 'P-2'), Make::line('b', 20, 'P-3')]),
        2 => new Structure([Make::line('c', 10, 'P-5', '2')]),
        3 => new Structure([Make::line('d', 10, 'P-6')]),
    ]);
    $after = new Memory([
        1 => new Structure([Make::line('a', 10, 'P-2'), Make::line('b', 20, 'P-4')]),
        2 => new Structure([Make::line('c', 10, 'P-5', '3')]),
        4 => new Structure([Make::line('e', 10, 'P-6'), Make::line('f', 20, 'P-7')]),
    ]);
    $comparison = DeepComparison::of($before, 1, $after, 1);
    expect(told($comparison))
        ->toEqualCanonicalizing([['1-1', 20, 'replaced'], ['2-2', 10, 'changed'], ['3-4', 20, 'added']])
        ->and($comparison->totals()['unchanged'])
        ->toBe(2)
        ->and($comparison->parents[1]->way)
        ->toBe([[1, 1]])
        ->and(told(DeepComparison::of($before, 1, $after, 1, 1)))
        ->toBe([['1-1', 20, 'replaced']]);
});

it('does not list what was in an assembly that a part takes the place of', function (): void {
    $before = new Memory([1 => new Structure([Make::line('a', 10, 'P-2')]), 2 => new Structure([Make::line('c', 10, 'P-5')])]);
    $after = new Memory([1 => new Structure([Make::line('a', 10, 'P-3')])]);
    expect(told(DeepComparison::of($before, 1, $after, 1)))->toBe([['1-1', 10, 'replaced']]);
});

it('compares two items once, however often they are met', function (): void {
    $before = new Memory([
        1 => new Structure([Make::line('a', 10, 'P-2'), Make::line('b', 20, 'P-2')]),
        2 => new Structure([Make::line('c', 10, 'P-5')]),
    ]);
    $after = new Memory([
        1 => new Structure([Make::line('a', 10, 'P-2'), Make::line('b', 20, 'P-2')]),
        2 => new Structure([Make::line('c', 10, 'P-5', '4')]),
    ]);
    expect(told(DeepComparison::of($before, 1, $after, 1)))->toBe([['2-2', 10, 'changed']]);
});

it('reads nothing of what says the same', function (): void {
    $lines = array_map(fn(int $n): Orthotaxis\Core\Structure\Line => Make::line("k{$n}", $n * 10, 'P-5'), range(1, 50));
    $before = new Memory([1 => new Structure($lines)]);
    $after = new Memory([1 => new Structure([...array_slice($lines, 1), Make::line('new', 10, 'P-6')])]);
    $comparison = DeepComparison::of($before, 1, $after, 1);
    expect($comparison->unchanged)->toBe(49)->and($before->read)->toBe(1)->and($after->read)->toBe(1);
});

it('finds on one level exactly what the comparison line by line finds', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        [$a, $b] = [Make::structure($random), Make::structure($random)];
        $deep = DeepComparison::of(new Memory([0 => $a]), 0, new Memory([0 => $b]), 0, 1);
        $plain = Comparison::of($a, $b)->totals();
        // Two lines that say the same, of which one has the identity of a third: there the digest may pair another way.
        $twins =
            count(array_unique(array_map(fn($line): string => $line->find . $line->component, $a->lines))) < count($a) ||
            count(array_unique(array_map(fn($line): string => $line->find . $line->component, $b->lines))) < count($b);
        $twins || expect($deep->totals())->toBe($plain);
        expect(count($a))->toBe($deep->totals()['removed'] + array_sum(array_diff_key($deep->totals(), ['removed' => 1, 'added' => 1])));
    }, 300);
});

it('swaps added and removed with its sides, through all levels, and nothing else', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        $side = fn(): Memory => new Memory([0 => Make::structure($random), 1 => Make::structure($random), 2 => Make::structure($random)]);
        [$a, $b] = [$side(), $side()];
        $there = DeepComparison::of($a, 0, $b, 0)->totals();
        $back = DeepComparison::of($b, 0, $a, 0)->totals();
        expect([$back['removed'], $back['added']])
            ->toBe([$there['added'], $there['removed']])
            ->and(array_diff_key($back, ['added' => 1, 'removed' => 1]))
            ->toBe(array_diff_key($there, ['added' => 1, 'removed' => 1]));
    });
});

it('finds nothing between a structure and itself', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        $structures = [0 => Make::structure($random), 1 => Make::structure($random), 2 => Make::structure($random)];
        expect(DeepComparison::of(new Memory($structures), 0, new Memory($structures), 0)->parents)->toBe([]);
    }, 50);
});

it('tells a line that went to another parent as one that moved, from both sides', function (): void {
    $lines = static fn(bool $inHead): array => [
        1 => new Structure([Make::line('a', 10, 'P-2'), Make::line('b', 20, 'P-3')]),
        2 => new Structure([Make::line('c', 10, 'P-5'), ...$inHead ? [Make::line('d', 20, 'P-6', '4')] : []]),
        3 => new Structure([
            Make::line('e', 10, 'P-7'),
            ...$inHead ? [] : [Make::line('f', 30, 'P-6', '4', notes: 'glued')],
            Make::line('g', 40, 'P-6', $inHead ? '2' : '3'),
        ]),
    ];
    [$before, $after] = [new Memory($lines(true)), new Memory($lines(false))];
    $there = DeepComparison::of($before, 1, $after, 1);
    expect(told($there))
        ->toEqualCanonicalizing([['3-3', 30, 'moved'], ['3-3', 40, 'changed']])
        ->and($there->totals()['moved'])
        ->toBe(1);
    $moved = $there->parents[0]->differences[0];
    expect($moved->movedFrom?->before)
        ->toBe(2)
        ->and(array_map(static fn($field): string => $field->value, $moved->fields))
        ->toBe(['find', 'notes']);
    expect(told(DeepComparison::of($after, 1, $before, 1)))
        ->toEqualCanonicalizing([['2-2', 20, 'moved'], ['3-3', 40, 'changed']])
        ->and(told(DeepComparison::of($before, 1, $after, 1, moves: false)))
        ->toEqualCanonicalizing([['2-2', 20, 'removed'], ['3-3', 30, 'added'], ['3-3', 40, 'changed']]);
});

it('moves as much one way as the other, and loses nothing', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        $some = static fn(): array => [
            1 => new Structure([Make::line('a', 10, 'P-2'), Make::line('b', 20, 'P-3')]),
            2 => Make::structure($random),
            3 => Make::structure($random),
        ];
        [$left, $right] = [$some(), $some()];
        $there = DeepComparison::of(new Memory($left), 1, new Memory($right), 1)->totals();
        $back = DeepComparison::of(new Memory($right), 1, new Memory($left), 1)->totals();
        $plain = DeepComparison::of(new Memory($left), 1, new Memory($right), 1, moves: false)->totals();
        expect($back['moved'])
            ->toBe($there['moved'])
            ->and($back['removed'])
            ->toBe($there['added'])
            ->and($plain['removed'])
            ->toBe($there['removed'] + $there['moved'])
            ->and($plain['added'])
            ->toBe($there['added'] + $there['moved']);
    });
});
