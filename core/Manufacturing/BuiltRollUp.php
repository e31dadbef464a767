<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Adjacency\Adjacency;
use Orthotaxis\Core\Adjacency\Flow;
use Orthotaxis\Core\Adjacency\Loop;
use Orthotaxis\Core\Adjacency\RollUp;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Routing\RoutingCost;

/**
 * What one of an item costs and takes through all levels as plants build it: the material that is bought, and the work at each level so
 * often as that is made. What is made costs what is in it and what is done to it, whatever its own standard cost says; what is done to a
 * phantom is done where its parent is made.
 *
 * One module has two heads; a head takes 2.00 of labour and a tube of 4.90. The module costs 9.80 of material and 4.00 of labour, and what
 * its own operations take.
 */
final readonly class BuiltRollUp
{
    /**
     * @param  RollUp  $material  of what is at the bottom, with the longest chain of lead times
     * @param  array<int, BuiltShare>  $shares  by position, of what has a routing
     */
    private function __construct(public RollUp $material, public array $shares) {}

    /**
     * @param  array<int, ?int>  $costs  of one, by position, in ten-thousandths
     * @param  array<int, ?int>  $leads  working days
     * @param  array<int, RoutingCost>  $works  of one
     *
     * @throws Loop when something contains itself
     * @throws \OverflowException when a sum is too large to keep exactly
     */
    public static function of(Adjacency $adjacency, int $item, int $day, array $costs, array $leads, array $works): self
    {
        $flow = Flow::down($adjacency, $item, $day);
        $shares = [];
        foreach ($works as $position => $work) {
            if (($flow->totals[$position] ?? 0) !== 0) {
                $shares[$position] = BuiltShare::of(Quantity::ofMillionths($flow->total($position)), $work);
            }
        }

        // What is built of nothing is not known to cost nothing: it is named.
        return new self(RollUp::of($adjacency, $item, $day, array_diff_key($costs, $works), [], $leads), $shares);
    }

    /** @param  \Closure(BuiltShare): int  $part */
    public function sum(\Closure $part): int
    {
        return array_reduce($this->shares, static fn(int $sum, BuiltShare $share): int => FixedPoint::add($sum, $part($share)), 0);
    }

    /** Material and work, in ten-thousandths. */
    public function total(): int
    {
        return FixedPoint::add($this->material->cost, $this->sum(static fn(BuiltShare $share): int => $share->total()));
    }
}
