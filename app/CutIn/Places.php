<?php

declare(strict_types=1);

namespace App\CutIn;

use App\Vocabulary\ChoiceList;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\WorkCalendar;
use Orthotaxis\Core\CutIn\PlantDays;

/** The plants that are planned apart, each with its working days. What planning tells of any other place counts at the first of them. */
final class Places
{
    /** Days before today, and behind the time looked at, of which working days are known. */
    private const AROUND = 400;

    /** @var array<string, true> places that are no plants */
    public array $others = [];

    /** @var array<string, int> */
    private readonly array $places;

    /**
     * @param  non-empty-list<string>  $plants  codes of sites
     * @param  non-empty-list<PlantDays>  $days  of each
     * @param  list<string>  $withoutCalendar  codes of those that are taken to work every day
     */
    private function __construct(public readonly array $plants, public readonly array $days, public readonly array $withoutCalendar)
    {
        $this->places = array_flip($plants);
    }

    /** @return non-empty-list<string> the plants that are planned apart; without a site there is one without a name */
    public static function codes(): array
    {
        $codes = ChoiceList::Site->codes();

        return $codes === [] ? [''] : $codes;
    }

    /**
     * @param  non-empty-list<string>  $plants  codes of sites
     * @param  array<string, WorkCalendar>  $calendars  by code
     */
    public static function of(array $plants, array $calendars, Day $today, int $horizon): self
    {
        $days = array_map(
            static fn(string $plant): PlantDays => isset($calendars[$plant])
                ? PlantDays::of($calendars[$plant], $today, self::AROUND, $horizon + self::AROUND)
                : PlantDays::all(),
            $plants,
        );

        return new self($plants, $days, array_values(array_diff($plants, array_map(strval(...), array_keys($calendars)))));
    }

    /** Everything in one place that never rests. */
    public static function one(): self
    {
        return new self([''], [PlantDays::all()], []);
    }

    /** @return int which of the plants */
    public function at(string $place): int
    {
        if (!isset($this->places[$place]) && $place !== '' && $this->plants !== ['']) {
            $this->others[$place] = true;
        }

        return $this->places[$place] ?? 0;
    }
}
