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
    /** Half a unit more, and cut off, is rounded, where nothing is less than nothing. */
    private const HALF = Quantity::ONE / 2;

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
        return self::along(Flow::down($adjacency, $item, $day, $leads), $costs, $masses, $leads);
    }

    /**
     * The same of what was walked already, with the longest chains. Plain loops, as Flow has them: nothing is called for an item.
     *
     * @param  array<int, ?int>  $costs
     * @param  ?array<int, ?int>  $masses  null: nobody asks for it
     * @param  array<int, ?int>  $leads
     * @param  array<int, mixed>  $made  positions that cost what is in them, be it nothing: that is then not known
     */
    public static function along(Flow $flow, array $costs, ?array $masses, array $leads, array $made = []): self
    {
        $cost = $mass = $longest = 0;
        $withoutCost = $withoutMass = $withoutLead = [];
        $last = $flow->start;
        [$before, $isMade, $totals, $phantom] = [$flow->longest, $flow->made, $flow->totals, $flow->phantom];
        // Everything after what it is reached through, where positions say it; else in the order in which it was reached.
        foreach ($before as $position => $days) {
            if ($days < 0) {
                continue;
            }
            $lead = $leads[$position] ?? null;
            if ($lead === null) {
                $withoutLead[] = $position;
            } elseif ($days + $lead > $longest) {
                $longest = $days + $lead;
                $last = $position;
            }
            if ($isMade[$position]) {
                continue;
            }
            $total = $totals[$position] - ($phantom[$position] ?? 0);
            if ($total === 0) {
                continue;
            }
            $one = isset($made[$position]) ? null : $costs[$position] ?? null;
            if ($one === null) {
                $withoutCost[] = $position;
            } else {
                $product = $one * $total + self::HALF;
                // @phpstan-ignore function.alreadyNarrowedType (what does not fit has become a float)
                $cost += is_int($product) && $one >= 0 ? intdiv($product, Quantity::ONE) : FixedPoint::scale($one, $total, Quantity::ONE);
            }
            if ($masses === null) {
                continue;
            }
            $one = $masses[$position] ?? null;
            if ($one === null) {
                $withoutMass[] = $position;
            } else {
                $product = $one * $total + self::HALF;
                // @phpstan-ignore function.alreadyNarrowedType (what does not fit has become a float)
                $mass += is_int($product) && $one >= 0 ? intdiv($product, Quantity::ONE) : FixedPoint::scale($one, $total, Quantity::ONE);
            }
        }
        foreach ([$cost, $mass] as $sum) {
            // @phpstan-ignore function.alreadyNarrowedType (what does not fit has become a float)
            if (!is_int($sum)) {
                throw new \OverflowException('A number becomes too large here to be kept exactly.');
            }
        }
        $chain = [$last];
        while ($flow->from[$chain[0]] >= 0) {
            array_unshift($chain, $flow->from[$chain[0]]);
        }

        return new self(
            cost: $cost,
            mass: $mass,
            lead: $longest,
            chain: $chain,
            withoutCost: $withoutCost,
            withoutMass: $withoutMass,
            withoutLead: $withoutLead,
        );
    }
}
