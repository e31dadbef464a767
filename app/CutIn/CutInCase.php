<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInDocument;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\OpenOrder;
use Orthotaxis\Core\CutIn\Pair;
use Orthotaxis\Core\CutIn\Peg;

/** A question to the cut-in planner with all that is known of it. */
final readonly class CutInCase
{
    /**
     * @param  array<string, mixed>  $question
     * @param  non-empty-list<Pair>  $pairs
     * @param  list<list<Peg>>  $pegs  of each pair; empty unless asked for
     * @param  list<OpenOrder>  $orders
     * @param  list<CutInDocument>  $documents
     * @param  Collection<array-key, Item>  $items  by number
     * @param  string  $plant  as which it is built; empty: there is none
     */
    public function __construct(
        public array $question,
        public array $pairs,
        public array $pegs,
        public array $orders,
        public array $documents,
        public Levers $levers,
        public Collection $items,
        public KnownSupply $supply,
        public StructureIndex $index,
        public string $plant,
        public Day $today,
        public int $expedite,
    ) {}
}
