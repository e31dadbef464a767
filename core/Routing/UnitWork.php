<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;

/**
 * What is done to one unit, as bare numbers for whoever adds up many: money in ten-thousandths, time in thousandths of a minute.
 * What comes out as by-products is worth something: that is taken off.
 */
final readonly class UnitWork
{
    private function __construct(
        public int $labour,
        public int $setUp,
        public int $subcontract,
        public int $run,
        public int $setUpTime,
        public int $credit,
    ) {}

    /** @param  int  $credit  what its by-products are worth, in ten-thousandths */
    public static function of(RoutingCost $cost, int $credit = 0): self
    {
        return new self(
            labour: $cost->labour()->tenThousandths,
            setUp: $cost->setUpCost()->tenThousandths,
            subcontract: $cost->subcontract()->tenThousandths,
            run: $cost->run->thousandths,
            setUpTime: $cost->setUp->thousandths,
            credit: $credit,
        );
    }

    /**
     * @param  int|float  ...$sums  in the order of the fields; a float where PHP could not keep it whole
     *
     * @throws \OverflowException when one does not fit
     */
    public static function ofSums(int|float ...$sums): self
    {
        $whole = array_filter($sums, is_int(...));

        return count($whole) === 6
            ? new self(...$whole)
            : throw new \OverflowException('A number becomes too large here to be kept exactly.');
    }

    /** So many units of it, each part rounded once, half away from zero. */
    public function times(int $millionths): self
    {
        return new self(
            labour: self::share($this->labour, $millionths),
            setUp: self::share($this->setUp, $millionths),
            subcontract: self::share($this->subcontract, $millionths),
            run: self::share($this->run, $millionths),
            setUpTime: self::share($this->setUpTime, $millionths),
            credit: self::share($this->credit, $millionths),
        );
    }

    public function total(): int
    {
        return FixedPoint::sum($this->labour, $this->setUp, $this->subcontract, -$this->credit);
    }

    private static function share(int $one, int $millionths): int
    {
        return FixedPoint::scale($one, $millionths, Quantity::ONE);
    }
}
