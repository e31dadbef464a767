<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInChance;
use Orthotaxis\Core\CutIn\Chance;
use Orthotaxis\Core\CutIn\Chances;
use Orthotaxis\Core\CutIn\CutInPlan;

/** How likely a shortage and a leftover of what size are, one day of each week and the best ones. */
final readonly class ChanceReader
{
    /** The same question is answered alike. */
    private const SEED = 1;

    private const WEEK = 7;

    public function __construct(private CaseReader $cases) {}

    /**
     * @param  array<string, mixed>  $question  as CutInQuestion checks it
     * @param  int  $demand  spread in percent
     * @param  int  $lead  spread in percent
     * @return list<CutInChance> by day; none where no day is possible
     */
    public function list(array $question, int $demand, int $lead): array
    {
        $case = $this->cases->read($question);
        $plan = CutInPlan::of($case->plants, $case->levers);
        $days = [];
        foreach ($plan->days as $day) {
            if ($day->isPossible) {
                $days[intdiv($day->day, self::WEEK)] ??= $day->day;
            }
        }
        $best = [$plan->best->earliest, $plan->best->leastCost, $plan->best->leastDisturbing];
        $days = array_values(array_unique([...$days, ...array_filter($best, is_int(...))]));
        sort($days);

        return array_map(
            static fn(Chance $chance): CutInChance => CutInChance::of($chance, (string) $case->today->plusDays($chance->day)),
            Chances::of($case->plants, $case->levers, $days, $demand, $lead, self::SEED),
        );
    }
}
