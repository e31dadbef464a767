<?php

declare(strict_types=1);

use Orthotaxis\Core\CutIn\Chance;
use Orthotaxis\Core\CutIn\Chances;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\PlantCase;
use Orthotaxis\Core\CutIn\PlantDays;
use Orthotaxis\Core\CutIn\PlantPlan;
use Tests\Core\Support\CutInCase as Case_;
use Tests\Core\Support\Make;

it('says how often a part would be missing, and how much would be left', function (): void {
    // Fifty old ones, one a day, and no more to be had: on day 50 every second sample wants more than there is.
    $daily = array_fill(0, 100, 1);
    $case = new PlantCase('Weir', PlantDays::all(), [
        Case_::altered(Case_::part('OLD', 50, until: $daily), ['isOrdered' => false]),
        Case_::part('NEW', 500, from: $daily),
    ]);
    $of = static fn(int $demand, int $seed): array => Chances::of([$case], new Levers(), [30, 50, 70], $demand, 10, $seed);
    [$early, $at, $late] = $of(20, 1);
    expect($early->short)
        ->toBe(0)
        ->and($at->short)
        ->toBeBetween(420, 580)
        ->and($late->short)
        ->toBe(1000)
        // Twenty pieces at ten each are left on day 30, in nine of ten samples not more than about five pieces more.
        ->and($early->leftMedian->tenThousandths / 10_000)
        ->toBeBetween(190, 210)
        ->and($early->leftMost->tenThousandths / 10_000)
        ->toBeBetween(215, 250)
        ->and($late->leftMost->tenThousandths)
        ->toBe(0)
        // The same seed, the same samples; another, others.
        ->and($of(20, 1))
        ->toEqual([$early, $at, $late])
        ->and($of(20, 2))
        ->not->toEqual([$early, $at, $late]);
});

it('is the plan itself where nothing is uncertain', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        [$parts, $orders, $levers] = Case_::random($random);
        $case = new PlantCase('Weir', PlantDays::all(), $parts, $orders);
        $plan = PlantPlan::of($case, $levers);
        foreach (Chances::of([$case], $levers, [0, 9, 20], 0, 0, 5) as $chance) {
            $day = $plan->days[$chance->day];
            expect($chance)->toEqual(
                new Chance(
                    day: $day->day,
                    short: $chance->short,
                    leftMedian: $day->leftover,
                    leftMost: $day->leftover,
                    shortMost: $day->shortage,
                ),
            );
            expect(in_array($chance->short, [0, 1000], true))->toBeTrue();
        }
    }, 3);
});
