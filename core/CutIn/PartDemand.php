<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;

use function is_int;

/** Gathers what is wanted of one part at one plant, and what that is made of where somebody asks. */
final class PartDemand
{
    /** @var array<string, array<int, int>> claim => day => millionths, without gaps */
    private array $wanted;

    /** @var array{until: int, from: int, others: int} millionths */
    private array $late = ['until' => 0, 'from' => 0, 'others' => 0];

    /** @var list<Peg> */
    public array $pegs = [];

    /** @param  bool  $tells  whether to keep what it is made of */
    public function __construct(private readonly int $days, private readonly bool $tells)
    {
        $none = array_fill(0, $days, 0);
        $this->wanted = ['until' => $none, 'from' => $none, 'others' => $none];
    }

    /** What one line takes for the orders of its parent, as far as it holds on their first days. */
    public function take(Claim $claim, int $parent, Orders $orders, int $each, int $from, int $until): void
    {
        // Taken out while it is written: nobody else holds the list, so it is not copied.
        $into = $this->wanted[$claim->value];
        $this->wanted[$claim->value] = [];
        $quantities = $orders->quantities;
        $until = min($until, $this->days);
        foreach ($orders->begins as $i => $day) {
            if ($day >= $from && $day < $until) {
                // Divides without a rest to an integer; anything else becomes a float.
                $quantity = ($quantities[$i] * $each) / Quantity::ONE;
                if (!is_int($quantity)) {
                    $quantity = FixedPoint::scale($quantities[$i], $each, Quantity::ONE);
                }
                $into[$day] += $quantity;
                if ($this->tells && $quantity !== 0) {
                    $this->pegs[] = new Peg($claim, $parent, $day, $quantity, $orders->documents[$i] ?? '');
                }
            }
        }
        $this->wanted[$claim->value] = $into;
        if ($orders->late !== 0 && $from <= 0 && $until > 0) {
            $this->late[$claim->value] += FixedPoint::scale($orders->late, $each, Quantity::ONE);
        }
    }

    /** What is sold of the part itself: others want it, whatever is changed. */
    public function sell(int $part, int $day, int $quantity, string $document): void
    {
        if ($day < $this->days) {
            $this->wanted['others'][max(0, $day)] += $quantity;
            if ($this->tells && $quantity !== 0) {
                $this->pegs[] = new Peg(Claim::Others, $part, max(0, $day), $quantity, $document);
            }
        }
    }

    /**
     * A part is planned where it is made or bought: all that is wanted of it goes there.
     *
     * @param  \Closure(int): int  $earlier  the day on which it has to leave, by the day on which it is wanted
     */
    public function send(self $to, \Closure $earlier): void
    {
        foreach (Claim::cases() as $claim) {
            foreach ($this->wanted[$claim->value] as $day => $quantity) {
                $to->wanted[$claim->value][$earlier($day)] += $quantity;
            }
            $to->late[$claim->value] += $this->late[$claim->value];
        }
        foreach ($this->pegs as $peg) {
            $to->pegs[] = new Peg($peg->claim, $peg->position, $earlier($peg->day), $peg->quantity, $peg->document);
        }
        $emptied = new self($this->days, $this->tells);
        [$this->wanted, $this->late, $this->pegs] = [$emptied->wanted, $emptied->late, []];
    }

    public function demand(): Demand
    {
        return new Demand(
            array_values($this->wanted['until']),
            array_values($this->wanted['from']),
            array_values($this->wanted['others']),
            $this->late,
        );
    }
}
