<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInDocument;
use Orthotaxis\Core\CutIn\Demand;
use Orthotaxis\Core\CutIn\OpenOrder;
use Orthotaxis\Core\CutIn\Peg;
use Orthotaxis\Core\CutIn\PlantDays;

/** What no lever moves at one plant: what is wanted there of the parts, and the work orders that take them. */
final readonly class PlantBasis
{
    /**
     * @param  array<int, Demand>  $demand  by id of the part
     * @param  list<array{OpenOrder, CutInDocument}>  $orders
     * @param  array<int, list<Peg>>  $pegs  by id of the part: what the demand is made of; empty unless asked for
     */
    public function __construct(
        public string $plant,
        public PlantDays $days,
        public array $demand,
        public array $orders,
        public array $pegs,
    ) {}
}
