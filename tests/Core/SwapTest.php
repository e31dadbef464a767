<?php

declare(strict_types=1);

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\CutIn\Swap;
use Orthotaxis\Core\CutIn\SwapPart;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Structure;
use Tests\Core\Support\Make;

/**
 * @param  array<string, Comparison>  $changes  by parent
 * @return list<array{string, string, ?string, string}> what goes, what comes, how much of it, in which parents
 */
function swaps(array $changes): array
{
    $pairs = array_map(
        static fn(string $parent, Comparison $one): array => [$parent, $one],
        array_map(strval(...), array_keys($changes)),
        $changes,
    );

    return array_map(
        static fn(Swap $swap): array => [
            implode(' ', $swap->gone),
            implode(' ', array_map(static fn(SwapPart $part): string => $part->item, $swap->come)),
            isset($swap->come[0])
                ? ($swap->come[0]->ratio === null
                    ? null
                    : "{$swap->come[0]->ratio}" . ($swap->come[0]->unit?->value ?? ''))
                : '',
            implode(' ', $swap->parents),
        ],
        Swap::all($pairs),
    );
}

it('reads what goes and what comes, and how much of one stands for the other, from the lines', function (): void {
    $head = Make::pumpHead();
    $after = new Structure([
        Make::line('housing', 10, '200-0011'),
        Make::line('tube', 50, '200-0041', '0.6', Unit::Metre),
        Make::line('clamp', 60, '200-0043', '1'),
        Make::line('screw', 70, '600-0014', '8'),
        Make::line('seal', 80, '200-0077', '3'),
    ]);
    expect(swaps(['200-0010' => Comparison::of($head, $after)]))
        ->toContain(
            ['200-0040', '200-0041', '1.2', '200-0010'],
            ['200-0042', '200-0043', '0.5', '200-0010'],
            ['', '200-0077', '3pc', '200-0010'],
        )
        ->and(array_column(swaps(['200-0010' => Comparison::of($head, $after)]), 0))
        ->toContain('600-0014')
        ->and(swaps(['200-0010' => Comparison::of($head, $head)]))
        ->toBe([]);
});

it('tells the same swap in several parents once, and another share apart', function (): void {
    $line = static fn(string $component, string $quantity): Structure => new Structure([Make::line('a', 10, $component, $quantity)]);
    expect(
        swaps([
            'Y-1' => Comparison::of($line('P-1', '1'), $line('P-2', '1')),
            'Y-2' => Comparison::of($line('P-1', '3'), $line('P-2', '3')),
            'Y-3' => Comparison::of($line('P-1', '2'), $line('P-2', '5')),
            'Y-4' => Comparison::of($line('P-1', '2'), new Structure([])),
            'Y-5' => Comparison::of($line('P-1', '2'), $line('P-1', '3')),
        ]),
    )->toBe([['P-1', 'P-2', '1', 'Y-1 Y-2'], ['P-1', 'P-2', '2.5', 'Y-3'], ['P-1', '', '', 'Y-4'], ['P-1', 'P-1', '1.5', 'Y-5']]);
});

it('reads a line that ends when another begins as a swap', function (): void {
    $day = Day::parse('2027-03-01');
    $old = Make::line('a', 10, 'P-1', '2');
    $ended = $old->with(['last_day' => '2027-02-28']);
    $new = Make::line('b', 10, 'P-2', '4')->with(['first_day' => '2027-03-01']);
    expect("{$ended->validity->to}")
        ->toBe("{$day}")
        ->and(swaps(['Y-1' => Comparison::of(new Structure([$old]), new Structure([$ended, $new]))]))
        ->toBe([['P-1', 'P-2', '2', 'Y-1']])
        ->and(swaps(['Y-1' => Comparison::of(new Structure([$old]), new Structure([$ended]))]))
        ->toBe([['P-1', '', '', 'Y-1']]);
});

it('keeps what a parent keeps of what goes, and tells one part for several', function (): void {
    $before = new Structure([Make::line('a', 10, 'P-1', '2'), Make::line('b', 20, 'P-1', '1'), Make::line('c', 30, 'P-1', '1')]);
    $after = new Structure([Make::line('a', 10, 'P-2', '2'), Make::line('b', 20, 'P-3', '3'), Make::line('c', 30, 'P-1', '1')]);
    $found = Swap::all([['Y-1', Comparison::of($before, $after)]]);
    expect(array_map(static fn(Swap $swap): array => $swap->gone, $found))
        ->toBe([['P-1']])
        ->and(array_map(static fn(SwapPart $part): array => [$part->item, (string) $part->ratio], $found[0]->come))
        ->toBe([['P-2', '0.5'], ['P-3', '0.75'], ['P-1', '0.25']]);
});

it('goes by engineering where a plant follows with another share, and by the plant where only that changes', function (): void {
    $line = static fn(string $component, string $quantity): Structure => new Structure([Make::line('a', 10, $component, $quantity)]);
    $pairs = [
        ['Y-1', Comparison::of($line('P-1', '1'), $line('P-2', '1'))],
        ['Y-1', Comparison::of($line('P-1', '1.04'), $line('P-2', '1.06'))],
        ['K-1', Comparison::of($line('P-1', '1'), $line('P-2', '1'))],
    ];
    expect(array_map(static fn(Swap $swap): array => [(string) $swap->come[0]->ratio, $swap->parents], Swap::all($pairs)))->toBe([
        ['1', ['Y-1', 'K-1']],
    ]);
});

it('does not guess a ratio where the units differ', function (): void {
    $before = new Structure([Make::line('a', 10, 'P-1', '2')]);
    $after = new Structure([Make::line('a', 10, 'P-2', '0.5', Unit::Metre)]);
    expect(swaps(['Y-1' => Comparison::of($before, $after)]))->toBe([['P-1', 'P-2', null, 'Y-1']]);
});
