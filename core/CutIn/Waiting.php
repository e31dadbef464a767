<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;

use function count;
use function is_int;

/** What is wanted at one plant of items that are not netted yet, and the netting of each. */
final class Waiting
{
    private const WEEK = 7;

    /** From so many on, days are a list without gaps: less than half the memory, and quicker. */
    private const MANY = 32;

    /** @var array<int, array<int, int>> position => day => millionths; only days that have any: tens of thousands of items wait here */
    private array $wanted = [];

    /** @var array<int, int> position => millionths that would have had to be there before today */
    private array $late = [];

    /** @var array<int, array<int, int>> the same two of what is blown through: it is neither netted nor made */
    private array $blown = [];

    /** @var array<int, int> */
    private array $blownLate = [];

    /** @var list<int> a zero for every day */
    private array $nothing;

    /** @param  int  $end  the day behind the last that is netted */
    public function __construct(private readonly PlantNet $net, private readonly int $end)
    {
        $this->nothing = array_fill(0, $end, 0);
    }

    /**
     * What one line takes for the orders of its parent, as far as it holds on their first days. The innermost loop: days and products are
     * plain integers here, and exact as everywhere.
     *
     * @param  bool  $isBlown  whether the line is a phantom
     */
    public function take(int $position, Orders $orders, int $each, int $from, int $until, bool $isBlown): void
    {
        // Taken out while it is written: nobody else holds the list, so it is not copied.
        if ($isBlown) {
            $wanted = $this->blown[$position] ?? [];
            $this->blown[$position] = [];
        } else {
            $wanted = $this->wanted[$position] ?? [];
            $this->wanted[$position] = [];
        }
        if (count($orders->begins) > self::MANY && count($wanted) < $this->end) {
            $wanted = array_replace($this->nothing, $wanted);
        }
        $quantities = $orders->quantities;
        $always = $from <= 0 && $until >= $this->end;
        foreach ($orders->begins as $i => $day) {
            if ($always || ($day >= $from && $day < $until)) {
                // Divides without a rest to an integer; anything else becomes a float.
                $quantity = ($quantities[$i] * $each) / Quantity::ONE;
                if (!is_int($quantity)) {
                    $quantity = FixedPoint::scale($quantities[$i], $each, Quantity::ONE);
                }
                $wanted[$day] = ($wanted[$day] ?? 0) + $quantity;
            }
        }
        $late = $orders->late === 0 || $from > 0 || $until <= 0 ? 0 : FixedPoint::scale($orders->late, $each, Quantity::ONE);
        if ($isBlown) {
            $this->blown[$position] = $wanted;
            $this->blownLate[$position] = ($this->blownLate[$position] ?? 0) + $late;
        } else {
            $this->wanted[$position] = $wanted;
            $this->late[$position] = ($this->late[$position] ?? 0) + $late;
        }
    }

    /**
     * The orders for an item that is made here, and what of it is blown through.
     *
     * @param  int  $limit  the day behind the last on which one matters
     */
    public function orders(int $position, int $limit): Orders
    {
        $supply = $this->net->supply[$position] ?? new NodeSupply();
        $begins = $quantities = $documents = [];
        foreach ($supply->orders as [$first, , $quantity, $document, $issued]) {
            if ($quantity > $issued && $first < $limit) {
                $documents[count($begins)] = $document;
                $begins[] = max(0, $first);
                $quantities[] = $quantity - $issued;
            }
        }
        [$lacking, $late] = $this->lacking($position, $supply);
        $lead = $supply->leadDays;
        foreach ($lacking as $day => $quantity) {
            $begin = $lead === 0 ? $day : $this->net->days->before($day, $lead);
            if ($begin < 0) {
                $late += $quantity;
            } elseif ($begin < $limit) {
                $begins[] = $begin;
                $quantities[] = $quantity;
            }
        }
        foreach ($this->blown[$position] ?? [] as $day => $quantity) {
            if ($quantity !== 0 && $day < $limit) {
                $begins[] = $day;
                $quantities[] = $quantity;
            }
        }
        $late += $this->blownLate[$position] ?? 0;
        unset($this->blown[$position], $this->blownLate[$position]);

        return new Orders($begins, $quantities, $documents, $late);
    }

    /** What lacks here of an item is wanted at the plant that makes it, so much earlier. */
    public function send(int $position, self $to): void
    {
        $days = $this->net->days;
        [$lacking, $late] = $this->lacking($position, $this->net->supply[$position] ?? new NodeSupply());
        foreach ($lacking as $day => $quantity) {
            $begin = $days->before($day, $this->net->transferDays);
            if ($begin < 0) {
                $late += $quantity;
            } else {
                $to->wanted[$position][$begin] = ($to->wanted[$position][$begin] ?? 0) + $quantity;
            }
        }
        foreach ($this->blown[$position] ?? [] as $day => $quantity) {
            $to->blown[$position][$day] = ($to->blown[$position][$day] ?? 0) + $quantity;
        }
        $to->late[$position] = ($to->late[$position] ?? 0) + $late;
        $to->blownLate[$position] = ($to->blownLate[$position] ?? 0) + ($this->blownLate[$position] ?? 0);
        unset($this->blown[$position], $this->blownLate[$position]);
    }

    /**
     * What lacks after stock and receipts. What is late takes of both before anything else, and waits for receipts before more is made.
     *
     * @return array{array<int, int>, int} day => millionths; millionths late that nothing covers
     */
    private function lacking(int $position, NodeSupply $supply): array
    {
        // One sum a day: writing into a list of all days is quicker than sorting those that have something.
        $changes = $this->nothing;
        foreach ($this->wanted[$position] ?? [] as $day => $quantity) {
            $changes[$day] -= $quantity;
        }
        $late = $this->late[$position] ?? 0;
        unset($this->wanted[$position], $this->late[$position]);
        $end = $this->end;
        $wanted = $supply->wanted;
        foreach ($supply->wantedOn as $i => $day) {
            if ($day < $end) {
                $changes[$day < 0 ? 0 : $day] -= $wanted[$i];
            }
        }
        foreach (self::beyond($supply, $end) as $day) {
            $changes[$day] -= $supply->weekly;
        }
        $debt = max(0, $late - $supply->onHand);
        foreach ($supply->orders as [, $done, $quantity]) {
            if ($done < $end) {
                $paid = min($debt, $quantity);
                $debt -= $paid;
                $changes[max(0, $done)] += $quantity - $paid;
            }
        }
        $available = max(0, $supply->onHand - $late);
        $lacking = [];
        foreach (array_filter($changes) as $day => $change) {
            $available += $change;
            if ($available < 0) {
                // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
                is_int($available) || throw new \OverflowException('The demand of a day becomes too large here to be kept exactly.');
                $lacking[$day] = -$available;
                $available = 0;
            }
        }

        return [$lacking, $debt];
    }

    /** @return list<int> days behind the forecast on which its mean is wanted, one a week */
    public static function beyond(NodeSupply $supply, int $end): array
    {
        return $supply->weekly === 0 || $supply->until + self::WEEK >= $end
            ? []
            : range(max(0, $supply->until + self::WEEK), $end - 1, self::WEEK);
    }
}
