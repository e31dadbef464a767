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

    /** @var list<array{int, int, int}> of each that is worth it: day, quantity and fee, as plain numbers: gone through for every day */
    private readonly array $plain;

    /** @var list<int> how many receipts of a part come from the day on */
    public readonly array $come;

    /** Whether any receipt is worth it. */
    public readonly bool $isWorthIt;

    /** @var ?list<list<int>> of each that is worth it: by days from its own to the cut-in, the least of the evenings between the two */
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
        $this->isWorthIt = $worthIt !== [];
        $this->plain = array_map(
            static fn(Receipt $receipt): array => [$receipt->day, $receipt->quantity, $receipt->cancelFee->tenThousandths ?? 0],
            $worthIt,
        );
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
     * @return array{int, int, int, int, int} how many of those that are worth it; millionths of the last of them, the others whole; what
     *     is left then; fees in ten-thousandths; how many receipts come from the day on and are not cancelled
     */
    public function on(int $cutIn, int $left, int $level): array
    {
        $come = $this->come[$cutIn];
        if ($left === 0 || !$this->isWorthIt) {
            return [0, 0, $left, 0, $come];
        }
        $between = $this->between ??= $this->between();
        $lowest = $this->lowest;
        $cancelled = $last = $fees = 0;
        $most = $left;
        // Gone through for every day: comparisons in place of functions.
        foreach ($this->plain as $i => [$day, $quantity, $fee]) {
            $from = $day > $cutIn ? $day : $cutIn;
            if (isset($lowest[$from]) && $level + $lowest[$from] < $most) {
                $most = $level + $lowest[$from];
            }
            if ($cutIn > $day && $between[$i][$cutIn - $day] < $most) {
                $most = $between[$i][$cutIn - $day];
            }
            if ($most <= 0) {
                break;
            }
            $cancelled = $i + 1;
            if ($most < $quantity) {
                $last = $most;
                $left -= $most;
                $fees += self::fee($this->worthIt[$i], $most);
                break;
            }
            $last = $quantity;
            $left -= $quantity;
            $most -= $quantity;
            $fees += $fee;
            $come -= $day >= $cutIn ? 1 : 0;
        }

        // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
        is_int($fees) || throw new \OverflowException('A number becomes too large here to be kept exactly.');

        return [$cancelled, $last, $left, $fees, $come];
    }

    /**
     * @param  int  $cancelled  how many of those that are worth it
     * @param  int  $last  millionths of the last of them
     * @return list<Cancelled>
     */
    public function of(int $cancelled, int $last): array
    {
        $all = [];
        foreach (array_slice($this->worthIt, 0, $cancelled) as $i => $receipt) {
            $quantity = $i === $cancelled - 1 ? $last : $receipt->quantity;
            $all[] = new Cancelled($receipt, $quantity, Money::ofTenThousandths(self::fee($receipt, $quantity)));
        }

        return $all;
    }

    private static function fee(Receipt $receipt, int $quantity): int
    {
        $fee = $receipt->cancelFee->tenThousandths ?? 0;

        return $quantity === $receipt->quantity ? $fee : FixedPoint::scale($fee, $quantity, $receipt->quantity);
    }

    /** @return list<list<int>> */
    private function between(): array
    {
        $days = count($this->evenings);
        $between = [];
        foreach ($this->plain as [$first]) {
            $least = PHP_INT_MAX;
            $byCutIn = [];
            for ($day = $first; $day < $days; $day++) {
                $byCutIn[] = $least;
                $least = $this->evenings[$day] < $least ? $this->evenings[$day] : $least;
            }
            $between[] = $byCutIn;
        }

        return $between;
    }
}
