<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

/** How the stock of one pair goes on, day by day, and what each day would cost for it. All lists are by day from today. */
final class PairCourse
{
    /** @var list<int> millionths of the old part in the morning of each day, used until then */
    public array $old = [];

    /** @var list<int> how much of the old was wanted and not there, up to the morning */
    private array $short = [];

    /** The first day on which the old part is wanted and not there; null when it lasts. */
    public ?int $runOut = null;

    /** The first day on which there can be any of the new part. */
    public int $newThere;

    /** @var list<int> receipts of the old from the day on that cannot be cancelled, millionths */
    private array $stuck;

    /** @var list<int> fees for the receipts from the day on that can, ten-thousandths */
    private array $fees;

    /** @var list<int> how many receipts come from the day on */
    public array $late;

    /** @var list<int> what is wanted of the old from the day on */
    private array $wanted;

    public function __construct(private readonly Pair $pair, private readonly Levers $levers)
    {
        $days = count($pair->demand);
        $coming = $stuck = $fees = $late = array_fill(0, $days + 1, 0);
        foreach ($pair->old->receipts as $receipt) {
            $day = min($days, max(0, $receipt->day));
            $coming[$day] = FixedPoint::add($coming[$day], $receipt->quantity);
            if ($receipt->cancelFee === null || in_array($receipt->document, $levers->notCancelled, true)) {
                $stuck[$day] = FixedPoint::add($stuck[$day], $receipt->quantity);
            } else {
                $fees[$day] = FixedPoint::add($fees[$day], $receipt->cancelFee->tenThousandths);
            }
            $late[$day]++;
        }
        $this->stuck = self::fromTheEnd($stuck);
        $this->fees = self::fromTheEnd($fees);
        $this->late = self::fromTheEnd($late);
        $this->wanted = self::fromTheEnd([...$pair->demand, 0]);
        $stock = $pair->old->stock;
        $short = 0;
        foreach ($pair->demand as $day => $demand) {
            $this->old[] = $stock;
            $this->short[] = $short;
            $stock = FixedPoint::add($stock, $coming[$day]) - $demand;
            if ($stock < 0) {
                $this->runOut ??= $day;
                $short = FixedPoint::add($short, -$stock);
                $stock = 0;
            }
        }
        $this->newThere = $pair->new->stock > 0 ? 0 : min([$pair->new->leadDays, ...array_map(static fn (Receipt $receipt): int => max(0, $receipt->day), $pair->new->receipts)]);
    }

    /** @return array{leftover: Money, cancellation: Money, shortage: Money, recurring: Money} */
    public function cost(int $day): array
    {
        $left = max(0, FixedPoint::add($this->old[$day], $this->stuck[$day]) - ($this->levers->keep[$this->pair->old->number] ?? 0));
        $more = FixedPoint::add(FixedPoint::scale($this->pair->new->cost->tenThousandths, $this->pair->ratio, Quantity::ONE), -$this->pair->old->cost->tenThousandths);

        return [
            'leftover' => $this->pair->old->disposal->times(Quantity::ofMillionths($left)),
            'cancellation' => Money::ofTenThousandths($this->fees[$day]),
            'shortage' => $this->pair->old->expedite->times(Quantity::ofMillionths($this->short[$day]))
                ->plus($this->pair->new->expedite->times(Quantity::ofMillionths($this->newShort($day)))),
            'recurring' => Money::ofTenThousandths(FixedPoint::scale($more, $this->wanted[$day], Quantity::ONE)),
        ];
    }

    /** How much is left over when the new part cuts in on a day, before anything is kept. */
    public function left(int $day): int
    {
        return FixedPoint::add($this->old[$day], $this->stuck[$day]);
    }

    /** @return list<int> millionths of the new part each morning, when it is used from a day on and nothing more is ordered */
    public function new(int $from): array
    {
        $coming = $this->newComing();
        $stock = $this->pair->new->stock;
        $course = [];
        foreach ($this->pair->demand as $day => $demand) {
            $course[] = $stock;
            $stock = max(0, FixedPoint::add($stock, $coming[$day] ?? 0) - ($day >= $from ? FixedPoint::scale($demand, $this->pair->ratio, Quantity::ONE) : 0));
        }

        return $course;
    }

    /** What the new part lacks from a day on, until a new order of it can arrive. */
    private function newShort(int $from): int
    {
        $until = min(count($this->pair->demand), $this->pair->new->leadDays);
        if ($from >= $until) {
            return 0;
        }
        $coming = $this->newComing();
        $stock = $this->pair->new->stock;
        $short = 0;
        for ($day = 0; $day < $until; $day++) {
            $stock = FixedPoint::add($stock, $coming[$day] ?? 0);
            if ($day >= $from) {
                $stock -= FixedPoint::scale($this->pair->demand[$day], $this->pair->ratio, Quantity::ONE);
                if ($stock < 0) {
                    $short -= $stock;
                    $stock = 0;
                }
            }
        }

        return $short;
    }

    /** @return array<int, int> day => millionths */
    private function newComing(): array
    {
        $coming = [];
        foreach ($this->pair->new->receipts as $receipt) {
            $day = max(0, $receipt->day);
            $coming[$day] = FixedPoint::add($coming[$day] ?? 0, $receipt->quantity);
        }

        return $coming;
    }

    /**
     * @param  array<int, int>  $byDay  without gaps
     * @return list<int> from each day to the end
     */
    private static function fromTheEnd(array $byDay): array
    {
        for ($day = count($byDay) - 2; $day >= 0; $day--) {
            $byDay[$day] = FixedPoint::add($byDay[$day], $byDay[$day + 1]);
        }

        return array_values($byDay);
    }
}
