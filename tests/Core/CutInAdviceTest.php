<?php

declare(strict_types=1);

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\WorkCalendar;
use Orthotaxis\Core\CutIn\Expediting;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\Lot;
use Orthotaxis\Core\CutIn\NodeSupply;
use Orthotaxis\Core\CutIn\OpenOrder;
use Orthotaxis\Core\CutIn\PlantDays;
use Orthotaxis\Core\CutIn\PlantNet;
use Orthotaxis\Core\CutIn\Receipt;
use Orthotaxis\Core\CutIn\Requirements;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Tests\Core\Support\CutInCase as Case_;
use Tests\Core\Support\Web;

/** So many pieces wanted on each of some days. */
function daily(int $pieces, int $days = 100): array
{
    return array_fill(0, $days, $pieces);
}

/** An amount without its decimals. */
function whole(Money $amount): string
{
    return preg_replace('/\.00$/', '', (string) $amount) ?? '';
}

it('waits for the run-out of what is used up, or charges its full value', function (): void {
    // Fifty old ones at 10.00, the new one cent cheaper and there on day 5: hurrying would save 0.45 and abandon 450.00.
    $plan = Case_::plan([
        Case_::part('OLD', 50, until: daily(1), cost: 10, lead: 5),
        Case_::part('NEW', 0, from: daily(1), cost: 9.99, lead: 5),
    ]);
    expect($plan->runOut)
        ->toBe(50)
        ->and($plan->best->earliest)
        ->toBe(5)
        ->and($plan->best->leastCost)
        ->toBe(50)
        ->and(whole($plan->days[5]->leftover))
        ->toBe('450')
        ->and(whole($plan->days[50]->leftover))
        ->toBe('0');
});

it('does not begin with a prototype: earliest is the first day that can be sustained', function (): void {
    $plan = Case_::plan([
        Case_::part('OLD', 100, until: daily(1), lead: 20),
        Case_::part('NEW', 1, from: daily(1), lead: 40, penalty: 100),
    ]);
    // The one that is there serves the day before the first order comes.
    expect($plan->best->earliest)
        ->toBe(39)
        ->and($plan->waitsFor)
        ->toBe(['NEW'])
        ->and($plan->days[0]->isPossible)
        ->toBeFalse()
        ->and(whole($plan->days[0]->shortage))
        ->toBe('3900');
});

it('orders what the change wants when it is released, or today at risk', function (): void {
    $plan = static fn(bool $atRisk): array => [
        ($plan = Case_::plan(
            [Case_::part('OLD', 100, until: daily(1)), Case_::part('NEW', 0, from: daily(1), cost: 12, lead: 30)],
            new Levers(approvalDays: 10, atRisk: $atRisk),
        ))->best->earliest,
        whole($plan->days[30]->atRisk),
        whole($plan->days[40]->atRisk),
    ];
    // Ten pieces are used between day 30 and day 40: lost if the change is refused.
    expect($plan(false))
        ->toBe([40, '0', '0'])
        ->and($plan(true))
        ->toBe([30, '120', '0']);
});

it('nets what others want of the new part as well', function (): void {
    // Sixty of it would last the forty days till more can come, were it not for one a day elsewhere.
    $earliest = static fn(array $others): ?int => Case_::plan(
        [Case_::part('OLD', 100, until: daily(1)), Case_::part('NEW', 60, from: daily(1), others: $others, lead: 40)],
        new Levers(approvalDays: 0),
    )->best->earliest;
    expect($earliest([]))->toBe(0)->and($earliest(daily(1)))->toBe(20);
});

it('changes the chosen parents alone; others and spare sales go on and are served from what is left', function (): void {
    // The tube (3) is in the head (1) that is changed and in the head (2) that is not; spares of it are sold.
    $web = Web::of([[1, 3, 1], [2, 3, 1]]);
    $requirements = Requirements::of(
        [
            new PlantNet(
                $web,
                PlantDays::all(),
                [
                    1 => new NodeSupply(wanted: [[4, 5 * Quantity::ONE, 'SO-1']]),
                    2 => new NodeSupply(wanted: [[6, 2 * Quantity::ONE, 'SO-2']]),
                    3 => new NodeSupply(wanted: [[7, 3 * Quantity::ONE, 'SO-3']]),
                ],
                uses: [3 => [1 => 0]],
            ),
        ],
        [3],
        100,
        10,
    );
    $demand = $requirements->demand(0, 3);
    expect(array_filter($demand->until))
        ->toBe([4 => 5 * Quantity::ONE])
        ->and(array_filter($demand->others))
        ->toBe([6 => 2 * Quantity::ONE, 7 => 3 * Quantity::ONE])
        ->and($demand->from)
        ->toBe(array_fill(0, 10, 0));
    // Forty are left on day 10, and others take one a day: nothing has to be scrapped.
    $plan = Case_::plan([Case_::part('OLD', 60, until: daily(1), others: daily(1)), Case_::part('NEW', 500, from: daily(1))]);
    expect(whole($plan->days[10]->leftover))->toBe('0');
});

it('plans one for two, two for one, only gone and only come, and counts the stock of a part once', function (): void {
    // A bracket becomes two clips; a seal goes; a label comes; a screw goes in one place and comes in another.
    $plan = Case_::plan([
        Case_::part('BRACKET', 20, until: daily(1, 40)),
        Case_::part('CLIP L', 99, from: daily(1, 40)),
        Case_::part('CLIP R', 5, from: daily(1, 40), lead: 12),
        Case_::part('SEAL', 30, until: daily(2, 40), cost: 1),
        Case_::part('LABEL', 99, from: daily(1, 40)),
        Case_::part('SCREW', 100, until: daily(4, 40), from: daily(6, 40), cost: 1),
    ]);
    expect($plan->best->earliest)
        ->toBe(7)
        ->and($plan->waitsFor)
        ->toBe(['CLIP R'])
        // Thirteen brackets; sixteen seals; no screw is left, they go on.
        ->and(whole($plan->days[7]->leftover))
        ->toBe((string) (13 * 10 + 16 * 1))
        // For each of 33 days: three parts at 10 come, one at 10 and two at 1 go, two screws at 1 more.
        ->and(whole($plan->days[7]->recurring))
        ->toBe((string) (33 * (30 - 10 - 2 + 2)));
});

it('names a lead time that nobody knows, and waits for it', function (): void {
    $plan = Case_::plan([Case_::part('OLD', 10, until: daily(1)), Case_::part('NEW', 3, from: daily(1), lead: null)]);
    expect($plan->best->earliest)
        ->toBeNull()
        ->and($plan->unknownLeads)
        ->toBe(['NEW'])
        // With enough of it for all the time looked at nothing hangs on it.
        ->and(Case_::plan([Case_::part('OLD', 10, until: daily(1)), Case_::part('NEW', 100, from: daily(1), lead: null)])->unknownLeads)
        ->toBe([]);
});

it('neither piles up today what would have had to begin before, nor runs dry at the end', function (): void {
    // A chain of 125 days, seven samplers forecast a week for a year, one tube in each.
    $weeks = array_map(static fn(int $week): array => [7 * $week, 7 * Quantity::ONE, "FC-{$week}"], range(1, 52));
    $requirements = Requirements::of(
        [
            new PlantNet(
                Web::of([[1, 2, 1], [2, 3, 1]]),
                PlantDays::all(),
                [
                    1 => new NodeSupply(0, $weeks, leadDays: 25, weekly: 7 * Quantity::ONE, until: 364),
                    2 => new NodeSupply(leadDays: 100),
                ],
                uses: [3 => [2 => 0]],
            ),
        ],
        [3],
        100,
        365,
    );
    $demand = $requirements->demand(0, 3);
    $pieces = array_map(static fn(int $quantity): int => intdiv($quantity, Quantity::ONE), array_filter($demand->until));
    // Week 18 is wanted on day 1; every week of the year to come wants seven, the last like the first.
    expect($demand->late)
        ->toBe(['until' => 17 * 7 * Quantity::ONE, 'from' => 0, 'others' => 0])
        ->and(array_unique(array_values($pieces)))
        ->toBe([7])
        ->and(array_keys($pieces))
        ->toBe(range(1, 364, 7));
});

it('reorders the old part in the normal way, in lots, at its normal cost', function (): void {
    $plan = static fn(Lot $lot) => Case_::plan([
        Case_::part('OLD', 10, until: daily(1), lead: 8, lot: $lot),
        Case_::part('NEW', 500, from: daily(1), cost: 12),
    ]);
    // Ten last ten days; what is ordered today comes on day 8: nothing is ever short, and nothing is left when the day comes.
    $free = $plan(new Lot());
    expect(whole($free->days[60]->shortage))->toBe('0')->and(whole($free->days[60]->leftover))->toBe('0');
    // In lots of 25: 10, then 25 from day 10 on, 25 from day 35 on; on day 40 twenty of those are left.
    expect(whole($plan(new Lot(multiple: 25 * Quantity::ONE))->days[40]->leftover))->toBe('200');
});

it('hurries no more, and no sooner, than somebody says is possible', function (): void {
    $short = static fn(?Expediting $expediting): array => array_map(
        static fn(int $day): string => whole(
            Case_::plan([
                Case_::part('OLD', 0, until: daily(2), lead: 10, penalty: 50, expediting: $expediting),
                Case_::part('NEW', 500, from: daily(2)),
            ])->days[$day]->shortage,
        ),
        [4, 6, 10],
    );
    $one = Case_::money(3);
    // Ten days, two a day. Hurried by four days: from day 6 on, twelve of them at 3 each besides a fee of 30.
    expect($short(null))
        ->toBe(['400', '600', '1000'])
        ->and($short(new Expediting(6, Case_::money(30), $one)))
        ->toBe(['400', (string) (400 + 30 + 4 * 3), (string) (400 + 30 + 12 * 3)])
        ->and($short(new Expediting(6, Case_::money(30), $one, 5 * Quantity::ONE)))
        ->toBe(['400', (string) (400 + 30 + 4 * 3), (string) (400 + 30 + 5 * 3 + 7 * 50)]);
});

it('offers working days only, and counts lead times in them', function (): void {
    // Today is a Thursday; the Tuesday after it is a holiday.
    $days = PlantDays::of(WorkCalendar::of([1, 2, 3, 4, 5], ['2026-12-01' => false]), Day::parse('2026-11-26'), 30, 120);
    $plan = Case_::plan(
        [Case_::part('OLD', 100, until: daily(1)), Case_::part('NEW', 0, from: daily(1), lead: 3)],
        new Levers(approvalDays: 1),
        days: $days,
    );
    // Released on the Friday, ordered; Monday, Wednesday, Thursday.
    expect($plan->best->earliest)->toBe(7);
    foreach ($plan->days as $day) {
        expect(!$day->isPossible || $days->worksOn($day->day))->toBeTrue();
    }
    expect($plan->days[9]->isPossible)->toBeFalse()->and($plan->days[11]->isPossible)->toBeTrue();
});

it('lets started work orders straddle, and planned ones wait', function (): void {
    $plan = Case_::plan(
        [Case_::part('OLD', 100, until: daily(1, 12)), Case_::part('NEW', 100, from: daily(1, 12))],
        new Levers(perStraddle: Case_::money(30)),
        [new OpenOrder('WO-1', 2, 6), new OpenOrder('WO-2', 2, 9, false)],
    );
    // On the day an order begins it takes the new part, and on the day it is done it needs none.
    expect(array_map(static fn($day): string => whole($day->straddling), $plan->days))->toBe([
        ...array_fill(0, 3, '0'),
        ...array_fill(0, 3, '30'),
        ...array_fill(0, 6, '0'),
    ]);
});

it('expects an overdue receipt when somebody says, and tells since when it is', function (): void {
    $late = new Receipt('PO-9', 6, 20 * Quantity::ONE, due: -4);
    $old = Case_::part('OLD', 0, until: daily(1, 12), lead: 30);
    $plan = Case_::plan([Case_::altered($old, ['receipts' => [$late]]), Case_::part('NEW', 100, from: daily(1, 12))]);
    expect($plan->runOut)
        ->toBe(0)
        ->and(whole($plan->days[6]->shortage))
        ->toBe('42')
        ->and(whole($plan->days[8]->shortage))
        ->toBe('42')
        ->and(whole($plan->days[8]->leftover))
        ->toBe('180');
});

it('keeps safety stock of what goes on, orders in lots, and counts what is issued as used', function (): void {
    // A part that ends runs its safety stock down; one that goes on is filled up to it.
    expect(Case_::plan([Case_::part('OLD', 10, until: daily(1, 20), safety: 5)])->courses[0]->on(10)->left)
        ->toBe(0)
        ->and(Case_::plan([Case_::part('OLD', 10, until: daily(1, 20), others: daily(1, 20), safety: 5)])->courses[0]->stock(20)[15])
        ->toBe(5 * Quantity::ONE)
        // Of ninety that are lacking a tenth is bad, and they come in fifties: a hundred are ordered, ninety are good.
        ->and((new Lot(0, 50 * Quantity::ONE, 900_000))->ordered(90 * Quantity::ONE))
        ->toBe(100 * Quantity::ONE)
        ->and((new Lot(0, 50 * Quantity::ONE, 900_000))->good(90 * Quantity::ONE))
        ->toBe(90 * Quantity::ONE)
        ->and((new Lot(200 * Quantity::ONE))->ordered(90 * Quantity::ONE))
        ->toBe(200 * Quantity::ONE);
    // Seven are being made, of which three have their parts.
    $requirements = Requirements::of(
        [
            new PlantNet(
                Web::of([[1, 2, 1]]),
                PlantDays::all(),
                [
                    1 => new NodeSupply(orders: [[4, 9, 7 * Quantity::ONE, 'WO-1', 3 * Quantity::ONE]]),
                ],
                uses: [2 => [1 => 0]],
            ),
        ],
        [2],
        100,
        20,
    );
    expect(array_filter($requirements->demand(0, 2)->until))->toBe([4 => 4 * Quantity::ONE]);
});

it('plans plants apart, with what one brings to the other', function (): void {
    // Tarn builds the sampler (1) and has the pump (2) from Weir, which makes it of the tube (3) and is closed at weekends.
    $weekdays = PlantDays::of(WorkCalendar::of([1, 2, 3, 4, 5]), Day::parse('2026-11-26'), 90, 120);
    $tarn = new PlantNet(
        Web::of([[1, 2, 1], [2, 3, 2]]),
        PlantDays::all(),
        [1 => new NodeSupply(wanted: [[40, 5 * Quantity::ONE, 'SO-1']], leadDays: 3), 2 => new NodeSupply(Quantity::ONE)],
        from: [2 => 1],
        transferDays: 2,
    );
    $weir = new PlantNet(Web::of([[2, 3, 2]]), $weekdays, [2 => new NodeSupply(Quantity::ONE, leadDays: 5)], uses: [3 => [2 => 0]]);
    $requirements = Requirements::of([$tarn, $weir], [3], 100, 60);
    // Five samplers begin on day 37; one pump lies at Tarn, one at Weir; three leave Weir on day 35, begun five working days earlier.
    expect(array_filter($requirements->demand(1, 3)->until))
        ->toBe([28 => 6 * Quantity::ONE])
        ->and($requirements->demand(0, 3)->isNone())
        ->toBeTrue();
});

it('blows phantoms through before netting', function (): void {
    // The kit (2) is a phantom: what lies of it in stock, and how long it would take, is nothing to anybody.
    $requirements = Requirements::of(
        [
            new PlantNet(
                Web::of([[1, 2, 1, null, null, true], [2, 3, 4]]),
                PlantDays::all(),
                [
                    1 => new NodeSupply(wanted: [[30, 2 * Quantity::ONE, 'SO-1']], leadDays: 5),
                    2 => new NodeSupply(50 * Quantity::ONE, leadDays: 9),
                ],
                uses: [3 => [2 => 0]],
            ),
        ],
        [3],
        100,
        60,
    );
    expect(array_filter($requirements->demand(0, 3)->until))->toBe([25 => 8 * Quantity::ONE]);
});

it('disturbs the least first, then costs the least, then comes the earliest', function (): void {
    // No day disturbs anything; the new part is cheaper, so of all these the earliest costs least.
    $cheaper = Case_::plan([Case_::part('OLD', 0, until: daily(1, 20)), Case_::part('NEW', 100, from: daily(1, 20), cost: 9)]);
    $same = Case_::plan(
        [Case_::part('OLD', 0, until: daily(1, 20)), Case_::part('NEW', 100, from: daily(1, 20))],
        new Levers(toolingDay: 3),
    );
    // Where the difference counts, a dearer part is put off to the end.
    $dearer = Case_::plan(
        [Case_::part('OLD', 0, until: daily(1, 20)), Case_::part('NEW', 100, from: daily(1, 20), cost: 11)],
        new Levers(countsRecurring: true),
    );
    expect([$cheaper->best->leastDisturbing, $same->best->leastDisturbing, $dearer->best->leastDisturbing])
        ->toBe([0, 3, 19])
        ->and($same->best->leastCost)
        ->toBe(3)
        ->and($same->best->asSure)
        ->toBe([3, 19]);
});

it('does not put a change off because what comes is dearer, unless somebody says so', function (): void {
    // Fifty old ones, one a day; the new one costs three more, and is there from day 20 on.
    $plan = static fn(?bool $counts) => Case_::plan(
        [Case_::part('OLD', 50, until: daily(1), lead: 10), Case_::part('NEW', 0, from: daily(1), cost: 13, lead: 20)],
        new Levers(countsRecurring: $counts),
    );
    expect($plan(null)->best->leastCost)
        ->toBe(50)
        ->and(whole($plan(null)->days[50]->total))
        ->toBe('0')
        // What it costs more is told all the same.
        ->and(whole($plan(null)->days[50]->recurring))
        ->toBe('150')
        ->and($plan(true)->best->leastCost)
        ->toBe(99)
        ->and(whole($plan(true)->days[50]->total))
        ->toBe('150');
});

it('cannot reorder after a last-time buy', function (): void {
    $missing = static fn(bool $isOrdered): string => whole(
        Case_::plan([
            Case_::altered(Case_::part('OLD', 30, until: daily(1), lead: 5), ['isOrdered' => $isOrdered]),
            Case_::part('NEW', 500, from: daily(1)),
        ])->days[40]->shortage,
    );
    expect($missing(true))->toBe('0')->and($missing(false))->toBe('70');
});

it('says how sure a day is: those around it within one percent of the least cost', function (): void {
    // A hundred old ones at 10.00: each day not waited abandons 10.00 of about 1000.00 saved.
    $plan = Case_::plan([Case_::part('OLD', 50, until: daily(1, 100)), Case_::part('NEW', 500, from: daily(1, 100), cost: 8)]);
    // On day 50 it saves 100; a day earlier or later is eight, or two, worse.
    expect($plan->best->leastCost)
        ->toBe(50)
        ->and($plan->best->asSure)
        ->toBe([50, 50]);
});

it('cancels what nobody wants, the latest first, where there is time and the fee is less than its value', function (): void {
    $case = static fn(?int $fee, array $let = [], ?int $by = null): array => [
        ($day = Case_::plan(
            [
                Case_::altered(Case_::part('OLD', 30, until: daily(2, 20), cost: 4), [
                    'receipts' => [
                        new Receipt('PO-1', 5, 10 * Quantity::ONE, $fee === null ? null : Case_::money($fee), $by),
                        new Receipt('PO-2', 12, 10 * Quantity::ONE, $fee === null ? null : Case_::money($fee), $by),
                    ],
                ]),
                Case_::part('NEW', 500, from: daily(2, 20)),
            ],
            new Levers(notCancelled: $let),
        )->days[10])->leftover->tenThousandths / 40_000,
        $day->cancellation->tenThousandths / 10_000,
        $day->disturbed,
    ];
    // Until day 10 twenty are used of thirty: ten are left, and both receipts are too much.
    expect($case(15))
        ->toBe([10, 30, 2])
        ->and($case(null))
        ->toBe([30, 0, 1])
        ->and($case(41))
        ->toBe([30, 0, 1])
        ->and($case(15, ['PO-2']))
        ->toBe([20, 15, 2])
        ->and($case(15, [], -1))
        ->toBe([30, 0, 1]);
});

it('says why a prescribed day cannot be kept', function (): void {
    $against = static fn(?int $day): ?string => Orthotaxis\Core\CutIn\CutInPlan::of(
        [
            new Orthotaxis\Core\CutIn\PlantCase('Weir', PlantDays::all(), [
                Case_::part('OLD', 12, until: daily(3, 20)),
                Case_::part('NEW', 0, from: daily(3, 20), lead: 6),
            ]),
        ],
        new Levers(prescribed: $day),
    )->againstPrescribed();
    expect($against(5))
        ->toBe('It is before the earliest possible day.')
        ->and($against(6))
        ->toBeNull()
        ->and($against(20))
        ->toContain('beyond')
        ->and($against(-1))
        ->toBe('It has passed.')
        ->and($against(null))
        ->toBeNull();
});

it('says that a number is too large at the edge, and never breaks', function (): void {
    $edge = intdiv(PHP_INT_MAX, Quantity::ONE) - 1;
    expect(fn() => Case_::plan([Case_::part('OLD', $edge, [['D', 1, $edge, null]], until: [0, 0, 0])]))
        ->toThrow(OverflowException::class)
        ->and(fn() => Case_::plan([Case_::part('OLD', -$edge, until: [$edge, $edge, $edge])]))
        ->toThrow(OverflowException::class);
});
