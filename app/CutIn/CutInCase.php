<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInAssumption;
use App\CutIn\Data\CutInDocument;
use App\Structures\Models\Item;
use Illuminate\Support\Collection;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\Peg;
use Orthotaxis\Core\CutIn\PlantCase;

/** A question to the cut-in planner with all that is known of it. */
final readonly class CutInCase
{
    /**
     * @param  non-empty-list<PlantCase>  $plants
     * @param  list<list<list<Peg>>>  $pegs  of each plant and part; empty unless asked for
     * @param  list<CutInDocument>  $documents
     * @param  list<CutInAssumption>  $assumptions
     * @param  Collection<string, Item>  $items  by number
     * @param  list<string>  $idle  numbers of parts that nobody wants at any plant, neither before nor after
     */
    public function __construct(
        public array $plants,
        public array $pegs,
        public array $documents,
        public array $assumptions,
        public Levers $levers,
        public Collection $items,
        public Basis $basis,
        public Day $today,
        public array $idle,
    ) {}
}
