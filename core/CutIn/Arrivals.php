<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

/** From which day on what is ordered of a part can be there. Days count from today; the number of days looked at stands for never. */
final readonly class Arrivals
{
    /**
     * @param  int  $normal  what was wanted before the change, and by others: ordered today
     * @param  int  $released  what the change wants more, ordered when it is released
     * @param  int  $more  the same as it is planned: when it is released, or today at risk
     * @param  array{int, int}  $hurried  of the first and of the third, where the part can be hurried
     */
    private function __construct(public int $normal, public int $released, public int $more, public array $hurried) {}

    public static function of(Part $part, Levers $levers, PlantDays $plant, int $days): self
    {
        $release = $plant->after(0, $levers->approvalDays);
        $day = static fn(int $ordered, int $sooner): int => $part->leadDays === null || !$part->isOrdered
            ? $days
            : min($days, $plant->after($ordered, max(0, $part->leadDays - $sooner)));
        $sooner = $part->expediting->days ?? 0;
        $ordered = $levers->atRisk ? 0 : $release;

        return new self($day(0, 0), $day($release, 0), $day($ordered, 0), [$day(0, $sooner), $day($ordered, $sooner)]);
    }

    /**
     * @param  int  $for  0 for what was wanted before, 1 for what the change wants more
     * @param  int  $already  millionths that are hurried
     * @return int millionths of what lacks on a day that can be hurried
     */
    public function canHurry(?Expediting $expediting, int $lacking, int $day, int $for, int $already): int
    {
        if ($expediting === null || $day < $this->hurried[$for]) {
            return 0;
        }

        return $expediting->most === null ? $lacking : min($lacking, max(0, $expediting->most - $already));
    }
}
