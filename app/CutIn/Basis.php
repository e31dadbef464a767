<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInDocument;
use Orthotaxis\Core\CutIn\OpenOrder;
use Orthotaxis\Core\CutIn\Peg;

/** What no lever moves: what is wanted of the old parts, the work orders that take them, and what planning told. */
final readonly class Basis
{
    /**
     * @param  list<list<int>>  $demand  of each pair: millionths of the old part wanted on each day
     * @param  array<string, array{OpenOrder, CutInDocument}>  $orders  by what they are told under
     * @param  list<list<Peg>>  $pegs  of each pair: what the demand is made of; empty unless asked for
     */
    public function __construct(public array $demand, public array $orders, public KnownSupply $supply, public array $pegs = []) {}
}
