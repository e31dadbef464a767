<?php

declare(strict_types=1);

use Orthotaxis\Core\CutIn\Expediting;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\Part;
use Orthotaxis\Core\CutIn\PartCourse;
use Orthotaxis\Core\CutIn\PlantDays;
use Orthotaxis\Core\CutIn\Receipt;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Random\Randomizer;
use Tests\Core\Support\CutInByHand;
use Tests\Core\Support\CutInCase as Case_;
use Tests\Core\Support\Make;

$units = static fn(Money $amount): float => $amount->tenThousandths / 10_000;

it('costs each day what one reckons on paper, whatever is kept, let come, ordered at risk or hurried', function () use ($units): void {
    Make::many(function (Randomizer $random) use ($units): void {
        [$parts, $orders, $levers] = Case_::random($random, 24);
        $plan = Case_::plan($parts, $levers, $orders);
        $papers = array_map(static fn(Part $part): CutInByHand => new CutInByHand($part, $levers), $parts);
        foreach ($parts as $i => $part) {
            expect($plan->courses[$i]->runOut)->toBe($papers[$i]->runOut());
        }
        foreach ([0, 3, 8, 15, $random->getInt(1, 23)] as $day) {
            $told = $plan->days[$day];
            $underWay = CutInByHand::underWay($orders, $day);
            $expected = ['leftover' => 0.0, 'cancellation' => 0.0, 'shortage' => 0.0, 'recurring' => 0.0, 'disturbed' => $underWay];
            $isSustained = true;
            foreach ($papers as $paper) {
                $cost = $paper->cost($day);
                foreach (array_keys($expected) as $name) {
                    $expected[$name] += $cost[$name];
                }
                $isSustained = $isSustained && $cost['sustained'];
            }
            foreach (['leftover', 'cancellation', 'shortage', 'recurring'] as $name) {
                expect($units($told->{$name}))->toEqualWithDelta($expected[$name], 0.01, "{$name} of day {$day}");
            }
            expect($told->disturbed)
                ->toBe($expected['disturbed'])
                ->and($units($told->straddling))
                ->toEqual($underWay * 30)
                ->and($told->isPossible)
                ->toBe($isSustained && $day >= max($levers->approvalDays, $levers->toolingDay));
        }
    });
});

it('is not made dearer by a lower price of being rid of the old, of missing parts, or of hurrying', function (): void {
    Make::many(function (Randomizer $random): void {
        [$parts, $orders, $levers] = Case_::random($random);
        $cheaper = array_map(
            static fn(Part $part): Part => Case_::altered($part, [
                'penalty' => Money::zero(),
                'expediting' =>
                    $part->expediting === null
                        ? null
                        : new Expediting($part->expediting->days, Money::zero(), Money::zero(), $part->expediting->most),
            ]),
            $parts,
        );
        $after = Case_::plan($cheaper, $levers, $orders);
        foreach (Case_::plan($parts, $levers, $orders)->days as $at => $day) {
            expect($after->days[$at]->total->tenThousandths)->toBeLessThanOrEqual($day->total->tenThousandths);
        }
    });
});

it('never brings the run-out forward for more stock, nor sends it back for keeping more', function (): void {
    Make::many(function (Randomizer $random): void {
        [$parts, , $levers] = Case_::random($random);
        $runOut = static fn(Part $part): int => (new PartCourse($part, $levers, PlantDays::all()))->runOut ?? 999;
        foreach ($parts as $part) {
            $pieces = $random->getInt(1, 20) * Quantity::ONE;
            expect($runOut(Case_::altered($part, ['stock' => $part->stock + $pieces])))
                ->toBeGreaterThanOrEqual($runOut($part))
                ->and($runOut(Case_::altered($part, ['keep' => $part->keep + $pieces])))
                ->toBeLessThanOrEqual($runOut($part));
        }
    });
});

it('costs the same when one receipt becomes two', function (): void {
    Make::many(function (Randomizer $random): void {
        [$parts, $orders, $levers] = Case_::random($random);
        $whole = static fn(Part $part): Part => Case_::altered($part, [
            'receipts' => array_map(
                static fn(Receipt $r): Receipt => new Receipt(
                    $r->document,
                    $r->day,
                    2 * $r->quantity,
                    $r->cancelFee === null ? null : $r->cancelFee->plus($r->cancelFee),
                ),
                $part->receipts,
            ),
        ]);
        $split = static fn(Part $part): Part => Case_::altered($part, ['receipts' => [...$part->receipts, ...$part->receipts]]);
        $after = Case_::plan(array_map($split, $parts), $levers, $orders);
        foreach (Case_::plan(array_map($whole, $parts), $levers, $orders)->days as $at => $day) {
            // A fee for a part of a receipt is rounded once more or less.
            expect(abs($after->days[$at]->total->tenThousandths - $day->total->tenThousandths))
                ->toBeLessThan(20)
                ->and($after->days[$at]->isPossible)
                ->toBe($day->isPossible);
        }
    });
});

it('is never made later by ordering at risk, which is told with what is lost if the change is refused', function (): void {
    $told = 0;
    Make::many(function (Randomizer $random) use (&$told): void {
        [$parts, $orders] = Case_::random($random);
        $approval = $random->getInt(0, 8);
        $released = Case_::plan($parts, new Levers(approvalDays: $approval), $orders);
        $atRisk = Case_::plan($parts, new Levers(approvalDays: $approval, atRisk: true), $orders);
        expect($atRisk->best->earliest ?? 999)->toBeLessThanOrEqual($released->best->earliest ?? 999);
        foreach ($atRisk->days as $at => $day) {
            $told += $day->atRisk->tenThousandths > 0 ? 1 : 0;
            expect($day->atRisk->tenThousandths)
                ->toBeGreaterThanOrEqual(0)
                ->and($released->days[$at]->atRisk->tenThousandths)
                ->toBe(0);
        }
    });
    expect($told)->toBeGreaterThan(100);
});

it('costs nothing more or less on any day to swap a part for itself', function (): void {
    Make::many(function (Randomizer $random): void {
        $wanted = array_map(static fn(): int => $random->getInt(0, 5), range(1, 30));
        [$parts] = Case_::random($random);
        $same = Case_::altered($parts[0], [
            'demand' => Case_::part('A', 0, until: $wanted, from: $wanted)->demand,
            'expediting' => null,
            'lot' => Case_::part('A', 0, until: [1])->lot,
            'safety' => 0,
        ]);
        $plan = Case_::plan([$same], new Levers(approvalDays: 3));
        expect(array_unique(array_map(static fn($day): string => (string) $day->total, $plan->days)))
            ->toHaveCount(1)
            ->and((string) $plan->days[7]->recurring)
            ->toBe('0.00');
    });
});

it('is the same in working days of a plant that never rests as in days of the calendar', function (): void {
    Make::many(function (Randomizer $random): void {
        [$parts, $orders, $levers] = Case_::random($random);
        $calendar = Orthotaxis\Core\Calendar\WorkCalendar::of([1, 2, 3, 4, 5, 6, 7]);
        $days = PlantDays::of($calendar, Orthotaxis\Core\Calendar\Day::parse('2026-11-26'), 20, 50);
        expect(Case_::plan($parts, $levers, $orders, $days)->days)->toEqual(Case_::plan($parts, $levers, $orders)->days);
    });
});

it('adds up plants, and a day is possible where it is at each', function (): void {
    Make::many(function (Randomizer $random): void {
        [$one, $orders, $levers] = Case_::random($random);
        [$other] = Case_::random($random);
        $cases = array_map(
            static fn(array $parts): Orthotaxis\Core\CutIn\PlantCase => new Orthotaxis\Core\CutIn\PlantCase(
                'Weir',
                PlantDays::all(),
                $parts,
                $orders,
            ),
            [$one, $other],
        );
        $plan = Orthotaxis\Core\CutIn\CutInPlan::of($cases, $levers);
        foreach ($plan->days as $at => $day) {
            [$a, $b] = [$plan->plants[0]->days[$at], $plan->plants[1]->days[$at]];
            expect($day->total->tenThousandths)
                ->toBe($a->total->tenThousandths + $b->total->tenThousandths)
                ->and($day->disturbed)
                ->toBe($a->disturbed + $b->disturbed)
                ->and($day->isPossible)
                ->toBe($a->isPossible && $b->isPossible);
        }
        $runOuts = array_filter([$plan->plants[0]->runOut, $plan->plants[1]->runOut], is_int(...));
        expect($plan->runOut())->toBe($runOuts === [] ? null : min($runOuts));
    });
});

it('cuts in on its earliest day where nobody wants the part', function (): void {
    Make::many(function (Randomizer $random): void {
        [$parts, , $levers] = Case_::random($random);
        $none = Case_::part('A', 0, until: array_fill(0, 30, 0))->demand;
        $plan = Case_::plan(array_map(static fn(Part $part): Part => Case_::altered($part, ['demand' => $none]), $parts), $levers);
        expect($plan->best->leastCost)
            ->toBe($plan->best->earliest)
            ->and($plan->best->earliest)
            ->toBe(max($levers->approvalDays, $levers->toolingDay));
    });
});
