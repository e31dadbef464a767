<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;

use function count;
use function is_int;

/** How the stock of one pair goes on, day by day, and what each day would cost for it. All lists are by day from today. */
final class PairCourse
{
    /** @var list<int> millionths of the old part in the morning of each day, used until then */
    public array $old = [];

    /** @var list<int> how much of the old was wanted and not there, up to the morning */
    private array $short = [];

    /** Millionths of the old part that are kept for service. */
    private int $keep;

    /** The first day on which the old part is wanted and no more is there than what is kept; null when it lasts. */
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

    /** @var list<int> millionths of the new part there in the morning of each day, as long as nothing of it is used */
    private array $newWaiting = [];

    /** Days until a new order of the new part arrives, when it is expedited. */
    private int $soonest;

    /** The first day on which there can be any of the new part without expediting. */
    private int $newThereUnhurried;

    public function __construct(private readonly Pair $pair, Levers $levers)
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
        // What is to be kept is nobody's to use: as long as there is less, all that comes fills it up.
        $this->keep = $levers->keep[$pair->old->number] ?? 0;
        $free = FixedPoint::subtract($pair->old->stock, $this->keep);
        $short = 0;
        foreach ($pair->demand as $day => $demand) {
            $this->old[] = FixedPoint::add($free, $this->keep);
            $this->short[] = $short;
            $free = FixedPoint::add($free, $coming[$day]);
            $lacking = FixedPoint::subtract($demand, max(0, $free));
            if ($lacking > 0) {
                $this->runOut ??= $day;
                $short = FixedPoint::add($short, $lacking);
                $free = min(0, $free);
            } else {
                $free = FixedPoint::subtract($free, $demand);
            }
        }
        $this->more = FixedPoint::add(
            FixedPoint::scale($pair->new->cost->tenThousandths, $pair->ratio, Quantity::ONE),
            -$pair->old->cost->tenThousandths,
        );
        $this->newDemand = array_map(static fn(int $demand): int => FixedPoint::scale($demand, $pair->ratio, Quantity::ONE), $pair->demand);
        foreach ($pair->new->receipts as $receipt) {
            $this->newComing[max(0, $receipt->day)] = FixedPoint::add($this->newComing[max(0, $receipt->day)] ?? 0, $receipt->quantity);
        }
        $waiting = $pair->new->stock;
        for ($day = 0; $day < min($days, $pair->new->leadDays); $day++) {
            $this->newWaiting[] = $waiting;
            $waiting = FixedPoint::add($waiting, $this->newComing[$day] ?? 0);
        }
        $this->soonest = max(0, $pair->new->leadDays - ($pair->expediting->days ?? 0));
        $this->newThereUnhurried =
            $pair->new->stock > 0
                ? 0
                : min([
                    $pair->new->leadDays,
                    ...array_map(static fn(Receipt $receipt): int => max(0, $receipt->day), $pair->new->receipts),
                ]);
        $this->newThere = min($this->newThereUnhurried, $this->soonest);
    }

    /** @return array{int, int, int, int} ten-thousandths: being rid of what is left, cancelling, what is short, the difference of cost */
    public function cost(int $day): array
    {
        $pair = $this->pair;
        $left = max(0, FixedPoint::subtract(FixedPoint::add($this->old[$day], $this->stuck[$day]), $this->keep));

        return [
            FixedPoint::scale($pair->old->disposal->tenThousandths, $left, Quantity::ONE),
            $this->fees[$day],
            FixedPoint::add(
                FixedPoint::scale($pair->old->expedite->tenThousandths, $this->short[$day], Quantity::ONE),
                $this->newCost($day, $this->isExpedited($day)),
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
            $stock = max(
                0,
                FixedPoint::subtract(FixedPoint::add($stock, $this->newComing[$day] ?? 0), $day >= $from ? $this->newDemand[$day] : 0),
            );
        }

        return $course;
    }

    /** Whether a new order of the new part is expedited when it is used from a day on: where it has to be, and where that costs less. */
    public function isExpedited(int $day): bool
    {
        return $this->pair->expediting !== null &&
            ($day < $this->newThereUnhurried || $this->newCost($day, true) < $this->newCost($day, false));
    }

    /** Until a new order of the new part arrives. */
    public function leadDays(bool $expedited): int
    {
        return $expedited ? $this->soonest : $this->pair->new->leadDays;
    }

    /** Ten-thousandths for what the new part lacks from a day on, and for expediting it. */
    private function newCost(int $day, bool $expedited): int
    {
        $short = $this->newShort($day, $this->leadDays($expedited));
        $cost = $short === 0 ? 0 : FixedPoint::scale($this->pair->new->expedite->tenThousandths, $short, Quantity::ONE);

        return $expedited ? FixedPoint::add($cost, $this->pair->expediting->fee->tenThousandths ?? 0) : $cost;
    }

    /** What the new part lacks from a day on, until a new order of it can arrive. */
    private function newShort(int $from, int $leadDays): int
    {
        $until = min(count($this->pair->demand), $leadDays);
        if ($from >= $until) {
            return 0;
        }
        $stock = $this->newWaiting[$from];
        $short = 0;
        for ($day = $from; $day < $until; $day++) {
            $stock = FixedPoint::subtract(FixedPoint::add($stock, $this->newComing[$day] ?? 0), $this->newDemand[$day]);
            if ($stock < 0) {
                $short = FixedPoint::subtract($short, $stock);
                $stock = 0;
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
        $sum = 0;
        for ($day = count($byDay) - 1; $day >= 0; $day--) {
            $sum += $byDay[$day];
            // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
            $byDay[$day] = is_int($sum) ? $sum : throw new \OverflowException('A number becomes too large here to be kept exactly.');
        }

        return array_values($byDay);
    }
}
