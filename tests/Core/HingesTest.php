<?php

declare(strict_types=1);

use Orthotaxis\Core\CutIn\Guess;
use Orthotaxis\Core\CutIn\Hinge;
use Orthotaxis\Core\CutIn\Hinges;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\PlantCase;
use Orthotaxis\Core\CutIn\PlantDays;
use Tests\Core\Support\CutInCase as Case_;
use Tests\Core\Support\Make;

/** @return list<PlantCase> */
function gasket(): array
{
    // A hundred old ones at 10, one a day; the new one is dearer by one, takes forty days, and is released in ten.
    $daily = array_fill(0, 200, 1);

    return [
        new PlantCase('Tarn', PlantDays::all(), [
            Case_::part('OLD', 100, until: $daily, lead: 20),
            Case_::part('NEW', 0, from: $daily, cost: 9, lead: 40),
        ]),
    ];
}

it('says what the best day hangs on, the worst first', function (): void {
    $told = array_map(
        static fn(Hinge $hinge): array => [
            $hinge->guess->value,
            $hinge->part,
            $hinge->dayLess,
            $hinge->dayMore,
            (string) $hinge->costLess,
            (string) $hinge->costMore,
        ],
        Hinges::of(gasket(), new Levers(approvalDays: 10)),
    );
    // Best is the run-out, day 100: a hundred cost one less each. At 9.00 the old one would cost as much as the new, at 11.00 the saving
    // doubles; a new one at 8.10 saves 90.00 more. With a tenth less wanted the old ones last till day 112, and 88 days of 0.9 are left;
    // with a tenth more till day 91, and 109 of 1.1. Approval and lead time move nothing: there is time for both.
    expect($told)->toBe([
        ['cost', 'OLD', 0, 0, '100.00', '-100.00'],
        ['cost', 'NEW', 0, 0, '-90.00', '90.00'],
        ['demand', '', 12, -9, '20.80', '-19.90'],
        ['stock', 'OLD', -10, 10, '-10.00', '10.00'],
    ]);
});

it('moves with what it is reckoned from, and with nothing else', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        [$parts, $orders, $levers] = Case_::random($random);
        $cases = [new PlantCase('Weir', PlantDays::all(), $parts, $orders)];
        $hinges = Hinges::of($cases, $levers);
        $weights = array_map(static fn(Hinge $hinge): array => $hinge->weight(), $hinges);
        $sorted = $weights;
        rsort($sorted);
        expect($weights)->toBe($sorted);
        foreach ($hinges as $hinge) {
            expect($hinge->moves())
                ->toBeTrue()
                // With dearer disposal, penalties, straddling orders and fees no best day gets cheaper; with cheaper, none dearer.
                ->and(
                    !in_array($hinge->guess, [Guess::Penalty, Guess::Straddling, Guess::CancelFees], true) ||
                        ($hinge->costLess->tenThousandths <= 0 && $hinge->costMore->tenThousandths >= 0),
                )
                ->toBeTrue("{$hinge->guess->value} of {$hinge->part}");
        }
    }, 40);
});

it('has nothing to say where no day is possible', function (): void {
    $case = new PlantCase('Weir', PlantDays::all(), [Case_::part('NEW', 0, from: array_fill(0, 30, 1), lead: null)]);
    expect(Hinges::of([$case], new Levers()))->toBe([]);
});
