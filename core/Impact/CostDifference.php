<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Impact;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Structure;

/**
 * What one of a parent costs more or less on a day, both sides as they hold on it; what has no cost is named, not counted
 * as nothing.
 *
 * Example: the clip of 10.00 ends on 31 March, the clip of 9.00 begins on 1 April. On 1 April the parent costs 1.00 less;
 * on 31 March it costs what it did.
 */
final readonly class CostDifference
{
    /** @param  list<string>  $missing numbers of components without a standard cost */
    private function __construct(public Money $perUnit, public array $missing, public Day $day) {}

    /**
     * @param  array<string, array{cost: ?Money, unit: Unit}>  $costs by component number: the cost of one unit, and the unit
     */
    public static function on(Day $day, Structure $before, Structure $after, array $costs): self
    {
        $sum = Money::zero();
        $missing = [];
        foreach (Comparison::of($before->on($day), $after->on($day))->changes() as $difference) {
            foreach ([[$difference->after, false], [$difference->before, true]] as [$line, $minus]) {
                if ($line === null) {
                    continue;
                }
                $known = $costs[$line->component] ?? null;
                if ($known === null || $known['cost'] === null) {
                    $missing[$line->component] = true;

                    continue;
                }
                $cost = $known['cost']->times($line->unit->convert($line->quantity, $known['unit']));
                $sum = $minus ? $sum->minus($cost) : $sum->plus($cost);
            }
        }

        return new self($sum, array_keys($missing), $day);
    }

    /**
     * The same once all of it has come: on the effective day, or later where a changed line begins, or has ended, only then.
     *
     * @param  array<string, array{cost: ?Money, unit: Unit}>  $costs
     */
    public static function settled(Day $effective, Structure $before, Structure $after, array $costs): self
    {
        $day = $effective;
        foreach (Comparison::of($before, $after)->changes() as $difference) {
            $from = $difference->after?->validity->from;
            // A line that only ever holds for a while is no lasting difference; one that is ended is, from the day after its last.
            $to = $difference->before === null ? null : $difference->after?->validity->to;
            foreach ([$from, $to] as $turn) {
                if ($turn !== null && $day->isBefore($turn)) {
                    $day = $turn;
                }
            }
        }

        return self::on($day, $before, $after, $costs);
    }
}
