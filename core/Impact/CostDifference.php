<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Impact;

use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;

/** What one of a parent costs more or less after its lines changed; what has no cost is named, not counted as nothing. */
final readonly class CostDifference
{
    /** @param  list<string>  $missing numbers of components without a standard cost */
    private function __construct(public Money $perUnit, public array $missing) {}

    /** @param  array<string, array{cost: ?Money, unit: Unit}>  $costs by component number: the cost of one unit, and the unit */
    public static function of(Comparison $comparison, array $costs): self
    {
        $sum = Money::zero();
        $missing = [];
        foreach ($comparison->changes() as $difference) {
            foreach ([[$difference->after, false], [$difference->before, true]] as [$line, $minus]) {
                if (! $line instanceof Line) {
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

        return new self($sum, array_keys($missing));
    }
}
