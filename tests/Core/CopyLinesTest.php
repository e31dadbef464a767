<?php

declare(strict_types=1);

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Edit\AddLine;
use Orthotaxis\Core\Edit\Apply;
use Orthotaxis\Core\Edit\CopyLines;
use Orthotaxis\Core\Structure\Structure;
use Tests\Core\Support\Make;

/** @return list<AddLine> */
function copiedLines(Structure $lines, string $from): array
{
    return array_map(
        static fn(AddLine $edit, int $at): AddLine => new AddLine("new {$at}", $edit->fields()),
        $copied = CopyLines::of($lines, Day::parse($from)),
        array_keys($copied),
    );
}

it('copies what holds on the day and what comes later, and leaves behind what has ended', function (): void {
    $lines = new Structure([
        Make::line('a', 10, '200-0042', '2')->with(['notes' => 'tail outwards', 'revision' => 'B']),
        Make::line('b', 20, '600-0014', '4')->with(['first_day' => '2026-01-01']),
        Make::line('c', 30, '600-0014', '4')->with(['last_day' => '2026-12-31']),
        Make::line('d', 40, '600-0015', '4')->with(['first_day' => '2027-06-01']),
        Make::line('e', 50, '600-0016', '4')->with(['last_day' => '2027-01-01']),
    ]);
    $copy = Apply::all(new Structure(), copiedLines($lines, '2027-01-01'));
    $read = [];
    foreach ($copy as $line) {
        $read[] = trim(
            "{$line->find} {$line->component} {$line->validity->from} {$line->validity->lastDay()} {$line->revision} {$line->notes}",
        );
    }
    expect($read)->toBe(['10 200-0042   B tail outwards', '20 600-0014', '40 600-0015 2027-06-01', '50 600-0016  2027-01-01']);
});

it('reads like what was copied where nothing has days, each line being one of its own', function (): void {
    $lines = new Structure([Make::line('a', 10, '200-0042', '2'), Make::line('b', 20, '600-0014', '4')]);
    $copy = Apply::all(new Structure(), copiedLines($lines, '2027-01-01'));
    expect(Comparison::of($lines, $copy)->changes())
        ->toBe([])
        ->and($copy->line('a'))
        ->toBeNull();
});
