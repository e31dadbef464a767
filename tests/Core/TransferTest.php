<?php

declare(strict_types=1);

use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Edit\AddLine;
use Orthotaxis\Core\Edit\Apply;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;
use Orthotaxis\Core\Transfer\Carried;
use Orthotaxis\Core\Transfer\Fit;
use Orthotaxis\Core\Transfer\Transfer;
use Random\Randomizer;
use Tests\Core\Support\Make;

/** The case: its gasket, two latches, a label that comes, a strap that goes. */
function caseBefore(): Structure
{
    return new Structure([
        Make::line('gasket', 30, '230-0020', '2.8', Unit::Metre),
        Make::line('latch', 40, '230-0022', '2'),
        Make::line('strap', 50, '230-0060'),
    ]);
}

function caseAfter(): Structure
{
    return new Structure([
        Make::line('gasket', 30, '230-0021', '2.8', Unit::Metre),
        Make::line('latch', 40, '230-0022', '3'),
        Make::line('label', 60, '720-0001'),
    ]);
}

/** @return array<string, Carried> by the line where it was done */
function carried(Structure $sibling, ?Structure $before = null, ?Structure $after = null): array
{
    $carried = [];
    foreach (Transfer::of(Comparison::of($before ?? caseBefore(), $after ?? caseAfter()), $sibling) as $one) {
        $carried[$one->key()] = $one;
    }

    return $carried;
}

/** @param  array<Carried>  $carried */
function madeTo(Structure $sibling, array $carried): Structure
{
    $edits = [];
    foreach ($carried as $one) {
        $edit = $one->edit;
        if ($edit !== null) {
            $edits[] = $edit instanceof AddLine ? new AddLine('new ' . count($edits), $edit->fields()) : $edit;
        }
    }

    return Apply::all($sibling, $edits);
}

it('fits where the sibling reads as the structure did', function (): void {
    $sibling = new Structure([
        Make::line('g', 10, '230-0020', '2.8', Unit::Metre),
        Make::line('l', 20, '230-0022', '2'),
        Make::line('s', 30, '230-0060'),
        Make::line('other', 40, '600-0014', '8'),
    ]);
    $carried = carried($sibling);
    expect(array_map(static fn(Carried $one): string => $one->fit->value, $carried))->toBe([
        'gasket' => 'fits',
        'latch' => 'fits',
        'strap' => 'fits',
        'label' => 'fits',
    ]);
    $after = madeTo($sibling, $carried);
    expect(
        array_map(static fn(Line $line): string => "{$line->find} {$line->component} {$line->quantity}", array_values($after->lines)),
    )->toBe(['10 230-0021 2.8', '20 230-0022 3', '40 600-0014 8', '60 720-0001 1']);
});

it('fits with a difference where it reads otherwise, and says how', function (): void {
    $carried = carried(
        new Structure([
            Make::line('g', 30, '230-0020', '3.2', Unit::Metre),
            Make::line('l', 40, '230-0022', '4'),
            Make::line('s', 50, '230-0060', '2'),
            Make::line('p', 60, '720-0001', '2'),
        ]),
    );
    expect(array_map(static fn(Carried $one): string => "{$one->fit->value}: {$one->reason}", $carried))->toBe([
        'gasket' => 'differs: Quantity 3.2 in place of 2.8.',
        'latch' => 'differs: Quantity 4 in place of 2.',
        'strap' => 'differs: Quantity 2 in place of 1.',
        'label' => 'differs: 720-0001 stands there already: find 60, 2 pc.',
    ]);
    // Only the component was changed: the quantity of the sibling stays its own.
    expect($carried['gasket']->edit?->fields())->toBe(['component' => '230-0021']);
});

it('has no counterpart where there is nothing to do it to', function (): void {
    $carried = carried(new Structure([Make::line('x', 10, '600-0014')]));
    expect([$carried['gasket']->fit, $carried['gasket']->reason, $carried['gasket']->edit])
        ->toBe([Fit::None, 'It has no 230-0020.', null])
        ->and($carried['latch']->fit)
        ->toBe(Fit::None)
        // What was to go is not there: nothing is to be done.
        ->and($carried['strap']->fit)
        ->toBe(Fit::Already)
        ->and($carried['label']->fit)
        ->toBe(Fit::Fits);
});

it('knows what reads so already', function (): void {
    $carried = carried(caseAfter());
    expect(array_unique(array_map(static fn(Carried $one): string => $one->fit->value, array_values($carried))))->toBe(['already']);
});

it('chooses among several on the same find number, and says when it cannot', function (): void {
    $two = static fn(int $first): Structure => new Structure([
        Make::line('a', $first, '230-0022', '2'),
        Make::line('b', 70, '230-0022', '2'),
    ]);
    $before = new Structure([Make::line('latch', 40, '230-0022', '2')]);
    $after = new Structure([Make::line('latch', 40, '230-0022', '3')]);
    expect(carried($two(40), $before, $after)['latch']->there?->key)
        ->toBe('a')
        ->and(carried($two(40), $before, $after)['latch']->fit)
        ->toBe(Fit::Fits)
        ->and(carried($two(20), $before, $after)['latch']->fit)
        ->toBe(Fit::Differs)
        ->and(carried($two(20), $before, $after)['latch']->reason)
        ->toContain('find 20, 70');
});

it('takes the next free find number where the same is taken', function (): void {
    $carried = carried(new Structure([Make::line('x', 60, '600-0014')]));
    expect($carried['label']->edit?->fields()['find'])->toBe('61');
});

it('lets what follows another from a day stand on its find number', function (): void {
    $before = new Structure([Make::line('old', 30, 'OLD', '2')]);
    $after = new Structure([Make::line('old', 30, 'OLD', '2', last: '2027-02-28'), Make::line('new', 30, 'NEW', '2', first: '2027-03-01')]);
    $sibling = new Structure([Make::line('s', 70, 'OLD', '2'), Make::line('x', 30, 'OTHER')]);
    $carried = carried($sibling, $before, $after);
    expect([$carried['new']->fit, $carried['new']->edit?->fields()['find'], $carried['old']->edit?->fields()])->toBe([
        Fit::Fits,
        '70',
        ['last_day' => '2027-02-28'],
    ]);
});

it('never makes two edits to one line', function (): void {
    $before = new Structure([Make::line('a', 10, 'P', '1'), Make::line('b', 20, 'P', '1')]);
    $after = new Structure([Make::line('a', 10, 'P', '2'), Make::line('b', 20, 'P', '3')]);
    $carried = carried(new Structure([Make::line('x', 30, 'P', '1')]), $before, $after);
    expect([$carried['a']->fit, $carried['b']->fit])->toBe([Fit::Fits, Fit::None]);
});

it('leaves to each plant what is its own', function (): void {
    $line = static fn(string $key, string $operation, string $quantity): Line => Make::line($key, 10, 'P', $quantity)->with([
        'operation' => $operation,
        'scrap' => '4',
    ]);
    $before = new Structure([$line('a', '20', '1')]);
    $after = new Structure([$line('a', '30', '2')]);
    $carried = carried(new Structure([$line('b', '40', '1')]), $before, $after);
    expect($carried['a']->edit?->fields())->toBe(['quantity' => '2']);
});

it('fits in every row where it is carried to itself, and gives what was done', function (): void {
    Make::many(function (Randomizer $random): void {
        [$before, $after] = [Make::structure($random), Make::structure($random)];
        $carried = Transfer::of(Comparison::of($before, $after), $before);
        foreach ($carried as $one) {
            expect("{$one->fit->value} {$one->reason}")->toBe('fits ');
        }
        $plain = array_filter($carried, static fn(Carried $one): bool => $one->of->before !== null && $one->of->after !== null);
        foreach ($plain as $one) {
            expect($one->there?->key)->toBe($one->of->before?->key);
        }
        expect(array_filter($carried, static fn(Carried $one): bool => $one->edit instanceof LineEdit && $one->fit === Fit::None))->toBe(
            [],
        );
    });
});
