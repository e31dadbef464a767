<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Adjacency\Adjacency;
use Orthotaxis\Core\Adjacency\Loop;
use Orthotaxis\Core\Adjacency\Span;
use Orthotaxis\Core\Adjacency\TopologicalOrder;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;

use function array_filter;
use function count;
use function is_int;

/**
 * The dependent demand for one component by day: what is sold and forecast above it, less what is on the shelf and being
 * made on the way down, exploded through the lines that hold on the day an order begins. Level by level from the top, each
 * item once (material requirements planning, lot for lot).
 */
final class Requirements
{
    /** More than anybody looks through, and than fits the memory of a request. */
    private const MOST_PEGS = 300_000;

    /**
     * @var array<int, array<int, int>> position => day => millionths wanted by orders of parents; only days that have any: tens of
     * thousands of items wait here
     */
    private array $dependent = [];

    /** @var array<int, int> day => millionths of the component, without gaps */
    private array $wanted;

    /** @var list<int> a zero for every day */
    private array $nothing;

    /** @var list<Peg> what the demand is made of, when that was asked for */
    public array $pegs = [];

    /** @var list<int> positions of the parents whose orders take any of it */
    public array $parents = [];

    private function __construct(
        private readonly Adjacency $web,
        private readonly int $component,
        private readonly int $today,
        private readonly int $days,
        private readonly bool $pegged = false,
    ) {
        $this->wanted = $this->nothing = array_fill(0, $days, 0);
    }

    /**
     * @param  int  $today  as Day::number counts
     * @param  array<int, NodeSupply>  $supply  by position; what is left out has nothing
     * @param  bool  $pegged  whether to tell what the demand is made of
     *
     * @throws Loop when something contains itself
     * @throws Refusal when there is too much to tell what the demand is made of
     */
    public static function of(Adjacency $web, int $component, int $today, int $days, array $supply, bool $pegged = false): self
    {
        $requirements = new self($web, $component, $today, $days, $pegged);
        // What is sold of the component itself.
        $own = $supply[$component] ?? new NodeSupply();
        foreach ($own->wantedOn as $i => $day) {
            if ($day < $days) {
                $requirements->wanted[max(0, $day)] += $own->wanted[$i];
                $requirements->peg($component, max(0, $day), $own->wanted[$i], $own->wantedBy[$i]);
            }
        }
        [$above, $order] = $requirements->above();
        foreach ($order as $position) {
            $requirements->explode($position, $supply[$position] ?? new NodeSupply(), $above);
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
            if (!is_int($sum)) {
                throw new \OverflowException('The demand of a day becomes too large here to be kept exactly.');
            }
        }

        return array_values($this->wanted);
    }

    /**
     * All that is above the component on any of the days.
     *
     * @return array{array<int, int>, list<int>} position => how many of its users are above too, the component included; every item
     *     after all that use it
     */
    private function above(): array
    {
        $users = [$this->component => 0];
        $below = [];
        for ($queue = [$this->component], $i = 0; $i < count($queue); $i++) {
            $seen = [];
            $list = $this->web->upOf($queue[$i]);
            for ($at = 2, $n = count($list); $at < $n; $at += 3) {
                if (isset($seen[$list[$at]]) || !$this->holdsSometime($list[$at + 2])) {
                    continue;
                }
                $seen[$list[$at]] = true;
                $users[$queue[$i]]++;
                $below[$list[$at]][] = $queue[$i];
                if (!isset($users[$list[$at]])) {
                    $users[$list[$at]] = 0;
                    $queue[] = $list[$at];
                }
            }
        }
        $waiting = $users;
        $order = array_keys(array_filter($waiting, static fn(int $count): bool => $count === 0));
        for ($i = 0; $i < count($order); $i++) {
            foreach ($below[$order[$i]] ?? [] as $position) {
                if (--$waiting[$position] === 0) {
                    $order[] = $position;
                }
            }
        }
        if (count($order) < count($users)) {
            // Over all days together something contains itself; on one day that is told with its way.
            TopologicalOrder::above($this->web, [$this->component], $this->today);
            throw new Loop([$this->component, $this->component]);
        }

        return [$users, array_values(array_filter($order, fn(int $position): bool => $position !== $this->component))];
    }

    private function holdsSometime(int $span): bool
    {
        return (($span >> 20) & Span::EVER) < $this->today + $this->days && ($span & Span::EVER) > $this->today;
    }

    /** @param  array<int, int>  $above */
    private function explode(int $position, NodeSupply $supply, array $above): void
    {
        [$begins, $quantities] = $this->orders($supply, $this->dependent[$position] ?? []);
        unset($this->dependent[$position]);
        if ($begins === []) {
            return;
        }
        $placed = $this->pegged ? $this->placed($supply) : [];
        $list = $this->web->downOf($position);
        for ($at = 2, $n = count($list); $at < $n; $at += 3) {
            $to = $list[$at];
            if (!isset($above[$to])) {
                continue;
            }
            if ($to === $this->component) {
                $this->parents[] = $position;
            }
            // The innermost loop: an order and a line. Days and products are plain integers here, and exact as everywhere.
            $from = (($list[$at + 2] >> 20) & Span::EVER) - $this->today;
            $until = ($list[$at + 2] & Span::EVER) - $this->today;
            $each = $list[$at + 1];
            $pegged = $this->pegged && $to === $this->component;
            $wanted = $to === $this->component ? $this->wanted : $this->dependent[$to] ?? [];
            $always = $from <= 0 && $until >= $this->days;
            foreach ($begins as $i => $day) {
                if ($always || ($day >= $from && $day < $until)) {
                    // Divides without a rest to an integer; anything else becomes a float.
                    $quantity = ($quantities[$i] * $each) / Quantity::ONE;
                    if (!is_int($quantity)) {
                        $quantity = FixedPoint::scale($quantities[$i], $each, Quantity::ONE);
                    }
                    $wanted[$day] = ($wanted[$day] ?? 0) + $quantity;
                    if ($pegged) {
                        $this->peg($position, $day, $quantity, $placed[$i] ?? '');
                    }
                }
            }
            if ($to === $this->component) {
                $this->wanted = $wanted;
            } else {
                $this->dependent[$to] = $wanted;
            }
        }
    }

    /**
     * The orders that take parts: those placed, and one for each day on which there is too little.
     *
     * @param  array<int, int>  $dependent  millionths by day; or none
     * @return array{list<int>, list<int>} the first day of each, and its millionths: an array an order would cost more than netting it
     */
    private function orders(NodeSupply $supply, array $dependent): array
    {
        // One sum a day: writing into a list of all days is quicker than sorting those that have something.
        $changes = $this->nothing;
        foreach ($dependent as $day => $quantity) {
            $changes[$day] -= $quantity;
        }
        $end = $this->days;
        $wanted = $supply->wanted;
        foreach ($supply->wantedOn as $i => $day) {
            if ($day < $end) {
                $changes[$day < 0 ? 0 : $day] -= $wanted[$i];
            }
        }
        $begins = $quantities = [];
        foreach ($supply->orders as [$first, $done, $quantity, , $issued]) {
            if ($done < $end) {
                $changes[max(0, $done)] += $quantity;
            }
            if (!$issued && $first < $end) {
                $begins[] = max(0, $first);
                $quantities[] = $quantity;
            }
        }
        $available = $supply->onHand;
        $lead = $supply->leadDays;
        foreach (array_filter($changes) as $day => $change) {
            $available += $change;
            if ($available < 0) {
                // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
                is_int($available) || throw new \OverflowException('The demand of a day becomes too large here to be kept exactly.');
                $begins[] = $day > $lead ? $day - $lead : 0;
                $quantities[] = -$available;
                $available = 0;
            }
        }

        return [$begins, $quantities];
    }

    /** @return list<string> documents of the orders that are placed, where orders() puts them */
    private function placed(NodeSupply $supply): array
    {
        $placed = [];
        foreach ($supply->orders as [$first, , , $document, $issued]) {
            if (!$issued && $first < $this->days) {
                $placed[] = $document;
            }
        }

        return $placed;
    }

    private function peg(int $position, int $day, int $quantity, string $document): void
    {
        if ($this->pegged && $quantity !== 0) {
            if (count($this->pegs) === self::MOST_PEGS) {
                throw Refusal::at(
                    'on',
                    sprintf('More than %s orders take this part: they cannot be told one by one.', number_format(self::MOST_PEGS)),
                );
            }
            $this->pegs[] = new Peg($position, $day, $quantity, $document);
        }
    }
}
