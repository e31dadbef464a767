<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Adjacency\Loop;
use Orthotaxis\Core\Adjacency\Neighbours;
use Orthotaxis\Core\Adjacency\Span;
use Orthotaxis\Core\Refusal;

use function count;

/**
 * The dependent demand for some parts by day and plant: what is sold and forecast above them, less what is on the shelf and being made on
 * the way down, exploded through the lines that hold on the day an order begins. Level by level from the top, each item once at each plant
 * (material requirements planning, lot for lot); phantoms are blown through. What would have had to begin before today is late, and is
 * on no day: see docs/decisions/0030.
 */
final class Requirements
{
    /** More than anybody looks through, and than fits the memory of a request. */
    private const MOST_PEGS = 300_000;

    /** @var list<Waiting> of each plant */
    private array $waiting;

    /** @var list<array<int, PartDemand>> of each plant, by part */
    private array $demands;

    /** @var list<array<int, true>> of each plant: positions of the parents whose orders take any of a part until the cut-in */
    public array $takers;

    /** @var list<array<int, array<int, int>>> of each plant: parent => part => millionths that one takes from the cut-in on */
    private readonly array $after;

    /** @var array<int, int> position => the day behind the last on which an order for it matters */
    private readonly array $limits;

    /** @var array<int, array<int, int>> plant => working days => days that they take at most */
    private array $longest = [];

    /**
     * @param  non-empty-list<PlantNet>  $plants
     * @param  array<int, true>  $parts  by position
     */
    private function __construct(
        private readonly array $plants,
        private readonly array $parts,
        private readonly Above $above,
        private readonly int $today,
        private readonly int $days,
        bool $tells,
    ) {
        $this->limits = $above->limits(array_keys($parts), $days, $this->takes(...));
        // What is wanted of something until then is begun within its limit.
        $end = $days;
        foreach ($this->limits as $position => $limit) {
            $end = max($end, $limit + $this->takes($position));
        }
        $this->waiting = array_map(static fn(PlantNet $plant): Waiting => new Waiting($plant, $end), $plants);
        $this->demands = array_map(
            static fn(): array => array_map(static fn(): PartDemand => new PartDemand($days, $tells), $parts),
            $plants,
        );
        $this->takers = array_map(static fn(): array => [], $plants);
        $this->after = array_map(static function (PlantNet $plant): array {
            $after = [];
            foreach ($plant->uses as $part => $parents) {
                foreach ($parents as $parent => $each) {
                    $after[$parent][$part] = $each;
                }
            }

            return $after;
        }, $plants);
    }

    /**
     * @param  non-empty-list<PlantNet>  $plants
     * @param  non-empty-list<int>  $parts  positions
     * @param  int  $today  as Day::number counts
     * @param  bool  $tells  whether to tell what the demand is made of
     *
     * @throws Loop when something contains itself
     * @throws Refusal when there is too much to tell what the demand is made of
     */
    public static function of(array $plants, array $parts, int $today, int $days, bool $tells = false): self
    {
        $requirements = new self(
            plants: $plants,
            parts: array_fill_keys($parts, true),
            above: self::above($plants, $parts, $today, $days),
            today: $today,
            days: $days,
            tells: $tells,
        );
        foreach ($requirements->above->order as $position) {
            // What comes from another plant is wanted there: that one after those it serves.
            foreach ([true, false] as $comes) {
                foreach ($plants as $plant => $net) {
                    if (isset($net->from[$position]) === $comes) {
                        $requirements->visit($plant, $position);
                    }
                    $tells && $requirements->mayTellAll();
                }
            }
        }

        return $requirements;
    }

    /**
     * The parts, the parents that take them from the cut-in on, and all that is above either.
     *
     * @param  non-empty-list<PlantNet>  $plants
     * @param  list<int>  $parts
     *
     * @throws Loop when something contains itself
     */
    private static function above(array $plants, array $parts, int $today, int $days): Above
    {
        $uses = [];
        foreach ($plants as $plant) {
            foreach ($plant->uses as $part => $parents) {
                $uses[$part] = ($uses[$part] ?? []) + $parents;
            }
        }
        $webs = array_map(static fn(PlantNet $plant): Neighbours => $plant->web, $plants);

        return Above::of($webs, $parts, $today, $days, $uses);
    }

    public function demand(int $plant, int $part): Demand
    {
        return $this->demands[$plant][$part]->demand();
    }

    /** @return list<Peg> what the demand is made of, where that was asked for */
    public function pegs(int $plant, int $part): array
    {
        return $this->demands[$plant][$part]->pegs;
    }

    /** Days to make one of an item, or to bring it from another plant, at most, at the slowest plant. */
    private function takes(int $position): int
    {
        $most = 0;
        foreach ($this->plants as $at => $net) {
            $lead = $net->supply[$position]->leadDays ?? 0;
            $bring = isset($net->from[$position]) ? $net->transferDays : 0;
            $most = max(
                $most,
                ($lead === 0 ? 0 : ($this->longest[$at][$lead] ??= $net->days->longest($lead))) +
                    ($bring === 0 ? 0 : ($this->longest[$at][$bring] ??= $net->days->longest($bring))),
            );
        }

        return $most;
    }

    private function visit(int $plant, int $position): void
    {
        $net = $this->plants[$plant];
        $demand = $this->demands[$plant][$position] ?? null;
        if ($demand !== null) {
            $supply = $net->supply[$position] ?? new NodeSupply();
            foreach ($supply->wantedOn as $i => $day) {
                $demand->sell($position, $day, $supply->wanted[$i], $supply->wantedBy[$i]);
            }
            foreach (Waiting::beyond($supply, $this->days) as $day) {
                $demand->sell($position, $day, $supply->weekly, '');
            }
        }
        $to = $net->from[$position] ?? null;
        if ($to !== null) {
            $demand?->send(
                $this->demands[$to][$position],
                static fn(int $day): int => max(0, $net->days->before($day, $net->transferDays)),
            );
            $this->waiting[$plant]->send($position, $this->waiting[$to]);

            return;
        }
        $lines = $net->web->downOf($position);
        if (count($lines) > 2 || isset($this->after[$plant][$position])) {
            $orders = $this->waiting[$plant]->orders($position, $this->limits[$position] ?? $this->days);
            if (!$orders->areNone()) {
                $this->explode($plant, $position, $lines, $orders);
            }
        }
    }

    /** @param  list<int>  $lines  of the web */
    private function explode(int $plant, int $position, array $lines, Orders $orders): void
    {
        for ($at = 2, $n = count($lines); $at < $n; $at += 3) {
            $to = $lines[$at];
            if (!$this->above->has($to)) {
                continue;
            }
            $span = $lines[$at + 2];
            $from = (($span >> 20) & Span::EVER) - $this->today;
            $until = ($span & Span::EVER) - $this->today;
            $isBlown = ($span & Span::PHANTOM) !== 0;
            // What is blown through is not wanted itself, not even as a part.
            if (isset($this->parts[$to]) && !$isBlown) {
                $isChanged = isset($this->plants[$plant]->uses[$to][$position]);
                if ($isChanged) {
                    $this->takers[$plant][$position] = true;
                }
                $this->demands[$plant][$to]->take(
                    $isChanged ? Claim::Until : Claim::Others,
                    $position,
                    $orders,
                    $lines[$at + 1],
                    $from,
                    $until,
                );
            }
            // A part is netted itself only where others are made of it.
            if ($this->above->isParent($to)) {
                $this->waiting[$plant]->take($to, $orders, $lines[$at + 1], $from, $until, $isBlown);
            }
        }
        foreach ($this->after[$plant][$position] ?? [] as $part => $each) {
            if ($each !== 0) {
                $this->demands[$plant][$part]->take(Claim::From, $position, $orders, $each, 0, $this->days);
            }
        }
    }

    private function mayTellAll(): void
    {
        $told = 0;
        foreach ($this->demands as $parts) {
            foreach ($parts as $demand) {
                $told += count($demand->pegs);
            }
        }
        if ($told > self::MOST_PEGS) {
            throw Refusal::at(
                'on',
                sprintf('More than %s orders take these parts: they cannot be told one by one.', number_format(self::MOST_PEGS)),
            );
        }
    }
}
