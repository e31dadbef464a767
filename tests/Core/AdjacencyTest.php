<?php

declare(strict_types=1);

use Orthotaxis\Core\Adjacency\Adjacency;
use Orthotaxis\Core\Adjacency\Explosion;
use Orthotaxis\Core\Adjacency\FlatList;
use Orthotaxis\Core\Adjacency\Loop;
use Orthotaxis\Core\Adjacency\Span;
use Orthotaxis\Core\Adjacency\WhereUsed;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Structure\LoopFinder;
use Tests\Core\Support\Make;
use Tests\Core\Support\Web;

/** @return array<int, string> */
function above(Adjacency $web, int $item, int $day = 100): array
{
    $used = WhereUsed::of($web, $item, $day);
    $quantities = [];
    foreach ($used->parents as $parent) {
        $quantities[$parent] = (string) $used->quantity($parent);
    }
    ksort($quantities);

    return $quantities;
}

/** @return array<int, string> */
function inside(Adjacency $web, int $item, int $day = 100): array
{
    $totals = array_map(
        static fn(int $millionths): string => (string) Quantity::ofMillionths($millionths),
        Explosion::of($web, $item, $day)->totals(),
    );
    ksort($totals);

    return $totals;
}

/**
 * The reference: every path walked.
 *
 * @param  list<array{0: int, 1: int, 2: int|string, 3?: ?int, 4?: ?int, 5?: bool}>  $lines
 * @return array<int, int>
 */
function byEveryPath(array $lines, int $item, int $day, bool $down): array
{
    $totals = [];
    $walk = function (int $at, int $quantity) use (&$walk, &$totals, $lines, $day, $down): void {
        foreach ($lines as $line) {
            [$here, $there] = $down ? [$line[0], $line[1]] : [$line[1], $line[0]];
            if ($here === $at && ($line[3] ?? 0) <= $day && ($line[4] ?? 999_999) > $day) {
                $share = $quantity * (int) $line[2];
                if (!$down || !($line[5] ?? false)) {
                    $totals[$there] = ($totals[$there] ?? 0) + $share;
                }
                $walk($there, $share);
            }
        }
    };
    $walk($item, 1);
    ksort($totals);

    return $totals;
}

/** @return list<array{0: int, 1: int, 2: int|string, 3?: ?int, 4?: ?int, 5?: bool}> */
function randomLines(Random\Randomizer $random, bool $ordered): array
{
    $names = $ordered ? range(0, 12) : $random->shuffleArray(range(0, 12));
    $lines = [];
    for ($i = 0; $i < 26; $i++) {
        $parent = $random->getInt(0, 11);
        $from = $random->getInt(0, 3) === 0 ? $random->getInt(90, 110) : null;
        $lines[] = [
            $names[$parent],
            $names[$random->getInt($parent + 1, 12)],
            $random->getInt(1, 3),
            $from,
            $random->getInt(0, 3) === 0 ? ($from ?? 80) + $random->getInt(1, 20) : null,
            $random->getInt(0, 5) === 0,
        ];
    }

    return $lines;
}

it('adds up what goes into each parent over all ways', function (): void {
    // The tube (5) is in the head (4) and, as spare, in the kit (1), which holds a head as well; the head is in the module (3).
    $web = Web::of([[4, 5, '0.5'], [1, 5, '2'], [1, 4, '1'], [3, 4, '1'], [2, 3, '2']]);
    $used = WhereUsed::of($web, 5, 100);
    expect(above($web, 5))
        ->toBe([1 => '2.5', 2 => '1', 3 => '0.5', 4 => '0.5'])
        ->and(array_map($used->level(...), [1, 2, 3, 4]))
        ->toBe([1, 3, 2, 1])
        ->and($used->parents)
        ->toBe([1, 4, 3, 2])
        ->and($used->tops())
        ->toBe([1, 2])
        ->and($used->through(1))
        ->toEqualCanonicalizing([4, 5]);
});

it('explodes an item: each component once with its total', function (): void {
    // Two rotors (1) of three rollers (2) each, and a spare roller; each roller takes 0.25 g of grease (3).
    $web = Web::of([[0, 1, 2], [0, 2, 1], [1, 2, 3], [2, 3, '0.25']]);
    expect(inside($web, 0))
        ->toBe([1 => '2', 2 => '7', 3 => '1.75'])
        ->and(Explosion::of($web, 0, 100)->level(2))
        ->toBe(1)
        ->and(Explosion::of($web, 0, 100)->linesWalked())
        ->toBe(4);
});

it('blows through a phantom: what it is made of counts, it does not', function (): void {
    $web = Web::of([[0, 1, 2, null, null, true], [0, 3, 1], [1, 2, 5], [3, 1, 1]]);
    expect(inside($web, 0))->toBe([1 => '1', 2 => '15', 3 => '1']);
});

it('counts a line from its first day up to the day it ends', function (): void {
    $web = Web::of([[0, 1, 1, null, 100], [0, 2, 1, 100, 110]]);
    expect(inside($web, 0, 99))
        ->toBe([1 => '1'])
        ->and(inside($web, 0, 100))
        ->toBe([2 => '1'])
        ->and(inside($web, 0, 109))
        ->toBe([2 => '1'])
        ->and(inside($web, 0, 110))
        ->toBe([])
        ->and(above($web, 1, 99))
        ->toBe([0 => '1'])
        ->and(above($web, 1, 100))
        ->toBe([]);
});

it('packs the days of a line, open ends and phantoms into one number', function (): void {
    foreach ([[null, null], [20_000, null], [null, 20_001], [20_000, 20_001]] as [$from, $to]) {
        foreach ([true, false] as $phantom) {
            $span = Span::of($from, $to, $phantom);
            expect(Span::holdsOn($span, 20_000))
                ->toBeTrue()
                ->and(Span::holdsOn($span, 19_999))
                ->toBe($from === null)
                ->and(Span::holdsOn($span, 20_001))
                ->toBe($to === null)
                ->and(($span & Span::PHANTOM) !== 0)
                ->toBe($phantom);
        }
    }
});

it('is empty for what nothing uses and what is made of nothing', function (): void {
    expect(above(Web::of([]), 0))->toBe([])->and(inside(Web::of([]), 0))->toBe([]);
});

it('says which items stand in a loop', function (): void {
    $web = Web::of([[0, 1, 1], [1, 2, 1], [2, 3, 1], [3, 1, 1]]);
    $way = null;
    try {
        Explosion::of($web, 0, 100);
    } catch (Loop $loop) {
        $way = $loop->way;
    }
    expect($way)
        ->toBe([1, 2, 3, 1])
        ->and(fn() => WhereUsed::of($web, 2, 100))
        ->toThrow(Loop::class);
});

it('does not take a loop of different days for one', function (): void {
    $web = Web::of([[0, 1, 2, null, 100], [1, 0, 3, 100, null]]);
    expect(inside($web, 0, 99))
        ->toBe([1 => '2'])
        ->and(inside($web, 1, 100))
        ->toBe([0 => '3'])
        ->and(above($web, 1, 100))
        ->toBe([]);
});

it('agrees with walking every path, both ways, on random structures with sharing, dates and phantoms', function (bool $ordered): void {
    Make::many(function (Random\Randomizer $random) use ($ordered): void {
        $lines = randomLines($random, $ordered);
        $web = Web::of($lines);
        $item = $random->getInt(0, 12);
        $day = $random->getInt(88, 112);
        expect(array_map(intval(...), inside($web, $item, $day)))
            ->toBe(byEveryPath($lines, $item, $day, true))
            ->and(array_map(intval(...), above($web, $item, $day)))
            ->toBe(byEveryPath($lines, $item, $day, false));
    });
})->with(['well ordered' => true, 'in any order' => false]);

it('gives the same where much hangs on an item as where little does', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        $lines = [];
        for ($parent = 0; $parent < 900; $parent++) {
            for ($i = 0; $i < 3; $i++) {
                $lines[] = [
                    $parent,
                    min(999, $parent + $random->getInt(1, 80)),
                    $i === 0 ? '1' : '0.5',
                    $random->getInt(0, 9) === 0 ? $random->getInt(90, 110) : null,
                    null,
                    $random->getInt(0, 9) === 0,
                ];
            }
        }
        $lines[] = [899, ($deep = 985), '1'];
        $quick = Web::of($lines);
        $careful = new Adjacency(1000, new Web($lines), ordered: false);
        expect(inside($quick, 0))
            ->toBe(inside($careful, 0))
            ->and(count(inside($quick, 0)))
            ->toBeGreaterThan(400)
            ->and(above($quick, $deep))
            ->toBe(above($careful, $deep))
            ->and(count(above($quick, $deep)))
            ->toBeGreaterThan(400)
            ->and(Explosion::of($quick, 0, 100)->linesWalked())
            ->toBe(Explosion::of($careful, 0, 100)->linesWalked());
    }, 10);
});

it('uses upward exactly what it explodes to downward', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        $web = Web::of(array_map(fn(array $line): array => array_slice($line, 0, 5), randomLines($random, true)));
        for ($parent = 0; $parent <= 12; $parent++) {
            foreach (inside($web, $parent) as $component => $quantity) {
                expect(above($web, $component)[$parent])->toBe($quantity);
            }
        }
    }, 30);
});

it('lays what has changed over the lists: as if they had been written so', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        $lines = randomLines($random, true);
        $changed = $random->getInt(0, 11);
        $new = array_map(
            fn(): array => [$changed, $random->getInt(0, 20) === 0 ? $changed + 1 : $random->getInt($changed + 1, 13), 2],
            range(1, $random->getInt(1, 4)),
        );
        $now = [...array_values(array_filter($lines, fn(array $line): bool => $line[0] !== $changed)), ...$new];
        $fresh = new Web($now);
        $up = array_replace(array_fill_keys(range(0, 13), [0, Span::EVER]), $fresh->up(0));
        $over = new Adjacency(14, new Web($lines), [$changed => $fresh->down(0)[$changed]], $up);
        foreach ([0, $changed] as $item) {
            expect(inside($over, $item))->toBe(inside(Web::of($now), $item));
        }
        expect(above($over, 12))->toBe(above(Web::of($now), 12));
    });
});

it('does not walk every path: forty shared levels are done at once', function (): void {
    $lines = [];
    for ($level = 0; $level < 40; $level++) {
        array_push($lines, [$level, $level + 1, 1], [$level, $level + 1, 1]);
    }
    expect(inside(Web::of($lines), 0)[40])
        ->toBe((string) 2 ** 40)
        ->and(above(Web::of($lines), 40)[0])
        ->toBe((string) 2 ** 40);
});

it('says that a quantity is too large, and never gives a rounded one', function (): void {
    $lines = array_map(fn(int $level): array => [$level, $level + 1, 1000], range(0, 7));
    expect(fn() => inside(Web::of($lines), 0))->toThrow(OverflowException::class);
});

it('knows of a list on which days all of it holds', function (): void {
    expect(array_slice(FlatList::of([[1, 1, Span::of(10, 30)], [2, 1, Span::of(20, null)]]), 0, 2))->toBe([20, 30]);
});

it('finds the loop that a line would close, as a path', function (): void {
    $components = [2 => [3], 3 => [4, 5], 5 => [1]];
    expect(LoopFinder::closedBy(1, 2, $components))
        ->toBe([1, 2, 3, 5, 1])
        ->and(LoopFinder::closedBy(7, 7, []))
        ->toBe([7, 7])
        ->and(LoopFinder::closedBy(9, 2, $components))
        ->toBeNull();
});

it('reaches a parent however little of the part goes into it', function (): void {
    // 0.0008 kg of ink a sheet, 0.0005 sheet a label, 2 labels a product.
    $web = Web::of([[0, 1, 2], [1, 2, '0.0005'], [2, 3, '0.0008']]);
    $used = WhereUsed::of($web, 3, 100);
    expect($used->parents)
        ->toBe([2, 1, 0])
        ->and($used->tops())
        ->toBe([0])
        ->and((string) $used->quantity(2))
        ->toBe('0.0008')
        ->and((string) $used->quantity(1))
        ->toBe('0')
        ->and((string) $used->quantity(0))
        ->toBe('0');
    expect(array_keys(Explosion::of($web, 0, 100)->totals()))
        ->toBe([1, 2, 3])
        ->and(array_keys(Explosion::of(Web::of([[0, 1, '0.0005'], [1, 2, '0.0005'], [2, 3, 1]]), 0, 100)->totals()))
        ->toBe([1, 2, 3]);
});

it('puts those of one level in the order of their numbers, whatever their positions', function (): void {
    $web = Web::of([[0, 4, 1], [1, 4, 1], [2, 4, 1], [3, 0, 1]]);
    $number = [0 => 30, 1 => 10, 2 => 20, 3 => 5, 4 => 0];
    $rank = static fn(array $positions): array => array_map(static fn(int $position): int => $number[$position], $positions);
    expect(WhereUsed::of($web, 4, 100, rank: $rank)->parents)->toBe([1, 2, 0, 3]);
});
