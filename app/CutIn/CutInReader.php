<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInBest;
use App\CutIn\Data\CutInDayRow;
use App\CutIn\Data\CutInPage;
use App\CutIn\Data\CutInPart;
use App\CutIn\Data\CutInPlant;
use App\Structures\Data\ItemRow;
use App\Structures\ItemRows;
use App\Structures\Models\Item;
use Orthotaxis\Core\CutIn\CutInDay;
use Orthotaxis\Core\CutIn\CutInPlan;
use Orthotaxis\Core\CutIn\PlantPlan;
use Orthotaxis\Core\Quantity\Quantity;

/** Plans the day on which a change cuts in. */
final readonly class CutInReader
{
    /** So many are named one by one; that there are more is told by their number. */
    private const NAMED = 10;

    public function __construct(private CaseReader $cases) {}

    /** @param  array<string, mixed>  $question  as CutInQuestion checks it */
    public function plan(array $question, bool $anew = false): CutInPage
    {
        $case = $this->cases->read($question, anew: $anew);
        $plan = CutInPlan::of($case->plants, $case->levers);
        $today = $case->today;
        $on = static fn(?int $day): ?string => $day === null ? null : (string) $today->plusDays($day);
        $rows = ItemRows::byNumber(array_map(strval(...), $case->items->keys()->all()));
        $dates = array_map(static fn(CutInDay $day): string => (string) $today->plusDays($day->day), $plan->days);
        $told = $case->basis->supply->told;

        return new CutInPage(
            currency: config()->string('orthotaxis.currency'),
            from: (string) $today,
            best: CutInBest::of($plan->best, $today),
            waits_for: self::waitsFor($plan),
            run_out: $on($plan->runOut()),
            counts_recurring: $plan->days[0]->countsRecurring,
            prescribed: $on($plan->prescribed),
            against_prescribed: $plan->againstPrescribed(),
            days: array_map(CutInDayRow::of(...), $plan->days, $dates),
            plants: array_map(static fn(PlantPlan $plant): CutInPlant => self::plant($plant, $plan, $case, $rows), $plan->plants),
            documents: $case->documents,
            assumptions: $case->assumptions,
            idle: $case->idle,
            unknown_leads: array_values(
                array_unique(array_merge(...array_map(static fn(PlantPlan $plant): array => $plant->unknownLeads, $plan->plants))),
            ),
            unknown_costs: array_values(
                $case->items
                    ->filter(static fn(Item $item): bool => $item->standard_cost === null)
                    ->map(static fn(Item $item): string => $item->number)
                    ->all(),
            ),
            other_places: $case->basis->otherPlaces,
            fetched_at: $told->at?->toIso8601String(),
            fault: $told->fault,
            not_known: count($told->unknown),
            not_known_items: array_slice($told->unknown, 0, self::NAMED),
            strangers: array_slice($told->strangers, 0, self::NAMED),
        );
    }

    /** @return list<string> what the last plant waits for */
    private static function waitsFor(CutInPlan $plan): array
    {
        $last = $plan->plants[0];
        foreach ($plan->plants as $plant) {
            $last = ($plant->best->earliest ?? PHP_INT_MAX) > ($last->best->earliest ?? PHP_INT_MAX) ? $plant : $last;
        }

        return $last->waitsFor;
    }

    /** @param  array<string, ItemRow>  $rows  by number */
    private static function plant(PlantPlan $plant, CutInPlan $plan, CutInCase $case, array $rows): CutInPlant
    {
        $on = static fn(?int $day): ?string => $day === null ? null : (string) $case->today->plusDays($day);
        $horizon = count($plan->days);
        $parts = [];
        foreach ($plant->case->parts as $i => $part) {
            $course = $plant->courses[$i];
            $sustained = $course->sustainedFrom();
            $parts[] = new CutInPart(
                item: $rows[$part->number],
                goes: array_filter($part->demand->until) !== [],
                comes: array_filter($part->demand->from) !== [],
                stock: self::text($part->stock),
                run_out: $on($course->runOut),
                sustained_from: $sustained < $horizon ? $on($sustained) : null,
                yearly_until: self::text(array_sum($part->demand->until)),
                yearly_from_then: self::text(array_sum($part->demand->from)),
                yearly_others: self::text(array_sum($part->demand->others)),
                late: self::text($part->demand->late['until'] + $part->demand->late['others']),
                unchanged_course: self::texts($course->stock($horizon)),
                until: self::texts($part->demand->until),
                from_then: self::texts($part->demand->from),
                others: self::texts($part->demand->others),
            );
        }

        return new CutInPlant(
            plant: $plant->case->plant,
            has_calendar: !in_array($plant->case->plant, $case->basis->withoutCalendar, true),
            closed: array_values(
                array_filter(
                    array_map(
                        static fn(CutInDay $day): string => $plant->case->days->worksOn($day->day) ? '' : (string) $on($day->day),
                        $plant->days,
                    ),
                    static fn(string $day): bool => $day !== '',
                ),
            ),
            best: CutInBest::of($plant->best, $case->today),
            waits_for: $plant->waitsFor,
            run_out: $on($plant->runOut),
            possible: array_map(static fn(CutInDay $day): bool => $day->isPossible, $plant->days),
            totals: array_map(static fn(CutInDay $day): string => (string) $day->total, $plant->days),
            parts: $parts,
        );
    }

    private static function text(int $millionths): string
    {
        return (string) Quantity::ofMillionths($millionths);
    }

    /**
     * @param  list<int>  $millionths
     * @return list<string>
     */
    private static function texts(array $millionths): array
    {
        return array_map(self::text(...), $millionths);
    }
}
