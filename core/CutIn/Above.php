<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Adjacency\Loop;
use Orthotaxis\Core\Adjacency\Neighbours;
use Orthotaxis\Core\Adjacency\Span;

use function array_filter;
use function count;

/** All that is above some parts on any of some days, as any plant builds it; every item after all that use it. */
final readonly class Above
{
    /**
     * @param  list<int>  $order  positions, the parts included
     * @param  array<int, list<int>>  $below  by position: what of these it uses
     * @param  array<int, int>  $users  by position of each
     */
    private function __construct(public array $order, private array $below, private array $users) {}

    /**
     * @param  list<Neighbours>  $webs
     * @param  list<int>  $parts  positions
     * @param  int  $today  as Day::number counts
     * @param  array<int, array<int, mixed>>  $uses  part => parent => anything: what uses it besides, or will
     *
     * @throws Loop when something contains itself
     */
    public static function of(array $webs, array $parts, int $today, int $days, array $uses = []): self
    {
        $users = array_fill_keys($parts, 0);
        $below = [];
        for ($queue = array_values(array_unique($parts)), $i = 0; $i < count($queue); $i++) {
            $position = $queue[$i];
            $found = array_fill_keys(array_keys($uses[$position] ?? []), true);
            foreach ($webs as $web) {
                $list = $web->upOf($position);
                for ($at = 2, $n = count($list); $at < $n; $at += 3) {
                    if (self::holdsSometime($list[$at + 2], $today, $days)) {
                        $found[$list[$at]] = true;
                    }
                }
            }
            foreach (array_keys($found) as $user) {
                $users[$position]++;
                $below[$user][] = $position;
                if (!isset($users[$user])) {
                    $users[$user] = 0;
                    $queue[] = $user;
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
            throw new Loop(self::round($below, array_filter($waiting)));
        }

        return new self($order, $below, $users);
    }

    /**
     * @param  array<int, list<int>>  $below
     * @param  array<int, int>  $caught  what waits for itself, or is below what does
     * @return list<int> a way round
     */
    private static function round(array $below, array $caught): array
    {
        $users = [];
        foreach ($below as $user => $used) {
            foreach (isset($caught[$user]) ? $used : [] as $position) {
                $users[$position] = $user;
            }
        }
        $way = [];
        for ($at = (int) array_key_first($caught); !isset($way[$at]); $at = $users[$at]) {
            $way[$at] = count($way);
        }
        $round = array_reverse(array_slice(array_keys($way), $way[$at]));

        return [...$round, $round[0]];
    }

    public function has(int $position): bool
    {
        return isset($this->users[$position]);
    }

    /** Whether any of these is made of it. */
    public function isParent(int $position): bool
    {
        return isset($this->below[$position]);
    }

    /**
     * Of each position: the day behind the last on which an order for it can begin and still take anything that is wanted of the parts
     * within the time looked at.
     *
     * @param  list<int>  $parts  positions
     * @param  \Closure(int): int  $takes  days to make one, at most, by position
     * @return array<int, int> none of what nothing is made of
     */
    public function limits(array $parts, int $days, \Closure $takes): array
    {
        $isPart = array_fill_keys($parts, true);
        $limits = [];
        foreach (array_reverse($this->order) as $position) {
            foreach ($this->below[$position] ?? [] as $used) {
                $until = isset($limits[$used]) ? $limits[$used] + $takes($used) : 0;
                $limits[$position] = max($limits[$position] ?? 0, $until, isset($isPart[$used]) ? $days : 0);
            }
        }

        return $limits;
    }

    private static function holdsSometime(int $span, int $today, int $days): bool
    {
        return (($span >> 20) & Span::EVER) < $today + $days && ($span & Span::EVER) > $today;
    }
}
