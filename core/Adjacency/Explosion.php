<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Adjacency;

use Orthotaxis\Core\Quantity\Quantity;

/**
 * All that is in one item on a day, each component once with its total over all ways. A phantom is not counted itself;
 * what it is made of is.
 */
final readonly class Explosion
{
    private function __construct(private Flow $flow) {}

    /** @throws Loop when something contains itself */
    public static function of(Adjacency $adjacency, int $item, int $day): self
    {
        return new self(Flow::down($adjacency, $item, $day));
    }

    /** @return array<int, int> position => millionths of the component's unit, zero where it is too little to be kept; phantoms left out */
    public function totals(): array
    {
        $totals = array_intersect_key($this->flow->totals, array_filter($this->flow->levels));
        unset($totals[$this->flow->start]);
        foreach ($totals as $total) {
            // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
            if (!is_int($total)) {
                throw Flow::tooLarge();
            }
        }
        foreach ($this->flow->phantom as $position => $phantom) {
            $totals[$position] -= $phantom;
            if ($totals[$position] === 0) {
                unset($totals[$position]);
            }
        }

        return $totals;
    }

    public function quantity(int $position): Quantity
    {
        return Quantity::ofMillionths($this->flow->total($position) - ($this->flow->phantom[$position] ?? 0));
    }

    /** The nearest level on which it stands; 1 directly in the item. */
    public function level(int $position): int
    {
        return $this->flow->levels[$position] - 1;
    }

    public function linesWalked(): int
    {
        return $this->flow->lines;
    }
}
