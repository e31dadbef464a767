<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Minutes;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

/**
 * What it costs and takes to make one unit: labour from the run times, the set-up shared by the batch, and what suppliers take.
 *
 * At 48.00 an hour, 15 minutes of set-up for a batch of 10 and 2.5 minutes of run for each unit are 1.20 and 2.00 for each unit. What
 * is not known (a rate, a supplier's price) is named and not counted as nothing.
 */
final readonly class RoutingCost
{
    private const THOUSANDTHS_OF_AN_HOUR = 60_000;

    /** @param  list<OperationCost>  $operations  by number */
    private function __construct(public array $operations, public Minutes $setUp, public Minutes $run) {}

    /** @param  array<string, Money>  $rates  of an hour, by work centre */
    public static function of(Routing $routing, array $rates): self
    {
        $costs = [];
        $setUp = $run = new Minutes();
        foreach ($routing as $operation) {
            $setUp = $setUp->plus($operation->setUp->over($routing->batch));
            $run = $run->plus(self::runOfUnit($operation, $routing->batch));
            $costs[] = $operation->isOutside() ? self::outside($operation) : self::inside($operation, $routing->batch, $rates);
        }

        return new self($costs, $setUp, $run);
    }

    public function labour(): Money
    {
        return $this->sum(static fn(OperationCost $cost): ?Money => $cost->labour);
    }

    public function setUpCost(): Money
    {
        return $this->sum(static fn(OperationCost $cost): ?Money => $cost->setUp);
    }

    public function subcontract(): Money
    {
        return $this->sum(static fn(OperationCost $cost): ?Money => $cost->subcontract);
    }

    public function total(): Money
    {
        return $this->sum(static fn(OperationCost $cost): Money => $cost->total());
    }

    /** @return list<string> what is not known, in words */
    public function missing(): array
    {
        return array_values(array_filter(array_column($this->operations, 'missing')));
    }

    private static function runOfUnit(Operation $operation, Quantity $batch): Minutes
    {
        return $operation->per === RunPer::Batch ? $operation->run->over($batch) : $operation->run;
    }

    private static function outside(Operation $operation): OperationCost
    {
        return new OperationCost(
            $operation,
            labour: null,
            setUp: null,
            subcontract: $operation->cost,
            missing: $operation->cost === null
                ? "Operation {$operation->number}: nobody knows what {$operation->supplier} takes for it."
                : '',
        );
    }

    /** @param  array<string, Money>  $rates */
    private static function inside(Operation $operation, Quantity $batch, array $rates): OperationCost
    {
        $rate = $rates[$operation->workCentre] ?? null;
        if ($rate === null) {
            $missing = "Operation {$operation->number}: {$operation->workCentre} has no rate.";

            return new OperationCost($operation, labour: null, setUp: null, subcontract: null, missing: $missing);
        }
        // Of the batch first, so that what is rounded is the amount and not the time.
        $share = $operation->per === RunPer::Batch ? $batch : Quantity::one();

        return new OperationCost(
            $operation,
            labour: self::perUnit($operation->run, $rate, $share),
            setUp: self::perUnit($operation->setUp, $rate, $batch),
            subcontract: null,
        );
    }

    /** Rounded once, half away from zero. */
    private static function perUnit(Minutes $minutes, Money $rate, Quantity $units): Money
    {
        $ofAll = FixedPoint::scale($minutes->thousandths, $rate->tenThousandths, 1);

        return Money::ofTenThousandths(
            FixedPoint::scale($ofAll, Quantity::ONE, FixedPoint::scale(self::THOUSANDTHS_OF_AN_HOUR, $units->millionths, 1)),
        );
    }

    /** @param  \Closure(OperationCost): ?Money  $part */
    private function sum(\Closure $part): Money
    {
        return array_reduce(
            $this->operations,
            static fn(Money $sum, OperationCost $cost): Money => $sum->plus($part($cost) ?? Money::zero()),
            Money::zero(),
        );
    }
}
