<?php

declare(strict_types=1);

use Orthotaxis\Core\Adjacency\Flow;
use Orthotaxis\Core\Adjacency\Multiples;
use Orthotaxis\Core\Quantity\Quantity;
use Tests\Core\Support\Web;

it('adds up what one comes to in all that is below, and in all that is above', function (): void {
    // 1 module, 2 head, 3 screw, 4 label: two heads in a module, six screws in a head, a label on both.
    $web = Web::of([[1, 2, 2], [2, 3, 6], [1, 4, 1], [2, 4, 1]]);
    $below = Multiples::below($web, 100);
    expect([$below->of(3), $below->of(2), $below->of(1)])->toBe([1.0, 8.0, 18.0]);
    expect(Multiples::above($web, 100)->of(3))->toBe(19.0);
});

it('counts a line that holds on the day or later, and none that has ended', function (): void {
    $web = Web::of([[1, 2, 3, 50, 60], [1, 3, 5, 80, null]]);
    expect(Multiples::below($web, 40)->of(1))
        ->toBe(9.0)
        ->and(Multiples::below($web, 60)->of(1))
        ->toBe(6.0)
        ->and(Multiples::above($web, 60)->of(2))
        ->toBe(1.0);
});

it('counts what uses one revision of an item, and has no bound where something contains itself', function (): void {
    // 5 stands for a revision of 4.
    expect(Multiples::above(Web::of([[1, 5, 3]]), 100, [4 => [5]])->of(4))->toBe(4.0);
    expect(Multiples::below(Web::of([[1, 2, 1], [2, 1, 1]]), 100)->of(1))->toBe(INF);
});

it('is never less than the largest of what it adds up, in any web', function (): void {
    mt_srand(7);
    for ($round = 0; $round < 200; $round++) {
        $lines = [];
        for ($from = 1; $from < 12; $from++) {
            for ($many = mt_rand(0, 3); $many > 0; $many--) {
                $lines[] = [$from, mt_rand($from + 1, 12), mt_rand(1, 9)];
            }
        }
        $lines[] = [1, 12, 1];
        $web = Web::of($lines);
        [$below, $above] = [Multiples::below($web, 100), Multiples::above($web, 100)];
        for ($at = 1; $at <= 12; $at++) {
            $down = Flow::down($web, $at, 100)->totals;
            $up = Flow::up($web, $at, 100)->totals;
            expect($below->of($at) * Quantity::ONE)
                ->toBeGreaterThanOrEqual(max($down))
                ->and($below->of($at) * Quantity::ONE)
                ->toBe((float) array_sum($down))
                ->and($above->of($at) * Quantity::ONE)
                ->toBe((float) array_sum($up));
        }
    }
});
