<?php

declare(strict_types=1);

namespace Tests\Core\Support;

use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\OpenOrder;
use Orthotaxis\Core\CutIn\Part;
use Orthotaxis\Core\CutIn\Receipt;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

/**
 * What one day to cut in costs for one part, reckoned as a store keeper would: the store is gone through from today to the last day, once
 * for every day and every piece that might be cancelled. Nothing is prepared for other days, so it is slow and plain. At a plant that
 * works every day; pieces and money are wholes, which floating point keeps exactly.
 */
final readonly class CutInByHand
{
    public function __construct(private Part $part, private Levers $levers) {}

    /** @return array{leftover: float, cancellation: float, shortage: float, recurring: float, disturbed: int, sustained: bool} */
    public function cost(int $cutIn): array
    {
        [$hurried, $missing, $lacks] = $this->lacks($cutIn);
        [$left, $fees, $touched] = $this->left($cutIn);
        $recurring = 0.0;
        foreach (array_keys($this->part->demand->until) as $day) {
            $recurring +=
                $day < $cutIn ? 0.0 : self::pieces($this->part->demand->from[$day]) - self::pieces($this->part->demand->until[$day]);
        }
        $expediting = $this->part->expediting;

        return [
            'leftover' => $left * self::whole($this->part->disposal),
            'cancellation' => $fees,
            'shortage' =>
                $missing * self::whole($this->part->penalty) +
                ($expediting === null || $hurried === 0.0
                    ? 0.0
                    : $hurried * self::whole($expediting->premium) + self::whole($expediting->fee)),
            'recurring' => $recurring * self::whole($this->part->cost),
            'disturbed' => $touched,
            'sustained' => !$lacks,
        ];
    }

    /** The first day on which what is there and what comes is less than what is wanted as if nothing were changed or ordered. */
    public function runOut(): ?int
    {
        $there = self::pieces($this->part->stock) - self::pieces($this->part->keep);
        foreach (array_keys($this->part->demand->until) as $day) {
            $wanted = $this->old($day);
            $there += $this->comes($day) - $wanted;
            if ($there < 0.0 && $wanted > 0.0) {
                return $day;
            }
        }

        return null;
    }

    /** @param  list<OpenOrder>  $orders  begun before the day and not done by it */
    public static function underWay(array $orders, int $day): int
    {
        return count(
            array_filter($orders, static fn(OpenOrder $order): bool => $order->isStarted && $order->first < $day && $day < $order->done),
        );
    }

    /** @return array{float, float, bool} pieces hurried, pieces missing, whether any is missing that the change itself wants */
    private function lacks(int $cutIn): array
    {
        $can = $this->part->expediting?->most === null ? INF : self::pieces($this->part->expediting->most);
        $hurried = $missing = 0.0;
        $lacks = false;
        foreach ($this->walk($cutIn)['short'] as [$day, $pieces, $byChange]) {
            $ordered = $byChange && !$this->levers->atRisk ? $this->levers->approvalDays : 0;
            $sooner = $this->part->expediting;
            $inTime = $sooner !== null && $day >= $ordered + max(0, $this->part->leadDays - $sooner->days);
            $quick = $inTime ? min($pieces, $can) : 0.0;
            $can -= $quick;
            $hurried += $quick;
            $missing += $pieces - $quick;
            $lacks = $lacks || ($pieces > $quick && $day >= $cutIn && $this->wantsMore());
        }

        return [$hurried, $missing, $lacks];
    }

    /** @return array{float, float, int} pieces that nobody wants; fees paid; documents touched */
    private function left(int $cutIn): array
    {
        $ends = !$this->goesOn();
        $cancelled = [];
        $left = $this->leftWith($cutIn, $cancelled);
        $receipts = $this->part->receipts;
        usort($receipts, static fn(Receipt $a, Receipt $b): int => $b->day <=> $a->day ?: strcmp($b->document, $a->document));
        foreach ($receipts as $receipt) {
            $whole = self::pieces($receipt->quantity);
            $isWorthIt =
                $receipt->cancelFee !== null &&
                !in_array($receipt->document, $this->levers->notCancelled, true) &&
                self::whole($receipt->cancelFee) <= $whole * self::whole($this->part->disposal);
            // Piece by piece, as long as one less is left over and on no evening less than nothing is there.
            for ($piece = 1; $isWorthIt && $piece <= $whole; $piece++) {
                $tried = [$receipt->document => $piece] + $cancelled;
                if ($this->leftWith($cutIn, $tried) >= $left || $this->hurts($cutIn, $receipt, $cancelled)) {
                    break;
                }
                $cancelled = $tried;
                $left = $this->leftWith($cutIn, $cancelled);
            }
        }
        $fees = 0.0;
        $touched = 0;
        foreach ($this->part->receipts as $receipt) {
            $pieces = $cancelled[$receipt->document] ?? 0;
            if ($pieces > 0) {
                $fees += (self::whole($receipt->cancelFee ?? Money::zero()) * $pieces) / self::pieces($receipt->quantity);
                $touched++;
            }
            $touched += $ends && $receipt->day >= $cutIn && $pieces < self::pieces($receipt->quantity) ? 1 : 0;
        }

        return [$left, $fees, $touched];
    }

    /** @param  array<string, int>  $cancelled  pieces by document */
    private function leftWith(int $cutIn, array $cancelled): float
    {
        if (array_sum($this->part->demand->until) === 0) {
            return 0.0;
        }
        $walk = $this->walk($cutIn);
        $there = $walk['morning'];
        $wanted = 0.0;
        foreach (array_keys($this->part->demand->until) as $day) {
            $wanted += ($day < $cutIn ? 0.0 : $this->new($day)) + $this->new($day);
        }
        foreach ($this->part->receipts as $receipt) {
            $there += ($receipt->day >= $cutIn ? self::pieces($receipt->quantity) : 0.0) - ($cancelled[$receipt->document] ?? 0);
        }

        return max(0.0, $there - ($this->goesOn() ? $wanted : 0.0));
    }

    /**
     * Whether one piece less of a receipt makes some evening from then on poorer than nothing.
     *
     * @param  array<string, int>  $cancelled
     */
    private function hurts(int $cutIn, Receipt $receipt, array $cancelled): bool
    {
        $walk = $this->walk($cutIn);
        $there = $walk['morning'];
        $evenings = array_slice($walk['evenings'], 0, $cutIn);
        // From the cut-in on as if nothing were ordered: what lacks later lacks because of what is cancelled.
        for ($day = $cutIn; $day < count($walk['evenings']); $day++) {
            $evenings[] = $there += $this->comes($day) - $this->new($day);
        }
        foreach ($evenings as $day => $there) {
            foreach ($this->part->receipts as $other) {
                $there -= $other->day <= $day ? $cancelled[$other->document] ?? 0 : 0;
            }
            if ($day >= $receipt->day && $there < 1.0 && ($day < $cutIn || $this->goesOn())) {
                return true;
            }
        }

        return false;
    }

    /** @return array{morning: float, evenings: list<float>, short: list<array{int, float, bool}>} */
    private function walk(int $cutIn): array
    {
        $there = self::pieces($this->part->stock) - self::pieces($this->part->keep);
        $safety = $this->goesOn() ? self::pieces($this->part->safety) : 0.0;
        $lead = (int) $this->part->leadDays;
        $released = ($this->levers->atRisk ? 0 : $this->levers->approvalDays) + $lead;
        $morning = 0.0;
        $evenings = $short = [];
        foreach (array_keys($this->part->demand->until) as $day) {
            $morning = $day === $cutIn ? $there : $morning;
            $there += $this->comes($day);
            $wanted = $day < $cutIn ? $this->old($day) : $this->new($day);
            $byChange = $day < $cutIn ? 0.0 : max(0.0, $this->new($day) - $this->old($day));
            $usable = max(0.0, $there);
            $debt = min(0.0, $there);
            if ($day < $cutIn && $day >= $lead && $wanted + $safety > $usable && ($wanted > 0.0 || $safety > 0.0)) {
                $there += $this->lot($wanted + $safety - $usable) - $wanted;
            } elseif ($wanted > $usable) {
                $lacking = $wanted - $usable;
                // From its lead time on everything old is reordered, from the release and the lead time on also what the change wants.
                $change = min($lacking, $byChange);
                $still = ($day >= $lead ? $change : $lacking) - ($day >= $released ? $change : 0.0);
                if ($still > 0.0) {
                    $short[] = [$day, $still, $change > 0.0];
                }
                $there = $debt;
            } else {
                $there -= $wanted;
            }
            $evenings[] = $there;
        }

        return ['morning' => $morning, 'evenings' => $evenings, 'short' => $short];
    }

    /** Pieces ordered when so many are lacking. */
    private function lot(float $lacking): float
    {
        $ordered = max($lacking, self::pieces($this->part->lot->minimum));
        $multiple = self::pieces($this->part->lot->multiple);

        return $multiple === 0.0 ? $ordered : ceil($ordered / $multiple) * $multiple;
    }

    private function old(int $day): float
    {
        return self::pieces($this->part->demand->until[$day]) + self::pieces($this->part->demand->others[$day]);
    }

    private function new(int $day): float
    {
        return self::pieces($this->part->demand->from[$day]) + self::pieces($this->part->demand->others[$day]);
    }

    private function goesOn(): bool
    {
        return array_sum($this->part->demand->from) + array_sum($this->part->demand->others) > 0;
    }

    private function wantsMore(): bool
    {
        foreach (array_keys($this->part->demand->until) as $day) {
            if ($this->new($day) > $this->old($day)) {
                return true;
            }
        }

        return false;
    }

    private function comes(int $day): float
    {
        return array_sum(
            array_map(static fn(Receipt $r): float => $r->day === $day ? self::pieces($r->quantity) : 0.0, $this->part->receipts),
        );
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
