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

    /** @var list<Requirement> in the order they were found */
    public array $rows = [];

    private function __construct(private readonly Adjacency $web, private readonly int $component, private readonly int $today, private readonly int $days) {}

    /**
     * @param  int  $today  as Day::number counts
     * @param  array<int, NodeSupply>  $supply  by position; what is left out has nothing
     *
     * @throws Loop when something contains itself
     */
    public static function of(Adjacency $web, int $component, int $today, int $days, array $supply): self
    {
        $requirements = new self($web, $component, $today, $days);
        foreach ($supply[$component]->wanted ?? [] as [$day, $quantity, $document]) {
            if ($day < $days) {
                $requirements->rows[] = new Requirement(max(0, $day), $quantity, null, $document);
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
        $byDay = array_fill(0, $this->days, 0);
        foreach ($this->rows as $row) {
            $byDay[$row->day] = FixedPoint::add($byDay[$row->day], $row->quantity);
        }

        return array_values($byDay);
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
            foreach ($orders as [$day, $quantity, $document]) {
                if (! Span::holdsOn($list[$at + 2], $this->today + $day)) {
                    continue;
                }
                $wanted = FixedPoint::scale($quantity, $list[$at + 1], Quantity::ONE);
                if ($to === $this->component) {
                    $this->rows[] = new Requirement($day, $wanted, $position, $document);
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
     * @return list<array{int, int, string}> first day, millionths, document
     */
    private function orders(NodeSupply $supply, array $dependent): array
    {
        $changes = array_map(static fn (int $wanted): int => -$wanted, $dependent);
        foreach ($supply->wanted as [$day, $quantity]) {
            $changes[max(0, $day)] = ($changes[max(0, $day)] ?? 0) - $quantity;
        }
        $orders = [];
        foreach ($supply->orders as [$first, $done, $quantity, $document, $issued]) {
            $changes[max(0, $done)] = ($changes[max(0, $done)] ?? 0) + $quantity;
            if (! $issued && $first < $this->days) {
                $orders[] = [max(0, $first), $quantity, $document];
            }
        }
        ksort($changes);
        $available = $supply->onHand;
        foreach ($changes as $day => $change) {
            if ($day >= $this->days) {
                break;
            }
            $available += $change;
            if ($available < 0) {
                $orders[] = [max(0, $day - $supply->leadDays), -$available, ''];
                $available = 0;
            }
        }

        return $orders;
    }
}
