<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Adjacency;

use Orthotaxis\Core\Quantity\Quantity;

/**
 * What one of an item comes to in all that is below it, or above it, taken together and itself counted: no single component or
 * product has more of it. Lines that hold on a day or later count. As floats: asked is whether a quantity can still be kept exactly,
 * not how much it is.
 *
 * Example: a module has 2 heads, each with 6 screws: 1 + 2 × (1 + 6) = 15 below the module; above a screw 1 + 6 × (1 + 2) = 19.
 */
final class Multiples
{
    /** @var array<int, float> by position, as far as they were asked for */
    private array $known = [];

    /** @param  array<int, list<int>>  $same  positions of single revisions, by position of their item: what uses these uses the item */
    private function __construct(
        private readonly Neighbours $web,
        private readonly int $day,
        private readonly bool $down,
        private readonly array $same = [],
    ) {}

    public static function below(Neighbours $web, int $day): self
    {
        return new self($web, $day, true);
    }

    /** @param  array<int, list<int>>  $same  positions of single revisions, by position of their item: what uses these uses the item */
    public static function above(Neighbours $web, int $day, array $same = []): self
    {
        return new self($web, $day, false, $same);
    }

    /** Without a bound (INF) where something contains itself. */
    public function of(int $position): float
    {
        if (isset($this->known[$position])) {
            return $this->known[$position];
        }
        $this->known[$position] = INF;
        $sum = 1.0;
        foreach ([$position, ...$this->same[$position] ?? []] as $one) {
            $list = $this->down ? $this->web->downOf($one) : $this->web->upOf($one);
            for ($i = 2, $n = count($list); $i < $n; $i += 3) {
                if (($list[$i + 2] & Span::EVER) > $this->day) {
                    $sum += ($list[$i + 1] / Quantity::ONE) * ($this->known[$list[$i]] ?? $this->of($list[$i]));
                }
            }
        }

        return $this->known[$position] = $sum;
    }
}
