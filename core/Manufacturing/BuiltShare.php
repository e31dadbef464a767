<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Minutes;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Routing\RoutingCost;

/** What is done to one item that goes into another, so often as it does. Money in ten-thousandths. */
final readonly class BuiltShare
{
    private function __construct(
        public Quantity $quantity,
        public int $labour,
        public int $setUp,
        public int $subcontract,
        public Minutes $run,
        public Minutes $setUpTime,
    ) {}

    public static function of(Quantity $quantity, RoutingCost $work): self
    {
        $times = static fn(Money $one): int => FixedPoint::scale($one->tenThousandths, $quantity->millionths, Quantity::ONE);

        return new self(
            quantity: $quantity,
            labour: $times($work->labour()),
            setUp: $times($work->setUpCost()),
            subcontract: $times($work->subcontract()),
            run: $work->run->times($quantity),
            setUpTime: $work->setUp->times($quantity),
        );
    }

    public function total(): int
    {
        return FixedPoint::sum($this->labour, $this->setUp, $this->subcontract);
    }
}
