<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Adjacency\Adjacency;
use Orthotaxis\Core\Adjacency\Loop;
use Orthotaxis\Core\Adjacency\Order;
use Orthotaxis\Core\Adjacency\Span;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;

/**
 * The dependent demand for one component by day: what is sold and forecast above it, less what is on the shelf and being
 * made on the way down, exploded through the lines that hold on the day an order begins. Level by level from the top, each
 * item once (material requirements planning, lot for lot).
 */
final class Requirements
{
    /** @var array<int, array<int, int>> position => day => millionths wanted by orders of parents */
    private array $dependent = [];

    /** @var array<int, int> day => millionths of the component */
    private array $wanted;

    /** @var list<int> positions of the parents whose orders take any of it */
    public array $parents = [];

    private function __construct(private readonly Adjacency $web, private readonly int $component, private readonly int $today, private readonly int $days)
    {
        $this->wanted = array_fill(0, $days, 0);
    }

    /**
     * @param  int  $today  as Day::number counts
     * @param  array<int, NodeSupply>  $supply  by position; what is left out has nothing
     *
     * @throws Loop when something contains itself
     */
    public static function of(Adjacency $web, int $component, int $today, int $days, array $supply): self
    {
        $requirements = new self($web, $component, $today, $days);
        // What is sold of the component itself.
        foreach ($supply[$component]->wanted ?? [] as [$day, $quantity]) {
            if ($day < $days) {
                $requirements->wanted[max(0, $day)] += $quantity;
            }
        }
        [$above, $order] = $requirements->above();
        foreach ($order as $position) {
            $requirements->explode($position, $supply[$position] ?? new NodeSupply, $above);
        }

        return $requirements;
    }

    /**
     * The component and all that is above it on any of the days: what planning has to be asked about.
     *
     * @return list<int> positions
     *
     * @throws Loop when something contains itself
     */
    public static function around(Adjacency $web, int $component, int $today, int $days): array
    {
        return array_keys((new self($web, $component, $today, $days))->above()[0]);
    }

    /** @return list<int> millionths wanted on each day */
    public function byDay(): array
    {
        foreach ($this->wanted as $sum) {
            // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
            if (! is_int($sum)) {
                throw new \OverflowException('The demand of a day becomes too large here to be kept exactly.');
            }
        }

        return array_values($this->wanted);
    }

    /**
     * All that is above the component on any of the days.
     *
     * @return array{array<int, int>, list<int>} position => how many of its users are above too, the component included; every item after all that use it
     */
    private function above(): array
    {
        $users = [$this->component => 0];
        $below = [];
        for ($queue = [$this->component], $i = 0; $i < count($queue); $i++) {
            $seen = [];
            $list = $this->web->upOf($queue[$i]);
            for ($at = 2, $n = count($list); $at < $n; $at += 3) {
                if (isset($seen[$list[$at]]) || ! $this->holdsSometime($list[$at + 2])) {
                    continue;
                }
                $seen[$list[$at]] = true;
                $users[$queue[$i]]++;
                $below[$list[$at]][] = $queue[$i];
                if (! isset($users[$list[$at]])) {
                    $users[$list[$at]] = 0;
                    $queue[] = $list[$at];
                }
            }
        }
        $waiting = $users;
        $order = array_keys(array_filter($waiting, static fn (int $count): bool => $count === 0));
        for ($i = 0; $i < count($order); $i++) {
            foreach ($below[$order[$i]] ?? [] as $position) {
                if (--$waiting[$position] === 0) {
                    $order[] = $position;
                }
            }
        }
        if (count($order) < count($users)) {
            // Over all days together something contains itself; on one day that is told with its way.
            Order::above($this->web, $this->component, $this->today);
            throw new Loop([$this->component, $this->component]);
        }

        return [$users, array_values(array_filter($order, fn (int $position): bool => $position !== $this->component))];
    }

    private function holdsSometime(int $span): bool
    {
        return (($span >> 20) & Span::EVER) < $this->today + $this->days && ($span & Span::EVER) > $this->today;
    }

    /** @param  array<int, int>  $above */
    private function explode(int $position, NodeSupply $supply, array $above): void
    {
        $orders = $this->orders($supply, $this->dependent[$position] ?? []);
        unset($this->dependent[$position]);
        if ($orders === []) {
            return;
        }
        $list = $this->web->downOf($position);
        for ($at = 2, $n = count($list); $at < $n; $at += 3) {
            $to = $list[$at];
            if (! isset($above[$to])) {
                continue;
            }
            if ($to === $this->component) {
                $this->parents[] = $position;
            }
            // The innermost loop: an order and a line. Days and products are plain integers here, and exact as everywhere.
            $from = (($list[$at + 2] >> 20) & Span::EVER) - $this->today;
            $until = ($list[$at + 2] & Span::EVER) - $this->today;
            $each = $list[$at + 1];
            $isComponent = $to === $this->component;
            foreach ($orders as [$day, $quantity]) {
                if ($day < $from || $day >= $until) {
                    continue;
                }
                $product = $quantity * $each;
                // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
                $wanted = is_int($product) && $product % Quantity::ONE === 0 ? intdiv($product, Quantity::ONE) : FixedPoint::scale($quantity, $each, Quantity::ONE);
                if ($isComponent) {
                    $this->wanted[$day] += $wanted;
                } else {
                    $this->dependent[$to][$day] = FixedPoint::add($this->dependent[$to][$day] ?? 0, $wanted);
                }
            }
        }
    }

    /**
     * The orders that take parts: those placed, and one for each day on which there is too little.
     *
     * @param  array<int, int>  $dependent  day => millionths
     * @return list<array{int, int}> first day, millionths
     */
    private function orders(NodeSupply $supply, array $dependent): array
    {
        $changes = [];
        foreach ($dependent as $day => $wanted) {
            $changes[$day] = -$wanted;
        }
        foreach ($supply->wanted as [$day, $quantity]) {
            $day = $day < 0 ? 0 : $day;
            $changes[$day] = ($changes[$day] ?? 0) - $quantity;
        }
        $orders = [];
        foreach ($supply->orders as [$first, $done, $quantity, , $issued]) {
            $changes[max(0, $done)] = ($changes[max(0, $done)] ?? 0) + $quantity;
            if (! $issued && $first < $this->days) {
                $orders[] = [max(0, $first), $quantity];
            }
        }
        ksort($changes);
        $available = $supply->onHand;
        $lead = $supply->leadDays;
        foreach ($changes as $day => $change) {
            if ($day >= $this->days) {
                break;
            }
            $available += $change;
            if ($available < 0) {
                $orders[] = [$day > $lead ? $day - $lead : 0, -$available];
                $available = 0;
            }
        }

        return $orders;
    }
}
