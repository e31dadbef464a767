<?php

declare(strict_types=1);

use Orthotaxis\Core\CutIn\Expediting;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\Lot;
use Orthotaxis\Core\CutIn\OpenOrder;
use Orthotaxis\Core\CutIn\PlantCase;
use Orthotaxis\Core\CutIn\PlantDays;
use Orthotaxis\Core\CutIn\Receipt;
use Orthotaxis\Core\CutIn\ToDo;
use Orthotaxis\Core\CutIn\ToDoList;
use Orthotaxis\Core\Quantity\Quantity;
use Tests\Core\Support\CutInCase as Case_;

/** @return list<array{string, int, string, string, int, ?int}> */
function dueFor(PlantCase $case, Levers $levers, int $day): array
{
    return array_map(
        static fn(ToDo $one): array => [
            $one->kind->value,
            $one->by,
            $one->part,
            $one->document,
            intdiv($one->quantity, Quantity::ONE),
            $one->for,
        ],
        ToDoList::of($case, $levers, $day),
    );
}

it('says what has to be done by when for a day, the most urgent first', function (): void {
    $daily = array_fill(0, 100, 1);
    $old = Case_::part('OLD', 20, until: $daily, lead: 15, lot: new Lot(multiple: 10 * Quantity::ONE));
    $case = new PlantCase(
        'Weir',
        PlantDays::all(),
        [
            Case_::altered($old, [
                'receipts' => [
                    new Receipt('PO-1', 10, 15 * Quantity::ONE, due: -3),
                    new Receipt('PO-2', 70, 30 * Quantity::ONE, Case_::money(5), 56),
                ],
            ]),
            Case_::part('NEW', 5, from: $daily, lead: 25),
        ],
        [new OpenOrder('WO-1', 40, 52), new OpenOrder('WO-2', 44, 60, false), new OpenOrder('WO-3', 60, 70)],
    );
    // Twenty and fifteen old ones last till day 35, two lots till day 50. Five new ones last till day 55: twenty-five are ordered for a
    // month, twenty-five days earlier, and the change is released by then.
    expect(dueFor($case, new Levers(toolingDay: 30), 50))->toBe([
        ['ask', 0, 'OLD', 'PO-1', 15, 10],
        ['last_order', 20, 'OLD', '', 20, 35],
        ['release', 30, '', '', 0, null],
        ['tooling', 30, '', '', 0, null],
        ['order', 30, 'NEW', '', 25, 55],
        ['wait', 44, '', 'WO-2', 0, 60],
        ['see_to', 50, '', 'WO-1', 0, 52],
        ['cut_in', 50, '', '', 0, null],
        ['cancel', 56, 'OLD', 'PO-2', 30, 70],
    ]);
});

it('says by when something has to be hurried, and leaves out what is ordered at risk', function (): void {
    $daily = array_fill(0, 100, 2);
    $case = new PlantCase('Weir', PlantDays::all(), [
        Case_::part('OLD', 400, until: $daily),
        Case_::part('NEW', 0, from: $daily, lead: 30, expediting: new Expediting(10, Case_::money(5), Case_::money(1))),
    ]);
    // Released in five days it comes on day 35, hurried on day 25: ten days of two, ordered by day 5.
    expect(dueFor($case, new Levers(approvalDays: 5), 25))
        ->toContain(['hurry', 5, 'NEW', '', 20, 25], ['order', 5, 'NEW', '', 40, 35], ['release', 5, '', '', 0, null])
        ->and(dueFor($case, new Levers(approvalDays: 5, atRisk: true), 40))
        ->toContain(['order', 10, 'NEW', '', 60, 40], ['release', 40, '', '', 0, null]);
});

it('leaves the orders of an old part that others go on with to planning: the change wants none of it', function (): void {
    $daily = array_fill(0, 100, 1);
    $case = new PlantCase('Tarn', PlantDays::all(), [
        Case_::part('OLD', 40, until: $daily, others: $daily, lead: 10),
        Case_::part('NEW', 0, from: $daily, lead: 30),
    ]);
    expect(array_column(dueFor($case, new Levers(approvalDays: 5), 35), 2))->toBe(['', 'NEW', '']);
});
