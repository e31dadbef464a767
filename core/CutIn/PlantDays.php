<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\WorkCalendar;

/**
 * The working days of a plant around today, counted once: planning asks for a lead time a hundred thousand times. Days are numbered from
 * today, which is 0. Beyond what was counted the plant works every day.
 */
final readonly class PlantDays
{
    /**
     * @param  list<bool>  $works  from the first day on
     * @param  list<int>  $ordinal  of each day: how many working days are before it
     * @param  list<int>  $dates  of each working day, in their order
     */
    private function __construct(private int $first, private array $works, private array $ordinal, private array $dates) {}

    /**
     * @param  int  $back  days before today, and after it $ahead, that are counted
     */
    public static function of(WorkCalendar $calendar, Day $today, int $back, int $ahead): self
    {
        return self::counted(-$back, $ahead, static fn(int $day): bool => $calendar->worksOn($today->plusDays($day)));
    }

    /** A plant without a calendar: every day is a working day. */
    public static function all(): self
    {
        return self::counted(0, 0, static fn(): bool => true);
    }

    /** @param  \Closure(int): bool  $works */
    private static function counted(int $first, int $last, \Closure $works): self
    {
        $all = $ordinal = $dates = [];
        for ($day = $first; $day <= $last; $day++) {
            $all[] = $works($day);
            $ordinal[] = count($dates);
            if ($all[count($all) - 1]) {
                $dates[] = $day;
            }
        }

        return new self($first, $all, $ordinal, $dates);
    }

    public function worksOn(int $day): bool
    {
        return $this->works[$day - $this->first] ?? true;
    }

    /** So many working days later; none: the day itself, or the next on which the plant works. */
    public function after(int $day, int $workingDays): int
    {
        return $this->at($this->ordinal($day) + $workingDays);
    }

    /** So many working days earlier; none: the day itself, or the last on which it worked. */
    public function before(int $day, int $workingDays): int
    {
        return $this->at($this->ordinal($day) - ($this->worksOn($day) ? 0 : 1) - $workingDays);
    }

    /** How many days so many working days take, at most. */
    public function longest(int $workingDays): int
    {
        $most = $workingDays;
        for ($day = $this->first, $last = $day + count($this->works) + $workingDays; $day <= $last; $day++) {
            $most = max($most, $day - $this->before($day, $workingDays));
        }

        return $most;
    }

    private function ordinal(int $day): int
    {
        $at = $day - $this->first;
        $counted = count($this->works);

        return match (true) {
            $at < 0 => $at,
            $at >= $counted => count($this->dates) + $at - $counted,
            default => $this->ordinal[$at],
        };
    }

    private function at(int $ordinal): int
    {
        $counted = count($this->dates);

        return match (true) {
            $ordinal < 0 => $this->first + $ordinal,
            $ordinal >= $counted => $this->first + count($this->works) + $ordinal - $counted,
            default => $this->dates[$ordinal],
        };
    }
}
