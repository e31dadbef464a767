<?php

declare(strict_types=1);

use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\Outcome;
use Orthotaxis\Core\CutIn\PartCourse;
use Orthotaxis\Core\CutIn\PlantDays;
use Orthotaxis\Core\CutIn\Receipt;
use Orthotaxis\Core\Quantity\Quantity;
use Tests\Core\Support\CutInCase as Case_;

/** @return array{int, int} pieces left over and short */
function became(Outcome $outcome): array
{
    return [intdiv($outcome->left, Quantity::ONE), intdiv($outcome->short, Quantity::ONE)];
}

it('says what is left over once the change is in: what is there and comes, less what others want', function (): void {
    $service = [...array_fill(0, 60, 1), ...array_fill(0, 40, 0)];
    $old = Case_::altered(Case_::part('OLD', 100, others: $service), ['receipts' => [new Receipt('PO-1', 10, 40 * Quantity::ONE)]]);
    expect(became(Outcome::today($old, new Levers(), PlantDays::all(), true)))
        ->toBe([20, 0])
        // Five of them are kept for service besides.
        ->and(became(Outcome::today(Case_::altered($old, ['keep' => 5 * Quantity::ONE]), new Levers(), PlantDays::all(), true)))
        ->toBe([15, 0])
        // Of a part that the change only brings nothing is left over.
        ->and(became(Outcome::today($old, new Levers(), PlantDays::all(), false)))
        ->toBe([0, 0]);
});

it('says what cannot be had in time from today on', function (): void {
    $new = Case_::part('NEW', 4, from: [0, 10, ...array_fill(0, 98, 0)], lead: 7);
    expect(became(Outcome::today($new, new Levers(), PlantDays::all(), false)))->toBe([0, 6]);
});

it('says what the plan says of a day, when that day is today', function (int $seed): void {
    mt_srand($seed);
    $some = static fn(int $most): array => array_map(static fn(): int => mt_rand(0, 9) < 7 ? 0 : mt_rand(0, $most), array_fill(0, 60, 0));
    $part = Case_::altered(
        Case_::part('OLD', mt_rand(0, 200), until: [1, ...$some(4)], from: [0, ...$some(2)], others: [0, ...$some(1)], lead: 12),
        [
            'receipts' => [new Receipt('PO-1', mt_rand(0, 59), mt_rand(1, 50) * Quantity::ONE)],
        ],
    );
    $planned = Outcome::planned((new PartCourse($part, new Levers(), PlantDays::all()))->on(0));
    expect(became(Outcome::today($part, new Levers(), PlantDays::all(), true)))->toBe(became($planned));
})->with(range(1, 40));
