<?php

declare(strict_types=1);

use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Comparison\Difference;
use Orthotaxis\Core\Comparison\DifferenceKind;
use Orthotaxis\Core\Edit\Apply;
use Orthotaxis\Core\Edit\Edits;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\Structure;
use Tests\Core\Support\Make;

$kinds = fn(Structure $a, Structure $b): array => array_map(
    fn(Difference $d): array => [$d->find, $d->kind],
    Comparison::of($a, $b)->changes(),
);

it('tells a worked example apart', function () use ($kinds): void {
    $after = new Structure([
        Make::line('housing', 15, '200-0011'),
        Make::line('tube', 50, '200-0041', '0.5', Unit::Metre, notes: 'wall 2.4 mm'),
        Make::line('clamp', 60, '200-0042', '4'),
        Make::line('grease', 80, '710-0001', '2', Unit::Gram),
    ]);
    expect($kinds(Make::pumpHead(), $after))->toBe([
        [15, DifferenceKind::Renumbered],
        [50, DifferenceKind::Replaced],
        [60, DifferenceKind::Changed],
        [70, DifferenceKind::Removed],
        [80, DifferenceKind::Added],
    ]);
});

it('matches by find number and component when identities differ', function () use ($kinds): void {
    expect($kinds(new Structure([Make::line('a', 10, 'P-1')]), new Structure([Make::line('b', 10, 'P-1', '2')])))->toBe([
        [10, DifferenceKind::Changed],
    ]);
});

it('matches by component and designators when it moved to another find number', function () use ($kinds): void {
    expect(
        $kinds(
            new Structure([Make::line('a', 10, 'P-1', designators: 'R1')]),
            new Structure([Make::line('b', 30, 'P-1', designators: 'R1')]),
        ),
    )->toBe([[30, DifferenceKind::Renumbered]]);
});

it('calls it replaced when one is gone and one has come at the same find number', function () use ($kinds): void {
    expect($kinds(new Structure([Make::line('a', 10, 'P-1')]), new Structure([Make::line('b', 10, 'P-2')])))->toBe([
        [10, DifferenceKind::Replaced],
    ]);
});

it('is symmetric: swapping the sides swaps added and removed and nothing else', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        [$a, $b] = [Make::structure($random), Make::structure($random)];
        $there = array_map(
            fn(Difference $d): string => "{$d->kind->mirrored()->value} {$d->after?->key} {$d->before?->key}",
            Comparison::of($a, $b)->differences,
        );
        $back = array_map(
            fn(Difference $d): string => "{$d->kind->value} {$d->before?->key} {$d->after?->key}",
            Comparison::of($b, $a)->differences,
        );
        expect($back)->toEqualCanonicalizing($there);
    });
});

it('accounts for every line of both sides once', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        [$a, $b] = [Make::structure($random), Make::structure($random)];
        $comparison = Comparison::of($a, $b);
        $left = array_filter(array_map(fn(Difference $d): ?string => $d->before?->key, $comparison->differences));
        $right = array_filter(array_map(fn(Difference $d): ?string => $d->after?->key, $comparison->differences));
        expect($left)
            ->toEqualCanonicalizing(array_keys($a->lines))
            ->and($right)
            ->toEqualCanonicalizing(array_keys($b->lines))
            ->and(array_sum($comparison->totals()))
            ->toBe(count($comparison->differences));
    });
});

it('gives edits that make the one side read like the other', function (): void {
    $read = fn(Structure $s): array => array_map(
        fn(Line $line): array => array_map(fn(LineField $field): string => $line->text($field), LineField::cases()),
        array_values($s->lines),
    );
    Make::many(function (Random\Randomizer $random) use ($read): void {
        [$a, $b] = [Make::structure($random), Make::structure($random)];
        expect($read(Apply::all($a, Edits::between(Comparison::of($a, $b)))))->toEqualCanonicalizing($read($b));
    });
});

it('finds nothing between a structure and itself', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        $a = Make::structure($random);
        expect(Comparison::of($a, $a)->changes())->toBe([]);
    });
});
