<?php

declare(strict_types=1);

use Orthotaxis\Core\CutIn\CostPart;
use Orthotaxis\Core\CutIn\CostRow;
use Orthotaxis\Core\CutIn\CutInDay;
use Orthotaxis\Core\CutIn\CutInPlan;
use Orthotaxis\Core\CutIn\DayRows;
use Orthotaxis\Core\CutIn\Expediting;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\OpenOrder;
use Orthotaxis\Core\CutIn\Pair;
use Orthotaxis\Core\CutIn\Part;
use Orthotaxis\Core\CutIn\Peg;
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
    return array_map(whole(...), [
        'leftover' => $day->leftover,
        'cancellation' => $day->cancellation,
        'shortage' => $day->shortage,
        'straddling' => $day->straddling,
        'recurring' => $day->recurring,
        'total' => $day->total,
    ]);
}

it('finds the run-out day between two receipts', function (): void {
    // 10 on the shelf, 4 a day: gone in the course of day 2; 20 come on day 5 and 20 on day 12.
    $plan = CutInPlan::of(
        [
            Case_::pair(
                Case_::part('OLD', 10, [['PO-1', 5, 20, null], ['PO-2', 12, 20, null]]),
                Case_::part('NEW', 99),
                array_fill(0, 15, 4),
            ),
        ],
        [],
        new Levers(),
    );
    expect($plan->runOut)
        ->toBe(2)
        ->and(array_map(static fn(int $q): int => intdiv($q, Quantity::ONE), array_slice($plan->courses[0]->old, 0, 8)))
        ->toBe([10, 6, 2, 0, 0, 0, 16, 12]);
});

it('lets a receipt after the day be cancelled for its fee, or counts it as left over where it cannot be', function (): void {
    $case = static fn(?int $fee, array $let = []): array => costs(
        CutInPlan::of(
            [
                Case_::pair(
                    Case_::part('OLD', 8, [['PO-1', 6, 10, $fee]], cost: 10, disposal: 4, expedite: 0),
                    Case_::part('NEW', 99, cost: 10),
                    array_fill(0, 10, 2),
                ),
            ],
            [],
            new Levers(notCancelled: $let),
        )->days[3],
    );
    // On day 3 two of the eight are left; ten are still to come.
    expect($case(15))
        ->toMatchArray(['leftover' => '8', 'cancellation' => '15', 'total' => '23'])
        ->and($case(null))
        ->toMatchArray(['leftover' => '48', 'cancellation' => '0', 'total' => '48'])
        ->and($case(15, ['PO-1']))
        ->toMatchArray(['leftover' => '48', 'cancellation' => '0']);
});

it('counts the work orders that are under way on the day', function (): void {
    $orders = [new OpenOrder('WO-1', 2, 6), new OpenOrder('WO-2', 5, 9), new OpenOrder('WO-3', 20, 25)];
    $plan = CutInPlan::of(
        [Case_::pair(Case_::part('OLD', 0, disposal: 0), Case_::part('NEW', 99), array_fill(0, 12, 0))],
        $orders,
        new Levers(perStraddle: Case_::money(30)),
    );
    expect(array_map(static fn(CutInDay $day): int => $day->disturbed, $plan->days))
        ->toBe([0, 0, 0, 1, 1, 1, 1, 1, 1, 0, 0, 0])
        ->and(whole($plan->days[5]->straddling))
        ->toBe('30')
        ->and($plan->leastDisturbing)
        ->toBe(0);
    // On the day an order begins it takes the new part, and on the day it is done it needs none.
    expect(
        CutInPlan::of(
            [Case_::pair(Case_::part('OLD', 0), Case_::part('NEW', 99), array_fill(0, 12, 0))],
            [new OpenOrder('WO-1', 5, 6)],
            new Levers(),
        )->days[5]->disturbed,
    )->toBe(0);
});

it('cuts a matched set in together: the last part to come decides, the first to run out counts', function (): void {
    $plan = CutInPlan::of(
        [
            Case_::pair(Case_::part('TUBE', 12), Case_::part('TUBE-2', 0, [['PO-9', 9, 50, null]], lead: 40), array_fill(0, 20, 3)),
            Case_::pair(Case_::part('SPRING', 30), Case_::part('SPRING-2', 5), array_fill(0, 20, 3)),
        ],
        [],
        new Levers(approvalDays: 2, toolingDay: 4),
    );
    expect($plan->earliest)
        ->toBe(9)
        ->and($plan->waitsFor)
        ->toBe(['TUBE-2'])
        ->and($plan->runOut)
        ->toBe(4);
});

it('says why a prescribed day cannot be kept', function (): void {
    $plan = static fn(?int $day): CutInPlan => CutInPlan::of(
        [Case_::pair(Case_::part('OLD', 12), Case_::part('NEW', 0, lead: 6), array_fill(0, 20, 3))],
        [],
        new Levers(prescribed: $day),
    );
    expect($plan(5)->againstPrescribed())
        ->toBe('It is before the earliest possible day.')
        ->and($plan(6)->againstPrescribed())
        ->toBeNull()
        ->and($plan(20)->againstPrescribed())
        ->toContain('beyond')
        ->and($plan(-1)->againstPrescribed())
        ->toBe('It has passed.')
        ->and($plan(null)->againstPrescribed())
        ->toBeNull();
});

it('has no possible day when the new part comes after all of them', function (): void {
    $plan = CutInPlan::of([Case_::pair(Case_::part('OLD', 12), Case_::part('NEW', 0, lead: 60), array_fill(0, 20, 3))], [], new Levers());
    expect($plan->leastCost)->toBeNull()->and($plan->leastDisturbing)->toBeNull()->and($plan->earliest)->toBe(20);
});

it('does not care for the day when nobody wants the part, and is rid of the stock at once or ever', function (): void {
    $plan = CutInPlan::of([Case_::pair(Case_::part('OLD', 5), Case_::part('NEW', 1), array_fill(0, 10, 0))], [], new Levers());
    expect($plan->runOut)
        ->toBeNull()
        ->and($plan->leastCost)
        ->toBe(0)
        ->and(array_unique(array_map(static fn(CutInDay $day): string => whole($day->total), $plan->days)))
        ->toBe(['20']);
});

it('waits with a dearer part and hurries with a cheaper one', function (): void {
    $plan = static fn(int $cost): CutInPlan => CutInPlan::of(
        [
            Case_::pair(
                Case_::part('OLD', 20, cost: 10, disposal: 0, expedite: 0),
                Case_::part('NEW', 99, cost: $cost),
                array_fill(0, 10, 2),
            ),
        ],
        [],
        new Levers(),
    );
    // Twenty pieces last all ten days. Each piece costs 3 more or less; on day 4 six days of two are still to come.
    expect($plan(13)->leastCost)
        ->toBe(9)
        ->and(whole($plan(13)->days[4]->recurring))
        ->toBe('36')
        ->and($plan(7)->leastCost)
        ->toBe(0)
        ->and(whole($plan(7)->days[4]->recurring))
        ->toBe('-36');
});

it('weighs what is left over against what is saved', function (): void {
    // Each day of waiting uses two old pieces that would cost 4 each to be rid of, and loses a saving of 2 x 1.
    $plan = CutInPlan::of(
        [Case_::pair(Case_::part('OLD', 10, cost: 10, disposal: 4, expedite: 50), Case_::part('NEW', 99, cost: 9), array_fill(0, 10, 2))],
        [],
        new Levers(),
    );
    expect($plan->leastCost)
        ->toBe(5)
        ->and($plan->runOut)
        ->toBe(5)
        ->and(costs($plan->days[5]))
        ->toMatchArray(['leftover' => '0', 'shortage' => '0', 'recurring' => '-10', 'total' => '-10'])
        ->and(costs($plan->days[6]))
        ->toMatchArray(['shortage' => '100']);
    // What is kept for service is no burden, and nobody else uses it: seven are left to use, and the fourth day wants one more.
    $kept = CutInPlan::of(
        [Case_::pair(Case_::part('OLD', 10, disposal: 4), Case_::part('NEW', 99), array_fill(0, 10, 2))],
        [],
        new Levers(keep: ['OLD' => 3 * Quantity::ONE]),
    );
    expect(whole($kept->days[0]->leftover))
        ->toBe('28')
        ->and(whole($kept->days[4]->leftover))
        ->toBe('0')
        ->and($kept->runOut)
        ->toBe(3)
        ->and(whole($kept->days[4]->shortage))
        ->toBe('7');
    // Where there is less than what is to be kept, what comes fills it up first.
    $filled = CutInPlan::of(
        [Case_::pair(Case_::part('OLD', 1, [['PO-1', 1, 6, null]], disposal: 4), Case_::part('NEW', 99), array_fill(0, 6, 2))],
        [],
        new Levers(keep: ['OLD' => 3 * Quantity::ONE]),
    );
    expect($filled->runOut)
        ->toBe(0)
        ->and(array_map(static fn(int $q): int => intdiv($q, Quantity::ONE), $filled->courses[0]->old))
        ->toBe([1, 1, 5, 3, 3, 3])
        ->and(whole($filled->days[1]->shortage))
        ->toBe('14');
});

it('counts new parts that are wanted before they can be ordered', function (): void {
    // Five new ones are here, two a day from day 1 on, nothing more before day 6: five days of two less five.
    $plan = CutInPlan::of(
        [Case_::pair(Case_::part('OLD', 99, disposal: 0), Case_::part('NEW', 5, expedite: 7, lead: 6), array_fill(0, 10, 2))],
        [],
        new Levers(),
    );
    expect(whole($plan->days[1]->shortage))->toBe('35')->and(whole($plan->days[4]->shortage))->toBe('0');
});

it('expedites the new part where it has to, and elsewhere where that costs less', function (): void {
    // An order takes ten days, six when it is expedited for 30; two a day are wanted, and what is short costs 7 each.
    $plan = static fn(int $stock, ?Expediting $expediting): CutInPlan => CutInPlan::of(
        [
            Case_::pair(
                Case_::part('OLD', 99, disposal: 0),
                Case_::part('NEW', $stock, expedite: 7, lead: 10),
                array_fill(0, 15, 2),
                expediting: $expediting,
            ),
        ],
        [],
        new Levers(),
    );
    $sooner = new Expediting(4, Case_::money(30));
    expect($plan(0, null)->earliest)
        ->toBe(10)
        ->and($plan(0, $sooner)->earliest)
        ->toBe(6)
        ->and(whole($plan(0, $sooner)->days[6]->shortage))
        ->toBe('30')
        ->and(whole($plan(0, $sooner)->days[10]->shortage))
        ->toBe('0');
    // With four of it here any day is possible. From day 5 on six are short without expediting, from day 7 on two: 42 against 30, 14
    // against 30.
    expect($plan(4, $sooner)->earliest)
        ->toBe(0)
        ->and(whole($plan(4, null)->days[5]->shortage))
        ->toBe('42')
        ->and(whole($plan(4, $sooner)->days[5]->shortage))
        ->toBe('30')
        ->and(whole($plan(4, $sooner)->days[7]->shortage))
        ->toBe('14');
    // More than the whole lead time means at once.
    expect($plan(0, new Expediting(40, Case_::money(30)))->earliest)->toBe(0);
});

it('never makes a possible day dearer by offering to expedite, nor the earliest day later', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        [$pair, $orders] = Case_::random($random);
        $without = CutInPlan::of([new Pair($pair->old, $pair->new, $pair->demand, $pair->ratio)], $orders, new Levers());
        $with = CutInPlan::of(
            [
                new Pair(
                    $pair->old,
                    $pair->new,
                    $pair->demand,
                    $pair->ratio,
                    new Expediting($random->getInt(1, 15), Case_::money($random->getInt(0, 60))),
                ),
            ],
            $orders,
            new Levers(),
        );
        expect($with->earliest)->toBeLessThanOrEqual($without->earliest);
        foreach (array_slice($without->days, $without->earliest) as $day) {
            expect($with->days[$day->day]->total->tenThousandths)->toBeLessThanOrEqual($day->total->tenThousandths);
        }
    });
});

it('takes more or less of the new part for one of the old', function (): void {
    $plan = CutInPlan::of(
        [Case_::pair(Case_::part('OLD', 0, cost: 10), Case_::part('NEW', 99, cost: 10), array_fill(0, 4, 2), 1_500_000)],
        [],
        new Levers(),
    );
    expect(whole($plan->days[0]->recurring))->toBe('40');
});

it('adds up, is never beaten by another day, and is not hurried by more stock', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        [$pair, $orders] = Case_::random($random);
        $levers = new Levers(approvalDays: $random->getInt(0, 8), perStraddle: Case_::money($random->getInt(0, 9)));
        $plan = CutInPlan::of([$pair], $orders, $levers);
        foreach ($plan->days as $day) {
            expect($day->total->tenThousandths)->toBe(
                $day->leftover->tenThousandths +
                    $day->cancellation->tenThousandths +
                    $day->shortage->tenThousandths +
                    $day->straddling->tenThousandths +
                    $day->recurring->tenThousandths,
            );
            if ($day->day >= $plan->earliest) {
                expect($day->total->tenThousandths)
                    ->toBeGreaterThanOrEqual($plan->days[(int) $plan->leastCost]->total->tenThousandths)
                    ->and($day->disturbed)
                    ->toBeGreaterThanOrEqual($plan->days[(int) $plan->leastDisturbing]->disturbed);
            }
        }
        $more = new Pair(
            new Part(
                'OLD',
                $pair->old->stock + 5 * Quantity::ONE,
                $pair->old->receipts,
                $pair->old->cost,
                $pair->old->disposal,
                $pair->old->expedite,
            ),
            $pair->new,
            $pair->demand,
            $pair->ratio,
            $pair->expediting,
        );
        expect(CutInPlan::of([$more], $orders, $levers)->runOut ?? 999)->toBeGreaterThanOrEqual($plan->runOut ?? 999);
    });
});

it('shifts its answer with the dates', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        [$pair, $orders] = Case_::random($random);
        $by = $random->getInt(1, 10);
        $later = static fn(Part $part, bool $new): Part => new Part(
            $part->number,
            $part->stock,
            array_map(
                static fn(Receipt $r): Receipt => new Receipt($r->document, $r->day + $by, $r->quantity, $r->cancelFee),
                $part->receipts,
            ),
            $part->cost,
            $part->disposal,
            $part->expedite,
            $part->leadDays + ($new ? $by : 0),
        );
        $plan = CutInPlan::of([$pair], $orders, new Levers(approvalDays: 3));
        $shifted = CutInPlan::of(
            [
                new Pair(
                    $later($pair->old, false),
                    $later($pair->new, true),
                    [...array_fill(0, $by, 0), ...$pair->demand],
                    $pair->ratio,
                    $pair->expediting,
                ),
            ],
            array_map(static fn(OpenOrder $o): OpenOrder => new OpenOrder($o->document, $o->first + $by, $o->done + $by), $orders),
            new Levers(approvalDays: 3 + $by),
        );
        expect($shifted->leastCost)
            ->toBe($plan->leastCost === null ? null : $plan->leastCost + $by)
            ->and($shifted->runOut)
            ->toBe($plan->runOut === null ? null : $plan->runOut + $by)
            ->and(
                $plan->leastCost === null ||
                    (string) $shifted->days[$plan->leastCost + $by]->total === (string) $plan->days[$plan->leastCost]->total,
            )
            ->toBeTrue();
    });
});

it('tells the cost of a day down to the single order', function (): void {
    // Ten on the shelf, eight came on day 2, six come on day 9 and cannot be cancelled, four on day 12 that can. Two a day until day 5.
    $old = Case_::part('OLD', 10, [['PO-1', 2, 8, null], ['PO-2', 9, 6, null], ['PO-3', 12, 4, 5]], disposal: 3);
    $new = Case_::part('NEW', 0, cost: 12, expedite: 7, lead: 7);
    $pegs = array_map(static fn(int $day): Peg => new Peg(8, $day, 2 * Quantity::ONE, $day === 6 ? 'WO-6' : ''), range(0, 14));
    $rows = static fn(int $day, Levers $levers = new Levers()): array => array_map(
        static fn(CostRow $row): array => [
            $row->part->value,
            $row->document,
            $row->isNew,
            intdiv($row->quantity, Quantity::ONE),
            whole($row->amount),
        ],
        DayRows::of([Case_::pair($old, $new, array_fill(0, 15, 2))], [$pegs], [new OpenOrder('WO-1', 3, 8)], $levers, $day),
    );
    // On day 5 eight are left: the eight that came last; of the new none is there for days 5 and 6.
    expect($rows(5))->toBe([
        ['leftover', 'PO-1', false, 8, '24'],
        ['leftover', 'PO-2', false, 6, '18'],
        ['cancellation', 'PO-3', false, 4, '5'],
        ['shortage', '', true, 2, '14'],
        ['shortage', 'WO-6', true, 2, '14'],
        ['recurring', '', false, 18, '36'],
        ['recurring', 'WO-6', false, 2, '4'],
        ['straddling', 'WO-1', false, 0, '0'],
    ]);
    // Seven are kept: three may be used, one is short on the second day, and two of PO-1 are left.
    expect(array_slice($rows(5, new Levers(['OLD' => 7 * Quantity::ONE], ['PO-3'])), 0, 3))->toBe([
        ['leftover', 'PO-1', false, 2, '6'],
        ['leftover', 'PO-2', false, 6, '18'],
        ['leftover', 'PO-3', false, 4, '12'],
    ]);
    // By day 12 the old ran out on day 9, with six more coming that day: 24 for 24; nothing is short, and nothing is left.
    expect(array_column($rows(12), 0))->not->toContain('leftover');
});

it('tells expediting as a row of its own', function (): void {
    $pair = Case_::pair(
        Case_::part('OLD', 99, disposal: 0),
        Case_::part('NEW', 0, lead: 10),
        array_fill(0, 15, 0),
        expediting: new Expediting(4, Case_::money(30)),
    );
    $told = static fn(int $day): array => array_map(
        static fn(CostRow $row): array => [$row->part, $row->isNew, $row->document, $row->position, $row->day, whole($row->amount)],
        array_filter(
            DayRows::of([$pair], [[]], [], new Levers(), $day),
            static fn(CostRow $row): bool => $row->part === CostPart::Shortage,
        ),
    );
    expect(array_values($told(7)))
        ->toBe([[CostPart::Shortage, true, '', null, 6, '30']])
        ->and($told(10))
        ->toBe([]);
});

it('adds rows up to the parts of the day, exactly', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        [$pair, $orders] = Case_::random($random);
        // Odd prices and quantities, so that every part has to be rounded.
        $odd = static fn(Part $part): Part => new Part(
            $part->number,
            $part->stock + 333_333,
            $part->receipts,
            Money::ofTenThousandths($part->cost->tenThousandths + 17),
            Money::ofTenThousandths($part->disposal->tenThousandths + 1),
            Money::ofTenThousandths($part->expedite->tenThousandths + 7),
            $part->leadDays,
        );
        $pegs = $demand = [];
        foreach ($pair->demand as $day => $pieces) {
            $demand[$day] = 0;
            for ($i = $random->getInt(0, 3); $i > 0; $i--) {
                $pegs[] = new Peg(
                    $random->getInt(1, 4),
                    $day,
                    ($quantity = $random->getInt(1, 4_000_000)),
                    $random->getInt(0, 1) === 0 ? '' : "WO-{$day}-{$i}",
                );
                $demand[$day] += $quantity;
            }
        }
        $odds = new Pair($odd($pair->old), $odd($pair->new), $demand, $pair->ratio, $pair->expediting);
        $levers = new Levers(['OLD' => $random->getInt(0, 5) * 1_000_001], ['D1'], perStraddle: Case_::money(3));
        $plan = CutInPlan::of([$odds], $orders, $levers);
        foreach ([0, 1, $random->getInt(2, 28), 29] as $day) {
            $sums = ['leftover' => 0, 'cancellation' => 0, 'shortage' => 0, 'straddling' => 0, 'recurring' => 0];
            foreach (DayRows::of([$odds], [$pegs], $orders, $levers, $day) as $row) {
                $sums[$row->part->value] += $row->amount->tenThousandths;
            }
            $told = $plan->days[$day];
            expect($sums)->toBe(
                array_map(static fn(Money $money): int => $money->tenThousandths, [
                    'leftover' => $told->leftover,
                    'cancellation' => $told->cancellation,
                    'shortage' => $told->shortage,
                    'straddling' => $told->straddling,
                    'recurring' => $told->recurring,
                ]),
            );
        }
    });
});

it('adds up on every day also where receipts are overdue', function (): void {
    Make::many(function ($random): void {
        $receipts = array_map(
            static fn(int $i): array => [
                "D{$i}",
                $random->getInt(-9, 8),
                $random->getInt(1, 30),
                $random->getInt(0, 1) === 0 ? null : $random->getInt(0, 20),
            ],
            range(1, 4),
        );
        $pair = Case_::pair(
            Case_::part('OLD', $random->getInt(0, 40), $receipts),
            Case_::part('NEW', $random->getInt(0, 30), $receipts, lead: $random->getInt(0, 6)),
            array_map(static fn(): int => $random->getInt(0, 5), range(1, 12)),
        );
        $pegs = [
            array_map(static fn(int $quantity, int $day): Peg => new Peg(0, $day, $quantity, ''), $pair->demand, array_keys($pair->demand)),
        ];
        $plan = CutInPlan::of([$pair], [], new Levers());
        foreach ($plan->days as $day) {
            $sum = Money::zero();
            foreach (DayRows::of([$pair], $pegs, [], new Levers(), $day->day) as $row) {
                $sum = $sum->plus($row->amount);
            }
            expect((string) $sum)->toBe((string) $day->total);
        }
    }, 60);
});

it('says that a number is too large at the edge, and never breaks', function (): void {
    $edge = intdiv(PHP_INT_MAX, Quantity::ONE) - 1;
    $plan = static fn(int $stock, array $receipts, array $demand): CutInPlan => CutInPlan::of(
        [Case_::pair(Case_::part('OLD', $stock, $receipts), Case_::part('NEW', 1), $demand)],
        [],
        new Levers(),
    );
    expect(fn() => $plan($edge, [['D', 1, $edge, null]], [0, 0, 0]))
        ->toThrow(OverflowException::class)
        ->and(fn() => $plan(-$edge, [], [$edge, $edge, $edge]))
        ->toThrow(OverflowException::class);
});
