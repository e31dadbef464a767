<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Impact;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

/** What a change costs once, what it costs or saves every year, and how soon that pays back. All sums are exact. */
final readonly class Economics
{
    /**
     * @param  array<string, Money>  $oneTimeByItem  under '' what belongs to no item
     * @param  array<string, Money>  $yearlyByItem
     */
    private function __construct(
        public Money $oneTime,
        public Money $yearly,
        public array $oneTimeByItem,
        public array $yearlyByItem,
        /** Whole months until what it saves has paid what it cost, rounded up; null when it never does. */
        public ?int $paybackMonths,
    ) {}

    /**
     * @param  iterable<array{string, Money}>  $once  item number or '', and what is to be paid
     * @param  iterable<array{string, Money, Quantity}>  $recurring  item number, what one unit costs more, units a year
     */
    public static function of(iterable $once, iterable $recurring): self
    {
        $oneTime = $yearly = Money::zero();
        $oneTimeByItem = $yearlyByItem = [];
        foreach ($once as [$item, $amount]) {
            $oneTime = $oneTime->plus($amount);
            $oneTimeByItem[$item] = ($oneTimeByItem[$item] ?? Money::zero())->plus($amount);
        }
        foreach ($recurring as [$item, $perUnit, $units]) {
            $amount = $perUnit->times($units);
            $yearly = $yearly->plus($amount);
            $yearlyByItem[$item] = ($yearlyByItem[$item] ?? Money::zero())->plus($amount);
        }

        return new self($oneTime, $yearly, $oneTimeByItem, $yearlyByItem, self::payback($oneTime, $yearly));
    }

    private static function payback(Money $oneTime, Money $yearly): ?int
    {
        if ($oneTime->tenThousandths <= 0) {
            return $yearly->tenThousandths > 0 ? null : 0;
        }
        $saving = -$yearly->tenThousandths;

        return $saving <= 0 ? null : intdiv(FixedPoint::sum(FixedPoint::scale($oneTime->tenThousandths, 12, 1), $saving, -1), $saving);
    }
}
