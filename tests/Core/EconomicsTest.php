<?php

declare(strict_types=1);

use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Impact\DispositionCost;
use Orthotaxis\Core\Impact\Economics;
use Orthotaxis\Core\Impact\ExposureTotal;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;

it('adds up what is paid once and what every year costs, by item and in total', function (): void {
    // Tooling 4,000; 120 m scrapped at 9.80; 1,300 units a year that cost 3.10 less each.
    $found = Economics::of(
        [['', Money::parse('4000')], ['200-0040', Money::parse('1176')]],
        [['200-0040', Money::parse('-3.10'), Quantity::parse('1300')]],
    );
    expect((string) $found->oneTime)
        ->toBe('5176.00')
        ->and((string) $found->yearly)
        ->toBe('-4030.00')
        ->and((string) $found->oneTimeByItem['200-0040'])
        ->toBe('1176.00')
        // 5,176 of 4,030 a year is 15.4 months: paid back in the sixteenth.
        ->and($found->paybackMonths)
        ->toBe(16);
});

it('tells when it never pays back, and when there is nothing to pay back', function (string $once, string $perUnit, ?int $months): void {
    expect(Economics::of([['', Money::parse($once)]], [['x', Money::parse($perUnit), Quantity::parse('10')]])->paybackMonths)->toBe(
        $months,
    );
})->with([
    ['100', '0', null],
    ['100', '1', null],
    ['0', '-1', 0],
    ['0', '0', 0],
    ['0', '1', null],
    ['-50', '-1', 0],
    ['10', '-1', 12],
    ['10.0001', '-1', 13],
]);

it('has parts that add up to the whole exactly, whatever they are', function (): void {
    mt_srand(11);
    for ($round = 0; $round < 200; $round++) {
        $once = $recurring = [];
        for ($i = mt_rand(0, 12); $i > 0; $i--) {
            $once[] = [['', 'a', 'b'][mt_rand(0, 2)], Money::ofTenThousandths(mt_rand(-9_999_999, 9_999_999))];
            $recurring[] = [
                ['a', 'b'][mt_rand(0, 1)],
                Money::ofTenThousandths(mt_rand(-99_999, 99_999)),
                Quantity::ofMillionths(mt_rand(0, 9_000_000_000)),
            ];
        }
        $found = Economics::of($once, $recurring);
        $sum = static fn(array $parts): int => array_sum(array_map(static fn(Money $part): int => $part->tenThousandths, $parts));
        expect($sum($found->oneTimeByItem))
            ->toBe($found->oneTime->tenThousandths)
            ->and($sum($found->yearlyByItem))
            ->toBe($found->yearly->tenThousandths);
        // The order of the rows does not matter.
        expect(Economics::of(array_reverse($once), array_reverse($recurring)))->toEqual($found);
    }
});

it('costs the value of what is scrapped, and nothing of what is used up, unless somebody says otherwise', function (): void {
    $total = new ExposureTotal(2, Quantity::parse('12.5'), Unit::Metre, Money::parse('122.50'));
    expect((string) DispositionCost::usual(Disposition::Scrap, Money::parse('9.80'))->of($total))
        ->toBe('122.50')
        ->and((string) DispositionCost::usual(Disposition::UseUp, Money::parse('9.80'))->of($total))
        ->toBe('0.00')
        ->and((string) (new DispositionCost(Disposition::Rework, Money::parse('0.6')))->of($total))
        ->toBe('7.50');
});
