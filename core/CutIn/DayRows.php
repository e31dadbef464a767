<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

/**
 * The cost of one day of cutting in, down to the single order. The rows of a part add up to that part of CutInDay, exactly.
 * What is used first came first, so what is left over came last; of what is wanted on a day, the last in the list runs short.
 *
 * @phpstan-type Share array{document: string, position: ?int, day: ?int, quantity: int}
 */
final readonly class DayRows
{
    /**
     * @param  list<Pair>  $pairs
     * @param  list<list<Peg>>  $pegs  of each pair: what its demand is made of
     * @param  list<OpenOrder>  $orders
     * @return list<CostRow>
     */
    public static function of(array $pairs, array $pegs, array $orders, Levers $levers, int $day): array
    {
        $rows = [];
        foreach ($pairs as $i => $pair) {
            $more = FixedPoint::add(
                FixedPoint::scale($pair->new->cost->tenThousandths, $pair->ratio, Quantity::ONE),
                -$pair->old->cost->tenThousandths,
            );
            $byDay = [];
            foreach ($pegs[$i] as $peg) {
                $byDay[$peg->day][] = $peg;
            }
            [$left, $short] = self::old($pair, $byDay, $levers, $day);
            $course = new PairCourse($pair, $levers);
            $expedited = $course->isExpedited($day);
            $lead = $course->leadDays($expedited);
            $rows = [
                ...$rows,
                ...self::priced(CostPart::Leftover, $i, false, $left, $pair->old->disposal),
                ...self::cancelled($pair, $i, $levers, $day),
                ...self::priced(CostPart::Shortage, $i, false, $short, $pair->old->expedite),
                ...self::priced(CostPart::Shortage, $i, true, self::newShort($pair, $byDay, $day, $lead), $pair->new->expedite),
                ...$expedited && $pair->expediting !== null
                    ? [
                        new CostRow(
                            part: CostPart::Shortage,
                            pair: $i,
                            isNew: true,
                            document: '',
                            position: null,
                            day: $lead,
                            quantity: 0,
                            amount: $pair->expediting->fee,
                        ),
                    ]
                    : [],
                ...self::priced(CostPart::Recurring, $i, false, self::after($pegs[$i], $day), Money::ofTenThousandths($more)),
            ];
        }
        foreach ($orders as $order) {
            if ($order->first < $day && $day < $order->done) {
                $rows[] = new CostRow(
                    part: CostPart::Straddling,
                    pair: -1,
                    isNew: false,
                    document: $order->document,
                    position: null,
                    day: $order->done,
                    quantity: 0,
                    amount: $levers->perStraddle,
                );
            }
        }

        return $rows;
    }

    /**
     * @param  array<int, list<Peg>>  $byDay
     * @return array{list<Share>, list<Share>} what is left of the old part; what of it ran short before the day
     */
    private static function old(Pair $pair, array $byDay, Levers $levers, int $cutIn): array
    {
        $coming = [];
        foreach ($pair->old->receipts as $receipt) {
            $coming[max(0, $receipt->day)][] = $receipt;
        }
        // As in PairCourse: what is to be kept is filled up first.
        $stock = FixedPoint::subtract($pair->old->stock, $levers->keep[$pair->old->number] ?? 0);
        $short = [];
        for ($day = 0; $day < $cutIn; $day++) {
            foreach ($coming[$day] ?? [] as $receipt) {
                $stock = FixedPoint::add($stock, $receipt->quantity);
            }
            $lacking = FixedPoint::subtract($pair->demand[$day], max(0, $stock));
            if ($lacking > 0) {
                array_push($short, ...self::last(array_map(self::ofPeg(...), $byDay[$day] ?? []), $lacking));
            }
            $stock = $lacking > 0 ? min(0, $stock) : FixedPoint::subtract($stock, $pair->demand[$day]);
        }
        // In the order they are used up: what is there, what came before the day, what still comes and cannot be stopped.
        $supplies = [self::share('', null, $pair->old->stock)];
        ksort($coming);
        foreach (array_merge(...$coming) as $receipt) {
            // What is overdue comes today.
            $stillComes = max(0, $receipt->day) >= $cutIn;
            if ($stillComes && self::isStopped($receipt, $levers)) {
                continue;
            }
            $supplies[] = self::share($receipt->document, $receipt->day, $receipt->quantity);
            $stock = $stillComes ? FixedPoint::add($stock, $receipt->quantity) : $stock;
        }

        return [self::last($supplies, max(0, $stock)), $short];
    }

    /** @return list<CostRow> */
    private static function cancelled(Pair $pair, int $i, Levers $levers, int $cutIn): array
    {
        $rows = [];
        foreach ($pair->old->receipts as $receipt) {
            if (max(0, $receipt->day) >= $cutIn && $receipt->cancelFee !== null && self::isStopped($receipt, $levers)) {
                $rows[] = new CostRow(
                    part: CostPart::Cancellation,
                    pair: $i,
                    isNew: false,
                    document: $receipt->document,
                    position: null,
                    day: $receipt->day,
                    quantity: $receipt->quantity,
                    amount: $receipt->cancelFee,
                );
            }
        }

        return $rows;
    }

    private static function isStopped(Receipt $receipt, Levers $levers): bool
    {
        return $receipt->cancelFee !== null && !in_array($receipt->document, $levers->notCancelled, true);
    }

    /**
     * @param  array<int, list<Peg>>  $byDay
     * @return list<Share> what the new part lacks from the day on, until a new order of it can arrive
     */
    private static function newShort(Pair $pair, array $byDay, int $cutIn, int $leadDays): array
    {
        $coming = [];
        foreach ($pair->new->receipts as $receipt) {
            $coming[max(0, $receipt->day)] = FixedPoint::add($coming[max(0, $receipt->day)] ?? 0, $receipt->quantity);
        }
        $stock = $pair->new->stock;
        $short = [];
        for ($day = 0, $until = min(count($pair->demand), $leadDays); $day < $until; $day++) {
            $stock = FixedPoint::add($stock, $coming[$day] ?? 0);
            if ($day < $cutIn) {
                continue;
            }
            $stock = FixedPoint::subtract($stock, FixedPoint::scale($pair->demand[$day], $pair->ratio, Quantity::ONE));
            if ($stock < 0) {
                $wanted = array_map(
                    static fn(Peg $peg): array => ['quantity' => FixedPoint::scale($peg->quantity, $pair->ratio, Quantity::ONE)] +
                        self::ofPeg($peg),
                    $byDay[$day] ?? [],
                );
                array_push($short, ...self::last($wanted, -$stock));
                $stock = 0;
            }
        }

        return $short;
    }

    /**
     * @param  list<Peg>  $pegs
     * @return list<Share> what is made of the part from the day on, each once
     */
    private static function after(array $pegs, int $cutIn): array
    {
        $sums = [];
        foreach ($pegs as $peg) {
            if ($peg->day >= $cutIn) {
                $key = "{$peg->position} {$peg->document}";
                $sums[$key] ??= ['quantity' => 0, 'day' => $peg->document === '' ? null : $peg->day] + self::ofPeg($peg);
                $sums[$key]['quantity'] = FixedPoint::add($sums[$key]['quantity'], $peg->quantity);
            }
        }

        return array_values($sums);
    }

    /**
     * So much from the end of a list. What the list lacks by rounding is laid on its last.
     *
     * @param  list<Share>  $shares
     * @return list<Share> in the order of the list
     */
    private static function last(array $shares, int $quantity): array
    {
        $taken = [];
        for ($i = count($shares) - 1; $i >= 0 && $quantity > 0; $i--) {
            $part = $i === 0 ? $quantity : min($quantity, $shares[$i]['quantity']);
            if ($part > 0) {
                $taken[] = ['quantity' => $part] + $shares[$i];
                $quantity -= $part;
            }
        }

        return array_reverse($taken);
    }

    /**
     * @param  list<Share>  $shares
     * @return list<CostRow> whose amounts add up to the price of all of it together
     */
    private static function priced(CostPart $part, int $pair, bool $isNew, array $shares, Money $each): array
    {
        $rows = [];
        $sum = $paid = 0;
        foreach ($shares as $share) {
            $sum = FixedPoint::add($sum, $share['quantity']);
            $now = FixedPoint::scale($each->tenThousandths, $sum, Quantity::ONE);
            $rows[] = new CostRow(
                part: $part,
                pair: $pair,
                isNew: $isNew,
                document: $share['document'],
                position: $share['position'],
                day: $share['day'],
                quantity: $share['quantity'],
                amount: Money::ofTenThousandths($now - $paid),
            );
            $paid = $now;
        }

        return $rows;
    }

    /** @return Share */
    private static function ofPeg(Peg $peg): array
    {
        return ['document' => $peg->document, 'position' => $peg->position, 'day' => $peg->day, 'quantity' => $peg->quantity];
    }

    /** @return Share */
    private static function share(string $document, ?int $day, int $quantity): array
    {
        return ['document' => $document, 'position' => null, 'day' => $day, 'quantity' => $quantity];
    }
}
