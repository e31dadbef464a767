<?php

declare(strict_types=1);

namespace App\Manufacturing\Events;

use App\Ledger\Deed;

/** When a plant works and where it is in time is set. */
final readonly class PlantSet extends Deed
{
    public const NAME = 'plant.set';

    /**
     * @param  list<int>  $weekdays
     * @param  list<array{day: string, works: bool, name: string}>  $days
     */
    public function __construct(
        string $by,
        string $of,
        public ?string $timeZone,
        public array $weekdays,
        public string $shifts,
        public array $days,
    ) {
        parent::__construct($by, $of);
    }
}
