<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

/** The day on which a change cuts in: what every day would mean, at each plant and at all of them together. */
final readonly class CutInPlan
{
    /**
     * @param  non-empty-list<PlantPlan>  $plants
     * @param  list<CutInDay>  $days  every day from today, the same at all plants
     */
    private function __construct(public array $plants, public array $days, public BestDays $best, public ?int $prescribed) {}

    /** @param  non-empty-list<PlantCase>  $cases  with as many days each */
    public static function of(array $cases, Levers $levers): self
    {
        // Of all plants together: a change that saves is hurried, one that costs more is not put off for that.
        $saves = array_sum(array_map(static fn(PlantCase $case): int => $case->more(), $cases)) < 0;
        $counts = $levers->countsRecurring ?? $saves;
        $plants = array_map(static fn(PlantCase $case): PlantPlan => PlantPlan::of($case, $levers, $counts), $cases);
        $days = $plants[0]->days;
        foreach (array_slice($plants, 1) as $plant) {
            $days = array_map(static fn(CutInDay $one, CutInDay $other): CutInDay => $one->plus($other), $days, $plant->days);
        }

        return new self($plants, $days, BestDays::of($days), $levers->prescribed);
    }

    /** The first day on which stock and receipts of a part do not last at a plant. */
    public function runOut(): ?int
    {
        $days = array_filter(array_map(static fn(PlantPlan $plan): ?int => $plan->runOut, $this->plants), is_int(...));

        return $days === [] ? null : min($days);
    }

    /** Why the prescribed day cannot be kept; null when it can, or none is prescribed. */
    public function againstPrescribed(): ?string
    {
        $earliest = $this->best->earliest;

        return match (true) {
            $this->prescribed === null => null,
            $this->prescribed < 0 => 'It has passed.',
            $this->prescribed >= count($this->days) => 'It is beyond the time that is looked at.',
            $earliest === null || $this->prescribed < $earliest => 'It is before the earliest possible day.',
            !$this->days[$this->prescribed]->isPossible => 'It is no working day, or a part would be missing from it on.',
            default => null,
        };
    }
}
