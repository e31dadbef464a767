<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Adjacency;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;

/**
 * What an item adds up to on a day: cost and mass of everything in it that is itself made of nothing, and the longest chain
 * of lead times. What is not known is named, and not counted as nothing.
 */
final readonly class RollUp
{
    /**
     * @param  int  $cost  as the costs given
     * @param  int  $mass  as the masses given
     * @param  list<int>  $chain  positions from the item down the longest chain
     * @param  list<int>  $withoutCost  positions, nearest first
     * @param  list<int>  $withoutMass
     * @param  list<int>  $withoutLead
     */
    private function __construct(
        public int $cost,
        public int $mass,
        public int $lead,
        public array $chain,
        public array $withoutCost,
        public array $withoutMass,
        public array $withoutLead,
    ) {}

    /**
     * @param  array<int, ?int>  $costs  of one unit, by position
     * @param  array<int, ?int>  $masses  of one unit
     * @param  array<int, ?int>  $leads  days
     *
     * @throws Loop when something contains itself
     * @throws \OverflowException when a sum is too large to keep exactly
     */
    public static function of(Adjacency $adjacency, int $item, int $day, array $costs, array $masses, array $leads): self
    {
        $totals = [$item => Quantity::ONE] + Explosion::of($adjacency, $item, $day)->totals();
        $order = TopologicalOrder::below($adjacency, $item, $day);
        $cost = $mass = 0;
        $withoutCost = $withoutMass = $withoutLead = [];
        $longest = $next = [];
        foreach (array_reverse($order) as $position) {
            $below = 0;
            $bottom = true;
            $list = $adjacency->downOf($position);
            for ($i = 2, $n = count($list); $i < $n; $i += 3) {
                if (Span::holdsOn($list[$i + 2], $day)) {
                    $bottom = false;
                    if ($longest[$list[$i]] > $below) {
                        $below = $longest[$list[$i]];
                        $next[$position] = $list[$i];
                    }
                }
            }
            $longest[$position] = ($leads[$position] ?? 0) + $below;
            if (!isset($leads[$position])) {
                $withoutLead[] = $position;
            }
            $total = $totals[$position] ?? 0;
            if (!$bottom || $total === 0) {
                continue;
            }
            if (isset($costs[$position])) {
                $cost = FixedPoint::add($cost, FixedPoint::scale($costs[$position], $total, Quantity::ONE));
            } else {
                $withoutCost[] = $position;
            }
            if (isset($masses[$position])) {
                $mass = FixedPoint::add($mass, FixedPoint::scale($masses[$position], $total, Quantity::ONE));
            } else {
                $withoutMass[] = $position;
            }
        }
        $chain = [$item];
        for ($at = $item; isset($next[$at]); $at = $next[$at]) {
            $chain[] = $next[$at];
        }

        return new self(
            cost: $cost,
            mass: $mass,
            lead: $longest[$item],
            chain: $chain,
            withoutCost: array_reverse($withoutCost),
            withoutMass: array_reverse($withoutMass),
            withoutLead: array_reverse($withoutLead),
        );
    }
}
