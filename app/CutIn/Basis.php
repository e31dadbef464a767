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

    /**
     * The plants of which stock and receipts of a part count at one: itself, those that have the part from there, and, for the first that
     * wants any, those where nobody does.
     *
     * @param  list<int>  $wanted  plants that wanted it before, whether they still do or not
     * @return list<int>
     */
    public function places(int $part, int $at, array $wanted = []): array
    {
        $wanting = array_keys(
            array_filter(
                $this->plants,
                static fn(PlantBasis $plant, int $one): bool => in_array($one, $wanted, true) || !$plant->demand[$part]->isNone(),
                ARRAY_FILTER_USE_BOTH,
            ),
        );
        $places = [$at];
        foreach (array_keys($this->plants) as $other) {
            $to = in_array($other, $wanting, true) ? $other : $this->homes[$part][$other];
            $to = in_array($to, $wanting, true) ? $to : $wanting[0] ?? $at;
            if ($other !== $at && $to === $at) {
                $places[] = $other;
            }
        }

        return $places;
    }
}
