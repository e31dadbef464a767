<?php

declare(strict_types=1);

use Orthotaxis\Core\CutIn\CutInPlan;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\Pair;
use Orthotaxis\Core\CutIn\Part;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Random\Randomizer;
use Tests\Core\Support\CutInByHand;
use Tests\Core\Support\CutInCase as Case_;
use Tests\Core\Support\Make;

$units = static fn(Money $amount): float => $amount->tenThousandths / 10_000;

it('costs each day what one reckons on paper, whatever is kept, let come or hurried', function () use ($units): void {
    Make::many(function (Randomizer $random) use ($units): void {
        [$pair, $orders] = Case_::random($random);
        $levers = new Levers(
            ['OLD' => $random->getInt(0, 1) * $random->getInt(0, 40) * Quantity::ONE],
            $random->getInt(0, 1) === 0 ? [] : ['D1', 'D3'],
            perStraddle: Case_::money($random->getInt(0, 9)),
        );
        $plan = CutInPlan::of([$pair], $orders, $levers);
        $paper = new CutInByHand($pair, $levers);
        expect($plan->runOut)->toBe($paper->runOut());
        foreach ($plan->days as $day) {
            $expected = $paper->cost($day->day);
            $underWay = CutInByHand::underWay($orders, $day->day);
            expect([
                'leftover' => $units($day->leftover),
                'cancellation' => $units($day->cancellation),
                'shortage' => $units($day->shortage),
                'recurring' => $units($day->recurring),
                'late' => $day->disturbed - $underWay,
            ])
                ->toEqual($expected)
                ->and($units($day->straddling))
                ->toEqual($underWay * $units($levers->perStraddle));
        }
    });
});

it('costs a matched set what its pairs cost by themselves, and waits for the last of them', function () use ($units): void {
    Make::many(function (Randomizer $random) use ($units): void {
        [$first] = Case_::random($random);
        [$other] = Case_::random($random);
        $renamed = static fn(Part $part, string $number): Part => new Part(
            $number,
            $part->stock,
            $part->receipts,
            $part->cost,
            $part->disposal,
            $part->expedite,
            $part->leadDays,
        );
        $second = new Pair(
            $renamed($other->old, 'OLD 2'),
            $renamed($other->new, 'NEW 2'),
            $other->demand,
            $other->ratio,
            $other->expediting,
        );
        $levers = new Levers(['OLD' => 3 * Quantity::ONE, 'OLD 2' => 5 * Quantity::ONE], approvalDays: $random->getInt(0, 5));
        $alone = array_map(static fn(Pair $pair): CutInPlan => CutInPlan::of([$pair], [], $levers), [$first, $second]);
        $set = CutInPlan::of([$first, $second], [], $levers);
        expect($set->earliest)
            ->toBe(max($alone[0]->earliest, $alone[1]->earliest))
            ->and($set->runOut ?? 999)
            ->toBe(min($alone[0]->runOut ?? 999, $alone[1]->runOut ?? 999));
        foreach ($set->days as $at => $day) {
            expect($units($day->total))
                ->toEqual($units($alone[0]->days[$at]->total) + $units($alone[1]->days[$at]->total))
                ->and($day->disturbed)
                ->toBe($alone[0]->days[$at]->disturbed + $alone[1]->days[$at]->disturbed);
        }
    });
});

it('is not made dearer by a lower price of anything', function (): void {
    Make::many(function (Randomizer $random): void {
        [$pair, $orders] = Case_::random($random);
        $cheaper = static fn(Part $part, bool $old): Part => new Part(
            $part->number,
            $part->stock,
            $part->receipts,
            $old ? $part->cost : Money::zero(),
            Money::ofTenThousandths($part->disposal->tenThousandths - 10_000),
            Money::zero(),
            $part->leadDays,
        );
        $before = CutInPlan::of([$pair], $orders, new Levers());
        $after = CutInPlan::of(
            [new Pair($cheaper($pair->old, true), $cheaper($pair->new, false), $pair->demand, $pair->ratio, $pair->expediting)],
            $orders,
            new Levers(),
        );
        foreach ($before->days as $at => $day) {
            expect($after->days[$at]->total->tenThousandths)->toBeLessThanOrEqual($day->total->tenThousandths);
        }
    });
});

it('never lacks less for keeping more, and never has more left over', function (): void {
    Make::many(function (Randomizer $random): void {
        [$pair] = Case_::random($random);
        $keep = static fn(int $pieces): CutInPlan => CutInPlan::of([$pair], [], new Levers(['OLD' => $pieces * Quantity::ONE]));
        [$less, $more] = [$keep(4), $keep(4 + $random->getInt(1, 30))];
        expect($more->runOut ?? 999)->toBeLessThanOrEqual($less->runOut ?? 999);
        foreach ($less->days as $at => $day) {
            $sign = $pair->old->disposal->tenThousandths <=> 0;
            expect($more->days[$at]->shortage->tenThousandths)
                ->toBeGreaterThanOrEqual($day->shortage->tenThousandths)
                ->and($sign * $more->days[$at]->leftover->tenThousandths)
                ->toBeLessThanOrEqual($sign * $day->leftover->tenThousandths);
        }
    });
});
