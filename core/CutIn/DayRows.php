<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

/**
 * The cost of one day of cutting in at a plant, down to the single order. The rows of a part add up to that part of CutInDay, exactly.
 * What is used first came first, so what is left over came last; of what is wanted on a day, the last in the list runs short.
 *
 * @phpstan-type Share array{cause: CostCause, document: string, position: ?int, day: ?int, quantity: int}
 */
final readonly class DayRows
{
    /**
     * @param  list<list<Peg>>  $pegs  of each part: what its demand is made of
     * @return list<CostRow>
     */
    public static function of(PlantCase $case, array $pegs, Levers $levers, int $day): array
    {
        $rows = [];
        foreach ($case->parts as $of => $part) {
            $course = new PartCourse($part, $levers, $case->days);
            $on = $course->on($day);
            $cancelled = $course->cancelled($day);
            array_push(
                $rows,
                ...self::priced(
                    CostPart::Leftover,
                    $of,
                    self::left($part, $on->left, $cancelled, $course->lastOrder($day)),
                    $part->disposal,
                ),
                ...array_map(
                    static fn(Cancelled $one): CostRow => new CostRow(
                        part: CostPart::Cancellation,
                        of: $of,
                        cause: CostCause::Receipt,
                        document: $one->receipt->document,
                        position: null,
                        day: $one->receipt->day,
                        quantity: $one->quantity,
                        amount: $one->fee,
                    ),
                    $cancelled,
                ),
                ...self::short($part, $of, $course, $on, $pegs[$of], $day),
                ...self::priced(CostPart::Recurring, $of, self::used($pegs[$of], $day), $part->cost),
            );
        }
        foreach ($case->orders as $order) {
            if ($order->straddles($day)) {
                $rows[] = new CostRow(
                    part: CostPart::Straddling,
                    of: null,
                    cause: CostCause::UnderWay,
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
     * @param  list<Cancelled>  $cancelled
     * @return list<Share> what is left of the stock, of receipts, and of lots that had to be ordered meanwhile
     */
    private static function left(Part $part, int $left, array $cancelled, ?int $ordered): array
    {
        $stopped = [];
        foreach ($cancelled as $one) {
            $stopped[spl_object_id($one->receipt)] = $one->quantity;
        }
        $came = [
            $ordered === null ? self::share(CostCause::Stock, '', null, $part->stock) : self::share(CostCause::Lot, '', $ordered, $left),
        ];
        $receipts = $part->receipts;
        usort($receipts, static fn(Receipt $a, Receipt $b): int => $a->day <=> $b->day);
        foreach ($receipts as $receipt) {
            if ($receipt->day <= $ordered && $ordered !== null) {
                continue;
            }
            $came[] = self::share(
                CostCause::Receipt,
                $receipt->document,
                $receipt->day,
                $receipt->quantity - ($stopped[spl_object_id($receipt)] ?? 0),
            );
        }

        return self::last($came, $left);
    }

    /**
     * @param  list<Peg>  $pegs
     * @return list<CostRow> what runs short before the day and from it on
     */
    private static function short(Part $part, int $of, PartCourse $course, PartDay $on, array $pegs, int $cutIn): array
    {
        if ($on->hurried === 0 && $on->missing === 0) {
            return [];
        }
        $byDay = [];
        foreach ($pegs as $peg) {
            if ($peg->claim === Claim::Others || ($peg->claim === Claim::Until) === $peg->day < $cutIn) {
                $byDay[$peg->day][] = $peg;
            }
        }
        $hurried = $missing = [];
        foreach ($course->shorts($cutIn) as $day => [$h, $m]) {
            $short = self::last(
                array_map(static fn(Peg $peg): array => self::ofPeg($peg, CostCause::Missing), $byDay[$day] ?? []),
                $h + $m,
            );
            array_push($missing, ...self::last($short, $m));
            // The others of them can be had in a hurry.
            $left = self::last(array_reverse($short), $h);
            array_push($hurried, ...array_map(static fn(array $one): array => ['cause' => CostCause::Hurried] + $one, $left));
        }

        return [
            ...self::priced(CostPart::Shortage, $of, $missing, $part->penalty),
            ...$part->expediting === null || $on->hurried === 0
                ? []
                : [
                    ...self::priced(CostPart::Shortage, $of, $hurried, $part->expediting->premium),
                    new CostRow(
                        part: CostPart::Shortage,
                        of: $of,
                        cause: CostCause::ExpeditingFee,
                        document: '',
                        position: null,
                        day: null,
                        quantity: 0,
                        amount: $part->expediting->fee,
                    ),
                ],
        ];
    }

    /**
     * @param  list<Peg>  $pegs
     * @return list<Share> what takes the part from the day on, and what would have taken it, each once
     */
    private static function used(array $pegs, int $cutIn): array
    {
        $sums = [];
        foreach ($pegs as $peg) {
            if ($peg->day < $cutIn || $peg->claim === Claim::Others) {
                continue;
            }
            $key = "{$peg->claim->value} {$peg->position} {$peg->document}";
            $sums[$key] ??= ['quantity' => 0, 'day' => $peg->document === '' ? null : $peg->day] + self::ofPeg($peg, CostCause::Wanted);
            $sums[$key]['quantity'] = FixedPoint::add(
                $sums[$key]['quantity'],
                $peg->claim === Claim::From ? $peg->quantity : -$peg->quantity,
            );
        }

        return array_values($sums);
    }

    /**
     * So much from the end of a list. What the list lacks by rounding is laid on its first.
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
    private static function priced(CostPart $part, int $of, array $shares, Money $each): array
    {
        $rows = [];
        $sum = $paid = 0;
        foreach ($shares as $share) {
            $sum = FixedPoint::add($sum, $share['quantity']);
            $now = FixedPoint::scale($each->tenThousandths, $sum, Quantity::ONE);
            $rows[] = new CostRow(
                part: $part,
                of: $of,
                cause: $share['cause'],
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
    private static function ofPeg(Peg $peg, CostCause $cause): array
    {
        return [
            'cause' => $cause,
            'document' => $peg->document,
            'position' => $peg->position,
            'day' => $peg->day,
            'quantity' => $peg->quantity,
        ];
    }

    /** @return Share */
    private static function share(CostCause $cause, string $document, ?int $day, int $quantity): array
    {
        return ['cause' => $cause, 'document' => $document, 'position' => null, 'day' => $day, 'quantity' => $quantity];
    }
}
