<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\Money;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * The plan over many samples of demand and lead times. All demand of a sample is higher or lower by one share, and each lead time by one of
 * its own; a share lies within the spread to either side, and the nearer to nothing the likelier (a triangle). The same seed gives the
 * same samples.
 *
 * Example: fifty in stock, one a day, spread of 20 %. By day 50 half of the samples want more than fifty: every second time some are
 * missing, if no more can be had.
 */
final readonly class Chances
{
    public const SAMPLES = 500;

    /** A spread is told in percent, a share in thousandths. */
    private const THOUSAND = 1000;

    /**
     * @param  non-empty-list<PlantCase>  $cases
     * @param  list<int>  $days  those that are looked at
     * @param  int  $demand  spread of demand in percent, under 100
     * @param  int  $lead  spread of lead times in percent, under 100
     * @return list<Chance> of each of the days
     */
    public static function of(array $cases, Levers $levers, array $days, int $demand, int $lead, int $seed): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $left = $short = $missing = array_fill_keys($days, []);
        for ($sample = 0; $sample < self::SAMPLES; $sample++) {
            $share = self::share($random, $demand);
            $lefts = $shorts = $lacks = array_fill_keys($days, 0);
            foreach ($cases as $case) {
                foreach ($case->parts as $part) {
                    $leadDays = $part->leadDays;
                    $course = new PartCourse(
                        $part->with(
                            demand: $part->demand->thousandths($share),
                            leadDays: $leadDays === null
                                ? null
                                : intdiv($leadDays * self::share($random, $lead) + intdiv(self::THOUSAND, 2), self::THOUSAND),
                        ),
                        $levers,
                        $case->days,
                    );
                    $on = $course->over($days);
                    foreach ($days as $day) {
                        $lefts[$day] += PlantPlan::price($part->disposal, $on->left[$day]);
                        $shorts[$day] += PlantPlan::shortage($part, $on->hurried[$day], $on->missing[$day]);
                        $lacks[$day] += $on->missing[$day];
                    }
                }
            }
            foreach ($days as $day) {
                $left[$day][] = $lefts[$day];
                $short[$day][] = $shorts[$day];
                $missing[$day][] = $lacks[$day] > 0 ? 1 : 0;
            }
        }

        return array_map(
            static fn(int $day): Chance => new Chance(
                day: $day,
                short: intdiv(array_sum($missing[$day]) * self::THOUSAND, self::SAMPLES),
                leftMedian: self::most($left[$day], 50),
                leftMost: self::most($left[$day], 90),
                shortMost: self::most($short[$day], 90),
            ),
            $days,
        );
    }

    /** @return int thousandths */
    private static function share(Randomizer $random, int $percent): int
    {
        $most = $percent * 5;

        // The sum of two even chances is a triangle.
        return self::THOUSAND + $random->getInt(-$most, $most) + $random->getInt(-$most, $most);
    }

    /** @param  list<int>  $amounts  ten-thousandths */
    private static function most(array $amounts, int $percent): Money
    {
        sort($amounts);

        return Money::ofTenThousandths($amounts[intdiv((count($amounts) - 1) * $percent, 100)] ?? 0);
    }
}
