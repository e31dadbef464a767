<?php

declare(strict_types=1);

use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\LoopFinder;
use Orthotaxis\Core\Structure\Usage;
use Orthotaxis\Core\Structure\WhereUsed;
use Tests\Core\Support\Make;

$usage = fn (int $parent, int $component, string $quantity): Usage => new Usage($parent, $component, Quantity::parse($quantity));

it('adds up what goes into each parent over all ways', function () use ($usage): void {
    // The tube (1) is in the head (2) and, as spare, in the kit (3), which holds a head as well; the head is in the module (4).
    $used = WhereUsed::of(1, [$usage(2, 1, '0.5'), $usage(3, 1, '2'), $usage(3, 2, '1'), $usage(4, 2, '1'), $usage(5, 4, '2')])->parents;
    expect(array_map(fn ($in): string => (string) $in->quantity, $used))->toBe([2 => '0.5', 3 => '2.5', 4 => '0.5', 5 => '1'])
        ->and(array_map(fn ($in): int => $in->level, $used))->toBe([2 => 1, 3 => 1, 4 => 2, 5 => 3])
        ->and(array_map(fn ($in): bool => $in->top, $used))->toBe([2 => false, 3 => true, 4 => false, 5 => true])
        ->and(array_keys($used[3]->through))->toEqualCanonicalizing([1, 2]);
});

it('adds several lines of one parent', function () use ($usage): void {
    expect((string) WhereUsed::of(1, [$usage(2, 1, '3'), $usage(2, 1, '4')])->parents[2]->quantity)->toBe('7');
});

it('is empty for what nothing uses', function (): void {
    expect(WhereUsed::of(1, [])->parents)->toBe([]);
});

it('refuses an item above itself', function () use ($usage): void {
    expect(fn () => WhereUsed::of(1, [$usage(2, 1, '1'), $usage(3, 2, '1'), $usage(2, 3, '1')]))->toThrow(Refusal::class, 'contained in itself');
});

it('agrees with walking every path, on random structures with sharing', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        $usages = [];
        for ($i = 0; $i < 25; $i++) {
            $component = $random->getInt(1, 11);
            $usages[] = new Usage($random->getInt($component + 1, 12), $component, Quantity::parse((string) $random->getInt(1, 3)));
        }
        $naive = [];
        $walk = function (int $item, int $quantity) use (&$walk, &$naive, $usages): void {
            foreach ($usages as $usage) {
                if ($usage->component === $item) {
                    $share = $quantity * intdiv($usage->quantity->millionths, Quantity::ONE);
                    $naive[$usage->parent] = ($naive[$usage->parent] ?? 0) + $share;
                    $walk($usage->parent, $share);
                }
            }
        };
        $walk(1, 1);
        $ours = array_map(fn ($in): int => intdiv($in->quantity->millionths, Quantity::ONE), WhereUsed::of(1, $usages)->parents);
        ksort($naive);
        ksort($ours);
        expect($ours)->toBe($naive);
    });
});

it('does not walk every path: forty shared levels are done at once', function () use ($usage): void {
    $usages = [];
    for ($level = 1; $level <= 40; $level++) {
        $usages[] = $usage($level + 1, $level, '1');
        $usages[] = $usage($level + 1, $level, '1');
    }
    expect((string) WhereUsed::of(1, array_slice($usages, 0, 80))->parents[41]->quantity)->toBe((string) 2 ** 40);
});

it('finds the loop that a line would close, as a path', function (): void {
    $components = [2 => [3], 3 => [4, 5], 5 => [1]];
    expect(LoopFinder::closedBy(1, 2, $components))->toBe([1, 2, 3, 5, 1])
        ->and(LoopFinder::closedBy(7, 7, []))->toBe([7, 7])
        ->and(LoopFinder::closedBy(9, 2, $components))->toBeNull();
});
