<?php

declare(strict_types=1);

use Orthotaxis\Core\Edit\AddLine;
use Orthotaxis\Core\Edit\Apply;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Edit\RemoveLine;
use Orthotaxis\Core\Edit\ReplaceComponent;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Structure;
use Orthotaxis\Core\Structure\StructureFaults;
use Tests\Core\Support\Make;

it('applies edits one after another and leaves the base alone', function (): void {
    $base = Make::pumpHead();
    $after = Apply::all($base, [
        new ReplaceComponent('tube', ['component' => '200-0041', 'notes' => 'wall 2.4 mm']),
        new ChangeLine('clamp', ['quantity' => '4']),
        new RemoveLine('screw'),
        new AddLine('grease', ['find' => '80', 'component' => '710-0001', 'quantity' => '2', 'unit' => 'g', 'not_modelled' => 'yes']),
    ]);
    expect($after->components())
        ->toBe(['200-0011', '200-0041', '200-0042', '710-0001'])
        ->and($after->line('grease')?->notModelled)
        ->toBeTrue()
        ->and($after->line('tube')?->unit)
        ->toBe(Unit::Metre)
        ->and($base)
        ->toEqual(Make::pumpHead());
});

it('refuses an edit that does not fit, with the place', function (LineEdit $edit, string $place): void {
    try {
        Apply::one(Make::pumpHead(), $edit);
        $this->fail('It was applied.');
    } catch (Refusal $refusal) {
        expect($refusal->reasons)->toHaveKey($place);
    }
})->with([
    'a line that is not there' => [new RemoveLine('nothing'), 'line'],
    'a line that is there already' => [
        new AddLine('tube', ['find' => '10', 'component' => 'P', 'quantity' => '1', 'unit' => 'pc']),
        'line',
    ],
    'the same component' => [new ReplaceComponent('tube', ['component' => '200-0040']), 'component'],
    'another component as a change' => [new ChangeLine('tube', ['component' => '200-0041']), 'component'],
    'a change that changes nothing' => [new ChangeLine('clamp', ['quantity' => '2.0']), 'line'],
    'zero' => [new ChangeLine('clamp', ['quantity' => '0']), 'quantity'],
]);

it('knows which edits cannot both be kept', function (): void {
    $quantity = new ChangeLine('clamp', ['quantity' => '4']);
    expect($quantity->conflictsWith(new ChangeLine('clamp', ['quantity' => '3'])))
        ->toBe(['quantity'])
        ->and($quantity->conflictsWith(new ChangeLine('clamp', ['notes' => 'twist'])))
        ->toBe([])
        ->and($quantity->conflictsWith(new ChangeLine('tube', ['quantity' => '3'])))
        ->toBe([])
        ->and($quantity->conflictsWith(new RemoveLine('clamp')))
        ->toBe(['quantity'])
        ->and((new RemoveLine('clamp'))->conflictsWith(new RemoveLine('clamp')))
        ->not->toBe([]);
});

it('sees find numbers and designators that stand twice', function (): void {
    expect(StructureFaults::of(Make::pumpHead()))
        ->toBe([])
        ->and(
            StructureFaults::of(
                new Structure([Make::line('a', 10, 'P-1', designators: 'R1'), Make::line('b', 10, 'P-2', designators: 'R1')]),
            ),
        )
        ->toBe(['find number 10 stands on P-1 and P-2.', 'designator R1 stands on P-1 and P-2.']);
});
