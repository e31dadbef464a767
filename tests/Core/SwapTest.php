<?php

declare(strict_types=1);

use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\CutIn\Swap;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Structure;
use Tests\Core\Support\Make;

/** @return list<array{string, string, ?string}> */
function swaps(Comparison ...$comparisons): array
{
    return array_map(
        static fn(Swap $swap): array => [$swap->old, $swap->new, $swap->ratio === null ? null : (string) $swap->ratio],
        Swap::all($comparisons),
    );
}

it('reads the old and the new part, and how much of one stands for the other, from the lines that are replaced', function (): void {
    $head = Make::pumpHead();
    $after = new Structure([
        Make::line('housing', 10, '200-0011'),
        Make::line('tube', 50, '200-0041', '0.6', Unit::Metre),
        Make::line('clamp', 60, '200-0043', '1'),
        Make::line('screw', 70, '600-0014', '8'),
        Make::line('seal', 80, '200-0077'),
    ]);
    // The screws are only more, the seal only comes: neither takes the place of another part.
    expect(swaps(Comparison::of($head, $after)))
        ->toBe([['200-0040', '200-0041', '1.2'], ['200-0042', '200-0043', '0.5']])
        ->and(swaps(Comparison::of($head, $head)))
        ->toBe([]);
});

it('tells a swap that several lines and items say once, over all they take', function (): void {
    $line = static fn(string $component, string $quantity): Structure => new Structure([Make::line('a', 10, $component, $quantity)]);
    expect(swaps(Comparison::of($line('P-1', '1'), $line('P-2', '1')), Comparison::of($line('P-1', '3'), $line('P-2', '5'))))->toBe([
        ['P-1', 'P-2', '1.5'],
    ]);
});

it('does not guess a ratio where the units differ', function (): void {
    $before = new Structure([Make::line('a', 10, 'P-1', '2')]);
    $after = new Structure([Make::line('a', 10, 'P-2', '0.5', Unit::Metre)]);
    expect(swaps(Comparison::of($before, $after)))->toBe([['P-1', 'P-2', null]]);
});
