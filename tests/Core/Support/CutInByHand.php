<?php

declare(strict_types=1);

namespace Tests\Core\Support;

use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\OpenOrder;
use Orthotaxis\Core\CutIn\Pair;
use Orthotaxis\Core\CutIn\Part;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

/**
 * What one day to cut in costs, reckoned as one would on paper: the store is gone through from today to the day with the
 * old part, and from the day on with the new one. Nothing is prepared for other days, so it is slow and plain. Pieces and
 * money are halves and wholes, which floating point keeps exactly.
 */
final readonly class CutInByHand
{
    public function __construct(private Pair $pair, private Levers $levers) {}

    /**
     * @return array{leftover: float, cancellation: float, shortage: float, recurring: float, late: int} whole units of money; receipts
     * of the old part from the day on
     */
    public function cost(int $day): array
    {
        $old = $this->pair->old;
        [$there, $lacked] = $this->useUpOld($day);
        $cancellation = 0.0;
        $late = 0;
        foreach ($old->receipts as $receipt) {
            if ($receipt->day < $day) {
                continue;
            }
            $late++;
            if ($receipt->cancelFee !== null && !in_array($receipt->document, $this->levers->notCancelled, true)) {
                $cancellation += self::whole($receipt->cancelFee);
            } else {
                $there += self::pieces($receipt->quantity);
            }
        }
        $more = self::whole($this->pair->new->cost) * self::pieces($this->pair->ratio) - self::whole($old->cost);

        return [
            'leftover' => max(0.0, $there - $this->kept()) * self::whole($old->disposal),
            'cancellation' => $cancellation,
            'shortage' => $lacked * self::whole($old->expedite) + $this->beginWithNew($day),
            'recurring' => $more * array_sum(array_map(self::pieces(...), array_slice($this->pair->demand, $day))),
            'late' => $late,
        ];
    }

    /** The first day on which the old part is wanted and is not there, when it is used all along. */
    public function runOut(): ?int
    {
        foreach (array_keys($this->pair->demand) as $day) {
            if ($this->useUpOld($day + 1)[1] > 0) {
                return $day;
            }
        }

        return null;
    }

    /** @param  list<OpenOrder>  $orders  begun before the day and not done by it */
    public static function underWay(array $orders, int $day): int
    {
        return count(array_filter($orders, static fn(OpenOrder $order): bool => $order->first < $day && $day < $order->done));
    }

    /** @return array{float, float} pieces of the old part there in the morning of the day, and lacked until then */
    private function useUpOld(int $day): array
    {
        $there = self::pieces($this->pair->old->stock);
        $lacked = 0.0;
        for ($now = 0; $now < $day; $now++) {
            $there += self::comes($this->pair->old, $now);
            $wanted = self::pieces($this->pair->demand[$now]);
            $taken = min($wanted, max(0.0, $there - $this->kept()));
            $there -= $taken;
            $lacked += $wanted - $taken;
        }

        return [$there, $lacked];
    }

    /** What it costs that the new part is not there from the day on: hurried along where it has to be, or where that is cheaper. */
    private function beginWithNew(int $day): float
    {
        $new = $this->pair->new;
        $calm = $this->lackedOfNew($day, $new->leadDays) * self::whole($new->expedite);
        $expediting = $this->pair->expediting;
        if ($expediting === null) {
            return $calm;
        }
        $hurried =
            $this->lackedOfNew($day, max(0, $new->leadDays - $expediting->days)) * self::whole($new->expedite) +
            self::whole($expediting->fee);
        $first = $new->stock > 0 ? 0 : min([$new->leadDays, ...array_map(static fn($receipt): int => $receipt->day, $new->receipts)]);

        return $day < $first ? $hurried : min($calm, $hurried);
    }

    private function lackedOfNew(int $day, int $arrives): float
    {
        $there = self::pieces($this->pair->new->stock);
        $lacked = 0.0;
        for ($now = 0; $now < min($arrives, count($this->pair->demand)); $now++) {
            $there += self::comes($this->pair->new, $now);
            if ($now >= $day) {
                $wanted = self::pieces($this->pair->demand[$now]) * self::pieces($this->pair->ratio);
                $lacked += max(0.0, $wanted - $there);
                $there = max(0.0, $there - $wanted);
            }
        }

        return $lacked;
    }

    private static function comes(Part $part, int $day): float
    {
        return array_sum(
            array_map(static fn($receipt): float => $receipt->day === $day ? self::pieces($receipt->quantity) : 0.0, $part->receipts),
        );
    }

    private function kept(): float
    {
        return self::pieces($this->levers->keep[$this->pair->old->number] ?? 0);
    }

    private static function pieces(int $millionths): float
    {
        return $millionths / Quantity::ONE;
    }

    private static function whole(Money $amount): float
    {
        return $amount->tenThousandths / 10_000;
    }
}
