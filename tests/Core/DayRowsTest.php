<?php

declare(strict_types=1);

use Orthotaxis\Core\CutIn\Claim;
use Orthotaxis\Core\CutIn\CostCause;
use Orthotaxis\Core\CutIn\CostPart;
use Orthotaxis\Core\CutIn\CostRow;
use Orthotaxis\Core\CutIn\DayRows;
use Orthotaxis\Core\CutIn\Demand;
use Orthotaxis\Core\CutIn\Expediting;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\OpenOrder;
use Orthotaxis\Core\CutIn\Part;
use Orthotaxis\Core\CutIn\Peg;
use Orthotaxis\Core\CutIn\PlantCase;
use Orthotaxis\Core\CutIn\PlantDays;
use Orthotaxis\Core\CutIn\PlantPlan;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Tests\Core\Support\CutInCase as Case_;
use Tests\Core\Support\Make;

/** @return list<Peg> what the demand of a part may be made of: two orders a day */
function pegsOf(Part $part): array
{
    $pegs = [];
    foreach (['until' => Claim::Until, 'from' => Claim::From, 'others' => Claim::Others] as $name => $claim) {
        foreach ($part->demand->{$name} as $day => $quantity) {
            $some = intdiv($quantity, 3);
            $pegs[] = new Peg($claim, 8, $day, $some, "WO-{$day}");
            $pegs[] = new Peg($claim, 9, $day, $quantity - $some, '');
        }
    }

    return array_values(array_filter($pegs, static fn(Peg $peg): bool => $peg->quantity !== 0));
}

/** @return list<array{string, string, string, int, string}> */
function rowsTold(PlantCase $case, Levers $levers, int $day): array
{
    return array_map(
        static fn(CostRow $row): array => [
            $row->part->value,
            $row->cause->value,
            $row->document,
            intdiv($row->quantity, Quantity::ONE),
            preg_replace('/\.00$/', '', (string) $row->amount) ?? '',
        ],
        DayRows::of($case, array_map(pegsOf(...), $case->parts), $levers, $day),
    );
}

it('tells the cost of a day down to the single order', function (): void {
    // Ten on the shelf, eight came on day 2, six come on day 9 and cannot be cancelled, four on day 12 that can. Three a day until day 15.
    $wanted = array_fill(0, 15, 3);
    $case = new PlantCase(
        'Weir',
        PlantDays::all(),
        [
            Case_::part('OLD', 14, [['PO-1', 2, 8, null], ['PO-2', 9, 6, null], ['PO-3', 12, 4, 5]], until: $wanted, disposal: 3, lead: 99),
            Case_::part('NEW', 0, from: $wanted, cost: 12, penalty: 7, lead: 7),
        ],
        [new OpenOrder('WO-1', 3, 8)],
    );
    // On day 5 seven are left: those that came last; of the new none is there for days 5 and 6.
    expect(rowsTold($case, new Levers(perStraddle: Case_::money(30)), 5))->toBe([
        ['leftover', 'receipt', 'PO-1', 7, '21'],
        ['leftover', 'receipt', 'PO-2', 6, '18'],
        ['cancellation', 'receipt', 'PO-3', 4, '5'],
        ...array_merge(...array_map(static fn(int $day): array => [['recurring', 'wanted', "WO-{$day}", -1, '-10']], range(5, 5))),
        ['recurring', 'wanted', '', -20, '-200'],
        ...array_map(static fn(int $day): array => ['recurring', 'wanted', "WO-{$day}", -1, '-10'], range(6, 14)),
        ['shortage', 'missing', 'WO-5', 1, '7'],
        ['shortage', 'missing', '', 2, '14'],
        ['shortage', 'missing', 'WO-6', 1, '7'],
        ['shortage', 'missing', '', 2, '14'],
        ['recurring', 'wanted', 'WO-5', 1, '12'],
        ['recurring', 'wanted', '', 20, '240'],
        ...array_map(static fn(int $day): array => ['recurring', 'wanted', "WO-{$day}", 1, '12'], range(6, 14)),
        ['straddling', 'under_way', 'WO-1', 0, '30'],
    ]);
});

it('tells what is hurried, its fee, and what a lot leaves over', function (): void {
    $wanted = array_fill(0, 12, 2);
    $case = new PlantCase('Weir', PlantDays::all(), [
        Case_::part(
            'OLD',
            0,
            until: $wanted,
            penalty: 50,
            lead: 6,
            lot: new Orthotaxis\Core\CutIn\Lot(multiple: 25 * Quantity::ONE),
            expediting: new Expediting(3, Case_::money(30), Case_::money(4), 5 * Quantity::ONE),
        ),
    ]);
    $rows = array_values(array_filter(rowsTold($case, new Levers(), 10), static fn(array $row): bool => $row[0] !== 'recurring'));
    // Three days missing, three hurried as far as five go, then one lot of 25, of which eight are used until day 10.
    expect($rows[0])
        ->toBe(['leftover', 'lot', '', 17, '170'])
        ->and(array_sum(array_column(array_filter($rows, static fn(array $row): bool => $row[1] === 'missing'), 4)))
        ->toEqual(7 * 50)
        ->and(array_sum(array_column(array_filter($rows, static fn(array $row): bool => $row[1] === 'hurried'), 4)))
        ->toEqual(5 * 4)
        ->and($rows[count($rows) - 1])
        ->toBe(['shortage', 'fee', '', 0, '30']);
});

it('adds rows up to the parts of the day, exactly, on day 0 as on any other, overdue receipts or not', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        [$parts, $orders, $levers] = Case_::random($random);
        // Odd prices and quantities, so that every part has to be rounded.
        $parts = array_map(
            static fn(Part $part): Part => Case_::altered($part, [
                'stock' => $part->stock + 333_333,
                'cost' => Money::ofTenThousandths($part->cost->tenThousandths + 17),
                'disposal' => Money::ofTenThousandths($part->disposal->tenThousandths + 1),
                'penalty' => Money::ofTenThousandths($part->penalty->tenThousandths + 7),
                'demand' => new Demand(
                    array_map(static fn(int $one): int => intdiv($one * 7, 6), $part->demand->until),
                    array_map(static fn(int $one): int => intdiv($one * 9, 7), $part->demand->from),
                    $part->demand->others,
                ),
            ]),
            $parts,
        );
        $case = new PlantCase('Weir', PlantDays::all(), $parts, $orders);
        $plan = PlantPlan::of($case, $levers);
        $pegs = array_map(pegsOf(...), $parts);
        foreach ([0, 1, $random->getInt(2, 28), 29] as $day) {
            $sums = array_fill_keys(array_column(CostPart::cases(), 'value'), 0);
            foreach (DayRows::of($case, $pegs, $levers, $day) as $row) {
                $sums[$row->part->value] += $row->amount->tenThousandths;
                expect($row->cause === CostCause::Stock && $row->quantity > $parts[(int) $row->of]->stock)->toBeFalse();
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
