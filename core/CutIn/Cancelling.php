<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

use function is_int;

/**
 * Which receipts of a part are cancelled: by quantity, the latest first, as far as nobody wants them on any day from then on, and where the
 * fee is not more than they would cost as leftover.
 */
final class Cancelling
{
    /** @var list<Receipt> that are worth it, the latest first */
    private readonly array $worthIt;

    /** @var list<int> how many receipts of a part come from the day on */
    private readonly array $come;

    /** @var ?list<list<int>> of each that is worth it: by cut-in, the least of the evenings between the two */
    private ?array $between = null;

    /**
     * @param  list<string>  $notCancelled  documents
     * @param  list<int>  $evenings  what is there in the evening of each day as long as the change is not in
     * @param  list<int>  $lowest  from each day on, how low it gets after the cut-in, less the level of that day; empty for a part that
     *     ends: it only grows
     */
    public function __construct(Part $part, array $notCancelled, private readonly array $evenings, private readonly array $lowest)
    {
        $worthIt = array_values(
            array_filter(
                $part->receipts,
                static fn(Receipt $receipt): bool => $receipt->canBeCancelled() &&
                    !in_array($receipt->document, $notCancelled, true) &&
                    ($receipt->cancelFee->tenThousandths ?? 0) <=
                        FixedPoint::scale($part->disposal->tenThousandths, $receipt->quantity, Quantity::ONE),
            ),
        );
        usort($worthIt, static fn(Receipt $a, Receipt $b): int => $b->day <=> $a->day ?: strcmp($b->document, $a->document));
        $this->worthIt = $worthIt;
        $days = count($evenings);
        $come = [];
        foreach ($part->receipts as $receipt) {
            $day = min($days, max(0, $receipt->day));
            $come[$day] = ($come[$day] ?? 0) + 1;
        }
        $this->come = FromTheEnd::sums($come, $days);
    }

    /**
     * @param  int  $left  millionths that nobody wants in the end
     * @param  int  $level  with the cut-in on this day, to be added to $lowest
     * @return array<int, int> millionths by place among those that are worth it
     */
    public function quantities(int $cutIn, int $left, int $level): array
    {
        if ($left === 0 || $this->worthIt === []) {
            return [];
        }
        $between = $this->between ??= $this->between();
        $lowest = $this->lowest;
        $quantities = [];
        // Gone through for every day: comparisons in place of functions.
        foreach ($this->worthIt as $i => $receipt) {
            $from = $receipt->day > $cutIn ? $receipt->day : $cutIn;
            if (isset($lowest[$from]) && $level + $lowest[$from] < $left) {
                $left = $level + $lowest[$from];
            }
            if ($between[$i][$cutIn] < $left) {
                $left = $between[$i][$cutIn];
            }
            if ($left <= 0) {
                break;
            }
            $quantities[$i] = $left < $receipt->quantity ? $left : $receipt->quantity;
            $left -= $quantities[$i];
        }

        return $quantities;
    }

    /**
     * @param  array<int, int>  $quantities  as quantities() gives them
     * @return int ten-thousandths
     */
    public function fees(array $quantities): int
    {
        $fees = 0;
        foreach ($quantities as $i => $quantity) {
            $receipt = $this->worthIt[$i];
            $fees += $quantity === $receipt->quantity ? $receipt->cancelFee->tenThousandths ?? 0 : self::fee($receipt, $quantity);
        }

        // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
        return is_int($fees) ? $fees : throw new \OverflowException('A number becomes too large here to be kept exactly.');
    }

    /**
     * @param  array<int, int>  $quantities
     * @return list<Cancelled>
     */
    public function of(array $quantities): array
    {
        $cancelled = [];
        foreach ($quantities as $i => $quantity) {
            $receipt = $this->worthIt[$i];
            $cancelled[] = new Cancelled($receipt, $quantity, Money::ofTenThousandths(self::fee($receipt, $quantity)));
        }

        return $cancelled;
    }

    /**
     * @param  array<int, int>  $quantities
     * @return int how many come from the day on and are not cancelled
     */
    public function comeAnyway(int $cutIn, array $quantities): int
    {
        $come = $this->come[$cutIn];
        foreach ($quantities as $i => $quantity) {
            $receipt = $this->worthIt[$i];
            $come -= $receipt->day >= $cutIn && $quantity === $receipt->quantity ? 1 : 0;
        }

        return $come;
    }

    private static function fee(Receipt $receipt, int $quantity): int
    {
        $fee = $receipt->cancelFee->tenThousandths ?? 0;

        return $quantity === $receipt->quantity ? $fee : FixedPoint::scale($fee, $quantity, $receipt->quantity);
    }

    /** @return list<list<int>> */
    private function between(): array
    {
        return array_map(function (Receipt $receipt): array {
            $least = PHP_INT_MAX;
            $byCutIn = [];
            foreach ($this->evenings as $day => $there) {
                $byCutIn[] = $least;
                $least = $day >= $receipt->day && $there < $least ? $there : $least;
            }

            return $byCutIn;
        }, $this->worthIt);
    }
}
