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
        return self::along($adjacency, Flow::down($adjacency, $item, $day), $day, $costs, $masses, $leads);
    }

    /**
     * The same of what was walked already. Plain loops, as Flow has them: nothing is called for a line.
     *
     * @param  array<int, ?int>  $costs
     * @param  ?array<int, ?int>  $masses  null: nobody asks for it
     * @param  array<int, ?int>  $leads
     * @param  array<int, mixed>  $made  positions that cost what is in them, be it nothing: that is then not known
     */
    public static function along(
        Adjacency $adjacency,
        Flow $flow,
        int $day,
        array $costs,
        ?array $masses,
        array $leads,
        array $made = [],
    ): self {
        $item = $flow->start;
        $cost = $mass = 0;
        $withoutCost = $withoutMass = $withoutLead = [];
        $longest = $next = [];
        $block = -1;
        $lists = [];
        foreach (self::fromBelow($adjacency, $flow, $day) as $position) {
            if ($position >> Adjacency::BLOCK !== $block) {
                $block = $position >> Adjacency::BLOCK;
                $lists = $adjacency->down($block);
            }
            $list = $lists[$position] ?? [];
            $below = 0;
            $bottom = true;
            $n = count($list);
            if ($n > 0 && $list[0] <= $day && $day < $list[1]) {
                $bottom = $n === 2;
                for ($i = 2; $i < $n; $i += 3) {
                    if ($longest[$list[$i]] > $below) {
                        $below = $longest[$list[$i]];
                        $next[$position] = $list[$i];
                    }
                }
                $n = 0;
            }
            for ($i = 2; $i < $n; $i += 3) {
                $span = $list[$i + 2];
                if ((($span >> 20) & Span::EVER) <= $day && ($span & Span::EVER) > $day) {
                    $bottom = false;
                    if ($longest[$list[$i]] > $below) {
                        $below = $longest[$list[$i]];
                        $next[$position] = $list[$i];
                    }
                }
            }
            $lead = $leads[$position] ?? null;
            $longest[$position] = ($lead ?? 0) + $below;
            if ($lead === null) {
                $withoutLead[] = $position;
            }
            if (!$bottom) {
                continue;
            }
            $total = $flow->totals[$position] - ($flow->phantom[$position] ?? 0);
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

    /** @return list<int> what is reached, everything after all that it is made of */
    private static function fromBelow(Adjacency $adjacency, Flow $flow, int $day): array
    {
        if (!$adjacency->ordered) {
            return array_reverse(TopologicalOrder::below($adjacency, $flow->start, $day));
        }
        $levels = $flow->levels;
        if (!array_is_list($levels)) {
            $reached = array_keys(array_filter($levels));
            rsort($reached);

            return $reached;
        }
        // Where all were walked they stand in order.
        $reached = [];
        for ($position = count($levels) - 1; $position >= $flow->start; $position--) {
            if ($levels[$position] !== 0) {
                $reached[] = $position;
            }
        }

        return $reached;
    }
}
