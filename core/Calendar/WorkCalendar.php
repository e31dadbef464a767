<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Calendar;

use Orthotaxis\Core\Refusal;

/**
 * On which days a plant works, and for how long. Lead times are counted in its working days: two working days after a Friday is the
 * Tuesday, or the Wednesday where the Monday is a holiday.
 */
final readonly class WorkCalendar
{
    /**
     * @param  array<int, true>  $weekdays  1 for Monday to 7 for Sunday; one at least
     * @param  array<string, bool>  $exceptions  by day: whether the plant works, whatever weekday it is
     * @param  list<Shift>  $shifts
     */
    private function __construct(private array $weekdays, private array $exceptions, public array $shifts) {}

    /**
     * @param  list<int>  $weekdays  1 for Monday to 7 for Sunday
     * @param  array<string, bool>  $exceptions  by day
     * @param  list<Shift>  $shifts
     *
     * @throws Refusal when the plant would be closed on every day
     */
    public static function of(array $weekdays, array $exceptions = [], array $shifts = []): self
    {
        $works = array_fill_keys(array_filter($weekdays, static fn(int $day): bool => $day >= 1 && $day <= 7), true);
        if ($works === []) {
            throw Refusal::at('weekdays', 'A plant works on one day of the week at least: closed on every day, nothing is ever ready.');
        }

        return new self($works, $exceptions, $shifts);
    }

    public function worksOn(Day $day): bool
    {
        return $this->exceptions["{$day}"] ?? isset($this->weekdays[$day->weekday()]);
    }

    /** So many working days later; none: the day itself, or the next on which the plant works. */
    public function after(Day $day, int $workingDays): Day
    {
        return $this->count($day, $workingDays, 1);
    }

    /** So many working days earlier; none: the day itself, or the last on which the plant worked. */
    public function before(Day $day, int $workingDays): Day
    {
        return $this->count($day, $workingDays, -1);
    }

    /** What it works on a working day. */
    public function minutes(): int
    {
        return array_sum(array_map(static fn(Shift $shift): int => $shift->minutes(), $this->shifts));
    }

    private function count(Day $day, int $workingDays, int $step): Day
    {
        if ($workingDays < 0) {
            throw new \LogicException('Days are counted forwards by after() and backwards by before().');
        }
        while (!$this->worksOn($day)) {
            $day = $day->plusDays($step);
        }
        for (; $workingDays > 0; $workingDays--) {
            do {
                $day = $day->plusDays($step);
            } while (!$this->worksOn($day));
        }

        return $day;
    }
}
