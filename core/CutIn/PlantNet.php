<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Adjacency\Neighbours;

/** One plant, for whoever nets what is wanted down to some parts. */
final readonly class PlantNet
{
    /**
     * @param  Neighbours  $web  what it builds; all plants count the same positions
     * @param  array<int, NodeSupply>  $supply  by position; what is left out has nothing
     * @param  array<int, int>  $from  by position: which of the plants it comes from, where this one neither makes nor buys it
     * @param  int  $transferDays  working days that this takes
     * @param  array<int, array<int, int>>  $uses  part => parent => millionths of it that one takes from the cut-in on, of the parents in
     *     which the change is made; in all others it stays as it is
     */
    public function __construct(
        public Neighbours $web,
        public PlantDays $days,
        public array $supply = [],
        public array $from = [],
        public int $transferDays = 0,
        public array $uses = [],
    ) {}
}
