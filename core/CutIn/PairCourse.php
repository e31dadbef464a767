<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;
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

    /** What the new part costs more in place of one of the old, ten-thousandths. */
    private int $more;

    /** @var list<int> what each day would want of the new */
    private array $newDemand;

    /** @var array<int, int> day => millionths of the new that come */
    private array $newComing = [];

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
        $this->more = FixedPoint::add(FixedPoint::scale($pair->new->cost->tenThousandths, $pair->ratio, Quantity::ONE), -$pair->old->cost->tenThousandths);
        $this->newDemand = array_map(static fn (int $demand): int => FixedPoint::scale($demand, $pair->ratio, Quantity::ONE), $pair->demand);
        foreach ($pair->new->receipts as $receipt) {
            $this->newComing[max(0, $receipt->day)] = FixedPoint::add($this->newComing[max(0, $receipt->day)] ?? 0, $receipt->quantity);
        }
        $this->newThere = $pair->new->stock > 0 ? 0 : min([$pair->new->leadDays, ...array_map(static fn (Receipt $receipt): int => max(0, $receipt->day), $pair->new->receipts)]);
    }

    /** @return array{int, int, int, int} ten-thousandths: being rid of what is left, cancelling, what is short, the difference of cost */
    public function cost(int $day): array
    {
        $pair = $this->pair;
        $left = max(0, FixedPoint::add($this->old[$day], $this->stuck[$day]) - ($this->levers->keep[$pair->old->number] ?? 0));
        $newShort = $this->newShort($day);

        return [
            FixedPoint::scale($pair->old->disposal->tenThousandths, $left, Quantity::ONE),
            $this->fees[$day],
            FixedPoint::add(
                FixedPoint::scale($pair->old->expedite->tenThousandths, $this->short[$day], Quantity::ONE),
                $newShort === 0 ? 0 : FixedPoint::scale($pair->new->expedite->tenThousandths, $newShort, Quantity::ONE),
            ),
            FixedPoint::scale($this->more, $this->wanted[$day], Quantity::ONE),
        ];
    }

    /** @return list<int> millionths of the new part each morning, when it is used from a day on and nothing more is ordered */
    public function new(int $from): array
    {
        $stock = $this->pair->new->stock;
        $course = [];
        foreach (array_keys($this->pair->demand) as $day) {
            $course[] = $stock;
            $stock = max(0, FixedPoint::add($stock, $this->newComing[$day] ?? 0) - ($day >= $from ? $this->newDemand[$day] : 0));
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
        $stock = $this->pair->new->stock;
        $short = 0;
        for ($day = 0; $day < $until; $day++) {
            $stock = FixedPoint::add($stock, $this->newComing[$day] ?? 0);
            if ($day >= $from) {
                $stock -= $this->newDemand[$day];
                if ($stock < 0) {
                    $short -= $stock;
                    $stock = 0;
                }
            }
        }

        return $short;
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
