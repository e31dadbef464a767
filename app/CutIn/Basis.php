<?php

declare(strict_types=1);

namespace App\CutIn;

/** What no lever moves: what is wanted of the parts at each plant, and what planning told. */
final readonly class Basis
{
    /**
     * @param  non-empty-list<PlantBasis>  $plants
     * @param  non-empty-list<int>  $parts  ids, in the order in which they are asked about
     * @param  list<string>  $withoutCalendar  plants that are taken to work every day
     * @param  list<string>  $otherPlaces  places that planning tells of and that are no plants
     * @param  array<int, list<int>>  $homes  by id of the part: plants that make or buy it
     */
    public function __construct(
        public array $plants,
        public array $parts,
        public KnownSupply $supply,
        public array $withoutCalendar,
        public array $otherPlaces,
        public array $homes,
    ) {}
}
