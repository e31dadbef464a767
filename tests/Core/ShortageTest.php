<?php

declare(strict_types=1);

use Orthotaxis\Core\CutIn\Shortage;

const ONE_PIECE = 1_000_000;

it('says how many are lacking until more can come, and from which day', function (): void {
    $five = array_fill(0, 60, 5 * ONE_PIECE);
    $short = Shortage::of($five, [], 30 * ONE_PIECE, [], 10, 28);
    expect([$short->needed, $short->short, $short->from])->toBe([90 * ONE_PIECE, 60 * ONE_PIECE, 16]);
    // A receipt of forty on day 20 comes too late for four days, and is not enough.
    $short = Shortage::of($five, [], 30 * ONE_PIECE, [[20, 40 * ONE_PIECE]], 10, 28);
    expect([$short->short, $short->from])->toBe([20 * ONE_PIECE, 16]);
    // The same on time, and late ones counted today.
    expect(Shortage::of($five, [], 30 * ONE_PIECE, [[-5, 60 * ONE_PIECE]], 10, 28)->short)->toBe(0);
});

it('counts what others want of it already, and not what they lack without this', function (): void {
    $short = Shortage::of([0, 0, 4, 4], [3, 3, 3, 3], 10, [], 2, 4);
    expect([$short->needed, $short->short, $short->from])->toBe([8, 8, 2]);
    $lacking = Shortage::of([0, 0, 0, 0], [9, 9, 9, 9], 10, [], 2, 4);
    expect([$lacking->short, $lacking->from])->toBe([0, null]);
});

it('is nothing where more can come before the first day, or nothing is needed', function (): void {
    expect(Shortage::of(array_fill(0, 60, 5), [], 0, [], 30, 28)->short)
        ->toBe(0)
        ->and(Shortage::of([], [], 0, [], 0, 28)->needed)
        ->toBe(0)
        ->and(Shortage::of([5, 5], [], 0, [], 0, 0)->short)
        ->toBe(0);
});

it('is never more for more stock, a later first day or a sooner delivery, and the same for a receipt in two parts', function (): void {
    mt_srand(31);
    for ($round = 0; $round < 2_000; $round++) {
        $days = mt_rand(1, 30);
        $needed = array_map(static fn(): int => mt_rand(0, 9), range(1, $days));
        $elsewhere = array_map(static fn(): int => mt_rand(0, 3), range(1, $days));
        $receipts = [[mt_rand(-3, $days), mt_rand(2, 40)], [mt_rand(0, $days), mt_rand(0, 20)]];
        [$stock, $first, $more] = [mt_rand(0, 60), mt_rand(0, $days), mt_rand(0, $days)];
        $short = Shortage::of($needed, $elsewhere, $stock, $receipts, $first, $more);
        [[$day, $quantity], $other] = $receipts;
        $parts = mt_rand(0, $quantity);
        $split = Shortage::of($needed, $elsewhere, $stock, [[$day, $parts], $other, [$day, $quantity - $parts]], $first, $more);
        expect([$split->short, $split->from])
            ->toBe([$short->short, $short->from])
            ->and(Shortage::of($needed, $elsewhere, $stock + mt_rand(0, 9), $receipts, $first, $more)->short)
            ->toBeLessThanOrEqual($short->short)
            ->and(Shortage::of($needed, $elsewhere, $stock, $receipts, $first, max(0, $more - 1))->short)
            ->toBeLessThanOrEqual($short->short)
            ->and($short->short)
            ->toBeLessThanOrEqual($short->needed);
    }
});
