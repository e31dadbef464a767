<?php

declare(strict_types=1);

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Impact\CostDifference;
use Orthotaxis\Core\Impact\Exposure;
use Orthotaxis\Core\Impact\Supply;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Structure;
use Tests\Core\Support\Make;

$row = fn(array $other = []): array => $other + [
    'kind' => 'stock',
    'document' => 'LOT-1',
    'item' => '200-0040',
    'revision' => 'A',
    'quantity' => '1500',
    'unit' => 'mm',
    'unit_value' => '0.0098',
    'due' => null,
    'place' => 'Weir',
    'status' => 'free',
];

it('sums exposure by kind in the unit of the item', function () use ($row): void {
    $exposure = Exposure::of('200-0040', Unit::Metre, [
        Supply::read($row(), 1),
        Supply::read($row(['document' => 'LOT-2', 'quantity' => '2', 'unit' => 'm', 'unit_value' => '9.80']), 2),
        Supply::read(
            $row([
                'kind' => 'purchase_order',
                'document' => 'PO-1',
                'quantity' => '200',
                'unit' => 'm',
                'unit_value' => '9.80',
                'due' => '2026-12-11',
            ]),
            3,
        ),
        Supply::read($row(['item' => 'something else']), 4),
    ]);
    expect((string) $exposure->totals['stock']->quantity)
        ->toBe('3.5')
        ->and((string) $exposure->totals['stock']->value)
        ->toBe('34.30')
        ->and((string) $exposure->value)
        ->toBe('1994.30')
        ->and(count($exposure->rows))
        ->toBe(3)
        ->and($exposure->totals)
        ->not->toHaveKey('work_order');
});

it('does not take nonsense from planning', function (array $wrong) use ($row): void {
    expect(fn() => Supply::read($row($wrong), 7))->toThrow(Refusal::class);
})->with([
    [['kind' => 'gift']],
    [['quantity' => 'many']],
    [['quantity' => 3]],
    [['unit' => 'dozen']],
    [['due' => 'soon']],
    [['unit_value' => null]],
]);

it('says what one parent costs more, and what cannot be counted', function (): void {
    $after = Make::pumpHead()
        ->without('clamp')
        ->with(Make::line('tube', 50, '200-0041', '0.5', Unit::Metre))
        ->with(Make::line('grease', 80, '710-0001', '2', Unit::Gram));
    $costs = [
        '200-0040' => ['cost' => Money::parse('9.80'), 'unit' => Unit::Metre],
        '200-0041' => ['cost' => Money::parse('12.60'), 'unit' => Unit::Metre],
        '200-0042' => ['cost' => Money::parse('0.68'), 'unit' => Unit::Piece],
        '710-0001' => ['cost' => null, 'unit' => Unit::Gram],
    ];
    $difference = CostDifference::settled(Day::parse('2027-02-01'), Make::pumpHead(), $after, $costs);
    // 0.5 m × (12.60 − 9.80) − 2 × 0.68
    expect((string) $difference->perUnit)
        ->toBe('0.04')
        ->and($difference->missing)
        ->toBe(['710-0001']);
});

it('takes the difference of a dated substitution on a day, both sides as they hold on it', function (): void {
    $costs = [
        'OLD' => ['cost' => Money::parse('10'), 'unit' => Unit::Piece],
        'NEW' => ['cost' => Money::parse('9'), 'unit' => Unit::Piece],
    ];
    $before = new Structure([Make::line('old', 10, 'OLD')]);
    // The old clip ends on 31 March, the new one begins on 1 April.
    $after = new Structure([Make::line('old', 10, 'OLD', last: '2027-03-31'), Make::line('new', 20, 'NEW', first: '2027-04-01')]);
    $on = static fn(string $day): string => (string) CostDifference::on(Day::parse($day), $before, $after, $costs)->perUnit;
    expect($on('2027-03-31'))->toBe('0.00')->and($on('2027-04-01'))->toBe('-1.00');
    $settled = CostDifference::settled(Day::parse('2027-02-01'), $before, $after, $costs);
    expect((string) $settled->perUnit)
        ->toBe('-1.00')
        ->and((string) $settled->day)
        ->toBe('2027-04-01')
        // Seen from after the turn, the day asked for is the day.
        ->and((string) CostDifference::settled(Day::parse('2027-05-01'), $before, $after, $costs)->day)
        ->toBe('2027-05-01')
        // The other way round it is the same with the sign turned.
        ->and((string) CostDifference::on(Day::parse('2027-04-01'), $after, $before, $costs)->perUnit)
        ->toBe('1.00');
});
