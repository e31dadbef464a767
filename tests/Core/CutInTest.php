<?php

declare(strict_types=1);

use Orthotaxis\Core\CutIn\CutInDay;
use Orthotaxis\Core\CutIn\CutInPlan;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\OpenOrder;
use Orthotaxis\Core\CutIn\Pair;
use Orthotaxis\Core\CutIn\Part;
use Orthotaxis\Core\CutIn\Receipt;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Tests\Core\Support\CutInCase as Case_;
use Tests\Core\Support\Make;

/** An amount without its decimals. */
function whole(Money $amount): string
{
    return preg_replace('/\.00$/', '', (string) $amount) ?? '';
}

/** @return array{leftover: string, cancellation: string, shortage: string, straddling: string, recurring: string, total: string} */
function costs(CutInDay $day): array
{
    return array_map(whole(...), ['leftover' => $day->leftover, 'cancellation' => $day->cancellation, 'shortage' => $day->shortage, 'straddling' => $day->straddling, 'recurring' => $day->recurring, 'total' => $day->total]);
}

it('finds the run-out day between two receipts', function (): void {
    // 10 on the shelf, 4 a day: gone in the course of day 2; 20 come on day 5 and 20 on day 12.
    $plan = CutInPlan::of([Case_::pair(Case_::part('OLD', 10, [['PO-1', 5, 20, null], ['PO-2', 12, 20, null]]), Case_::part('NEW', 99), array_fill(0, 15, 4))], [], new Levers);
    expect($plan->runOut)->toBe(2)
        ->and(array_map(static fn (int $q): int => intdiv($q, Quantity::ONE), array_slice($plan->courses[0]->old, 0, 8)))->toBe([10, 6, 2, 0, 0, 0, 16, 12]);
});

it('lets a receipt after the day be cancelled for its fee, or counts it as left over where it cannot be', function (): void {
    $case = static fn (?int $fee, array $let = []): array => costs(CutInPlan::of([Case_::pair(Case_::part('OLD', 8, [['PO-1', 6, 10, $fee]], cost: 10, disposal: 4, expedite: 0), Case_::part('NEW', 99, cost: 10), array_fill(0, 10, 2))], [], new Levers(notCancelled: $let))->days[3]);
    // On day 3 two of the eight are left; ten are still to come.
    expect($case(15))->toMatchArray(['leftover' => '8', 'cancellation' => '15', 'total' => '23'])
        ->and($case(null))->toMatchArray(['leftover' => '48', 'cancellation' => '0', 'total' => '48'])
        ->and($case(15, ['PO-1']))->toMatchArray(['leftover' => '48', 'cancellation' => '0']);
});

it('counts the work orders that are under way on the day', function (): void {
    $orders = [new OpenOrder('WO-1', 2, 6), new OpenOrder('WO-2', 5, 9), new OpenOrder('WO-3', 20, 25)];
    $plan = CutInPlan::of([Case_::pair(Case_::part('OLD', 0, disposal: 0), Case_::part('NEW', 99), array_fill(0, 12, 0))], $orders, new Levers(perStraddle: Case_::money(30)));
    expect(array_map(static fn (CutInDay $day): int => $day->disturbed, $plan->days))->toBe([0, 0, 0, 1, 1, 1, 1, 1, 1, 0, 0, 0])
        ->and(whole($plan->days[5]->straddling))->toBe('30')
        ->and($plan->leastDisturbing)->toBe(0);
    // On the day an order begins it takes the new part, and on the day it is done it needs none.
    expect(CutInPlan::of([Case_::pair(Case_::part('OLD', 0), Case_::part('NEW', 99), array_fill(0, 12, 0))], [new OpenOrder('WO-1', 5, 6)], new Levers)->days[5]->disturbed)->toBe(0);
});

it('cuts a matched set in together: the last part to come decides, the first to run out counts', function (): void {
    $plan = CutInPlan::of([
        Case_::pair(Case_::part('TUBE', 12), Case_::part('TUBE-2', 0, [['PO-9', 9, 50, null]], lead: 40), array_fill(0, 20, 3)),
        Case_::pair(Case_::part('SPRING', 30), Case_::part('SPRING-2', 5), array_fill(0, 20, 3)),
    ], [], new Levers(approvalDays: 2, toolingDay: 4));
    expect($plan->earliest)->toBe(9)->and($plan->waitsFor)->toBe(['TUBE-2'])->and($plan->runOut)->toBe(4);
});

it('says why a prescribed day cannot be kept', function (): void {
    $plan = static fn (?int $day): CutInPlan => CutInPlan::of([Case_::pair(Case_::part('OLD', 12), Case_::part('NEW', 0, lead: 6), array_fill(0, 20, 3))], [], new Levers(prescribed: $day));
    expect($plan(5)->againstPrescribed())->toBe('It is before the earliest possible day.')->and($plan(6)->againstPrescribed())->toBeNull()
        ->and($plan(20)->againstPrescribed())->toContain('beyond')->and($plan(-1)->againstPrescribed())->toBe('It has passed.')->and($plan(null)->againstPrescribed())->toBeNull();
});

it('has no possible day when the new part comes after all of them', function (): void {
    $plan = CutInPlan::of([Case_::pair(Case_::part('OLD', 12), Case_::part('NEW', 0, lead: 60), array_fill(0, 20, 3))], [], new Levers);
    expect($plan->leastCost)->toBeNull()->and($plan->leastDisturbing)->toBeNull()->and($plan->earliest)->toBe(20);
});

it('does not care for the day when nobody wants the part, and is rid of the stock at once or ever', function (): void {
    $plan = CutInPlan::of([Case_::pair(Case_::part('OLD', 5), Case_::part('NEW', 1), array_fill(0, 10, 0))], [], new Levers);
    expect($plan->runOut)->toBeNull()->and($plan->leastCost)->toBe(0)->and(array_unique(array_map(static fn (CutInDay $day): string => whole($day->total), $plan->days)))->toBe(['20']);
});

it('waits with a dearer part and hurries with a cheaper one', function (): void {
    $plan = static fn (int $cost): CutInPlan => CutInPlan::of([Case_::pair(Case_::part('OLD', 20, cost: 10, disposal: 0, expedite: 0), Case_::part('NEW', 99, cost: $cost), array_fill(0, 10, 2))], [], new Levers);
    // Twenty pieces last all ten days. Each piece costs 3 more or less; on day 4 six days of two are still to come.
    expect($plan(13)->leastCost)->toBe(9)->and(whole($plan(13)->days[4]->recurring))->toBe('36')
        ->and($plan(7)->leastCost)->toBe(0)->and(whole($plan(7)->days[4]->recurring))->toBe('-36');
});

it('weighs what is left over against what is saved', function (): void {
    // Each day of waiting uses two old pieces that would cost 4 each to be rid of, and loses a saving of 2 x 1.
    $plan = CutInPlan::of([Case_::pair(Case_::part('OLD', 10, cost: 10, disposal: 4, expedite: 50), Case_::part('NEW', 99, cost: 9), array_fill(0, 10, 2))], [], new Levers);
    expect($plan->leastCost)->toBe(5)->and($plan->runOut)->toBe(5)->and(costs($plan->days[5]))->toMatchArray(['leftover' => '0', 'shortage' => '0', 'recurring' => '-10', 'total' => '-10'])
        ->and(costs($plan->days[6]))->toMatchArray(['shortage' => '100']);
    // What is kept for service is no burden.
    $kept = CutInPlan::of([Case_::pair(Case_::part('OLD', 10, disposal: 4), Case_::part('NEW', 99), array_fill(0, 10, 2))], [], new Levers(keep: ['OLD' => 3 * Quantity::ONE]));
    expect(whole($kept->days[0]->leftover))->toBe('28')->and(whole($kept->days[4]->leftover))->toBe('0');
});

it('counts new parts that are wanted before they can be ordered', function (): void {
    // Five new ones are here, two a day from day 1 on, nothing more before day 6: five days of two less five.
    $plan = CutInPlan::of([Case_::pair(Case_::part('OLD', 99, disposal: 0), Case_::part('NEW', 5, expedite: 7, lead: 6), array_fill(0, 10, 2))], [], new Levers);
    expect(whole($plan->days[1]->shortage))->toBe('35')->and(whole($plan->days[4]->shortage))->toBe('0');
});

it('takes more or less of the new part for one of the old', function (): void {
    $plan = CutInPlan::of([Case_::pair(Case_::part('OLD', 0, cost: 10), Case_::part('NEW', 99, cost: 10), array_fill(0, 4, 2), 1_500_000)], [], new Levers);
    expect(whole($plan->days[0]->recurring))->toBe('40');
});

it('adds up, is never beaten by another day, and is not hurried by more stock', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        [$pair, $orders] = Case_::random($random);
        $levers = new Levers(approvalDays: $random->getInt(0, 8), perStraddle: Case_::money($random->getInt(0, 9)));
        $plan = CutInPlan::of([$pair], $orders, $levers);
        foreach ($plan->days as $day) {
            expect($day->total->tenThousandths)->toBe($day->leftover->tenThousandths + $day->cancellation->tenThousandths + $day->shortage->tenThousandths + $day->straddling->tenThousandths + $day->recurring->tenThousandths);
            if ($day->day >= $plan->earliest) {
                expect($day->total->tenThousandths)->toBeGreaterThanOrEqual($plan->days[(int) $plan->leastCost]->total->tenThousandths)
                    ->and($day->disturbed)->toBeGreaterThanOrEqual($plan->days[(int) $plan->leastDisturbing]->disturbed);
            }
        }
        $more = new Pair(new Part('OLD', $pair->old->stock + 5 * Quantity::ONE, $pair->old->receipts, $pair->old->cost, $pair->old->disposal, $pair->old->expedite), $pair->new, $pair->demand, $pair->ratio);
        expect(CutInPlan::of([$more], $orders, $levers)->runOut ?? 999)->toBeGreaterThanOrEqual($plan->runOut ?? 999);
    });
});

it('shifts its answer with the dates', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        [$pair, $orders] = Case_::random($random);
        $by = $random->getInt(1, 10);
        $later = static fn (Part $part, bool $new): Part => new Part($part->number, $part->stock, array_map(
            static fn (Receipt $r): Receipt => new Receipt($r->document, $r->day + $by, $r->quantity, $r->cancelFee), $part->receipts,
        ), $part->cost, $part->disposal, $part->expedite, $part->leadDays + ($new ? $by : 0));
        $plan = CutInPlan::of([$pair], $orders, new Levers(approvalDays: 3));
        $shifted = CutInPlan::of(
            [new Pair($later($pair->old, false), $later($pair->new, true), [...array_fill(0, $by, 0), ...$pair->demand], $pair->ratio)],
            array_map(static fn (OpenOrder $o): OpenOrder => new OpenOrder($o->document, $o->first + $by, $o->done + $by), $orders), new Levers(approvalDays: 3 + $by),
        );
        expect($shifted->leastCost)->toBe($plan->leastCost === null ? null : $plan->leastCost + $by)
            ->and($shifted->runOut)->toBe($plan->runOut === null ? null : $plan->runOut + $by)
            ->and($plan->leastCost === null || (string) $shifted->days[$plan->leastCost + $by]->total === (string) $plan->days[$plan->leastCost]->total)->toBeTrue();
    });
});
