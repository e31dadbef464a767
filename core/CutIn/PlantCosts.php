<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;

/**
 * What every day to cut in costs at one plant, of all parts together. Lists by day, amounts in ten-thousandths. Gone through for every
 * day of every part, and again with each lever: one part after the other, and nothing is priced anew that is as on the day before.
 */
final class PlantCosts
{
    /** @var array<int, int> */
    public array $leftover;

    /** @var array<int, int> */
    public array $cancellation;

    /** @var array<int, int> */
    public array $shortage;

    /** @var array<int, int> */
    public array $recurring;

    /** @var array<int, int> */
    public array $atRisk;

    /** @var array<int, int> open documents that have to be touched */
    public array $touched;

    /** @var array<int, bool> whether nothing is missing from the day on that the change wants more of */
    public array $isSustained;

    public function __construct(int $days)
    {
        $this->leftover = $this->cancellation = $this->shortage = array_fill(0, $days, 0);
        $this->recurring = $this->atRisk = $this->touched = $this->leftover;
        $this->isSustained = array_fill(0, $days, true);
    }

    public function add(Part $part, PartCourse $course): void
    {
        $left = $short = $missing = $hurried = $amount = 0;
        $on = $course->over(array_keys($this->touched));
        foreach ($on->left as $day => $leftover) {
            if ($leftover !== $left) {
                $left = $leftover;
                $amount = PlantPlan::price($part->disposal, $left);
            }
            if ($on->missing[$day] !== $missing || $on->hurried[$day] !== $hurried) {
                [$missing, $hurried] = [$on->missing[$day], $on->hurried[$day]];
                $short = PlantPlan::shortage($part, $hurried, $missing);
            }
            $this->leftover[$day] += $amount;
            $this->cancellation[$day] += $on->fees[$day];
            $this->shortage[$day] += $short;
            $this->recurring[$day] += PlantPlan::price($part->cost, $on->recurring[$day]);
            $this->atRisk[$day] += PlantPlan::price($part->cost, $on->atRisk[$day]);
            $this->touched[$day] += $on->touched[$day];
            if (!$on->isSustained[$day]) {
                $this->isSustained[$day] = false;
            }
        }
        foreach ([$this->leftover, $this->cancellation, $this->shortage, $this->recurring, $this->atRisk] as $amounts) {
            FixedPoint::check($amounts);
        }
    }
}
