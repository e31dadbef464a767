<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Adjacency\Adjacency;
use Orthotaxis\Core\Adjacency\Flow;
use Orthotaxis\Core\Adjacency\Loop;
use Orthotaxis\Core\Adjacency\RollUp;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Routing\UnitWork;

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
    /** Nothing that is done is less than nothing: half a unit more, and cut off, is rounded. */
    private const HALF = Quantity::ONE / 2;

    /**
     * @param  RollUp  $material  of what is at the bottom, with the longest chain of lead times
     * @param  array<int, int>  $quantities  millionths of what is made that are in one, by position
     * @param  array<int, UnitWork>  $works
     */
    private function __construct(public RollUp $material, public array $quantities, private array $works) {}

    /**
     * @param  array<int, ?int>  $costs  of one, by position, in ten-thousandths
     * @param  array<int, ?int>  $leads  working days
     * @param  array<int, UnitWork>  $works  what is done to one
     *
     * @throws Loop when something contains itself
     * @throws \OverflowException when a sum is too large to keep exactly
     */
    public static function of(Adjacency $adjacency, int $item, int $day, array $costs, array $leads, array $works): self
    {
        $flow = Flow::down($adjacency, $item, $day, $leads);
        $quantities = [];
        $totals = $flow->totals;
        foreach ($works as $position => $_) {
            $total = $totals[$position] ?? 0;
            if ($total !== 0) {
                // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
                $quantities[$position] = is_int($total) ? $total : $flow->total($position);
            }
        }

        // What is built of nothing is not known to cost nothing: it is named.
        return new self(RollUp::along($flow, $costs, null, $leads, made: $works), $quantities, $works);
    }

    /** What is done to all of one item that goes in. */
    public function share(int $position): UnitWork
    {
        return $this->works[$position]->times($this->quantities[$position]);
    }

    /** What is done at all levels: the sum of all shares, each rounded as UnitWork::times does it. */
    public function work(): UnitWork
    {
        // Written out part by part: this is asked of everything that is made.
        $labour = $setUp = $subcontract = $run = $setUpTime = $credit = 0;
        foreach ($this->quantities as $position => $millionths) {
            $one = $this->works[$position];
            $product = $one->labour * $millionths + self::HALF;
            // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
            $labour += is_int($product) ? intdiv($product, Quantity::ONE) : FixedPoint::scale($one->labour, $millionths, Quantity::ONE);
            $product = $one->setUp * $millionths + self::HALF;
            // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
            $setUp += is_int($product) ? intdiv($product, Quantity::ONE) : FixedPoint::scale($one->setUp, $millionths, Quantity::ONE);
            $product = $one->subcontract * $millionths + self::HALF;
            // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
            $subcontract += is_int($product)
                ? intdiv($product, Quantity::ONE)
                : FixedPoint::scale($one->subcontract, $millionths, Quantity::ONE);
            $product = $one->run * $millionths + self::HALF;
            // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
            $run += is_int($product) ? intdiv($product, Quantity::ONE) : FixedPoint::scale($one->run, $millionths, Quantity::ONE);
            $product = $one->setUpTime * $millionths + self::HALF;
            // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
            $setUpTime += is_int($product)
                ? intdiv($product, Quantity::ONE)
                : FixedPoint::scale($one->setUpTime, $millionths, Quantity::ONE);
            if ($one->credit !== 0) {
                $product = $one->credit * $millionths + self::HALF;
                // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
                $credit += is_int($product) ? intdiv($product, Quantity::ONE) : FixedPoint::scale($one->credit, $millionths, Quantity::ONE);
            }
        }

        return UnitWork::ofSums($labour, $setUp, $subcontract, $run, $setUpTime, $credit);
    }

    /** Material and work, in ten-thousandths. */
    public function total(): int
    {
        return FixedPoint::add($this->material->cost, $this->work()->total());
    }
}
