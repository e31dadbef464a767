<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use App\Days\Today;
use App\Http\Api\ListOf;
use App\Manufacturing\Models\Plant;
use App\Manufacturing\Models\PlantDay;
use App\Manufacturing\Models\WorkCentre;
use App\Vocabulary\Models\Choice;
use Illuminate\Support\Collection;
use OpenApi\Attributes as OA;

/** A plant, when it works, and its work centres. */
#[OA\Schema]
final readonly class PlantRow
{
    /**
     * @param  list<int>  $weekdays
     * @param  list<PlantDayRow>  $days
     * @param  list<WorkCentreRow>  $work_centres
     */
    private function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'offered no longer')] public bool $retired,
        #[OA\Property(description: 'null: that of the installation')] public ?string $time_zone,
        #[OA\Property(description: 'the day it is there')] public string $today,
        #[ListOf('integer')] public array $weekdays,
        #[OA\Property(description: 'such as 06:00-14:00, 14:00-22:00; empty: not set up')] public string $shifts,
        #[OA\Property(description: 'worked on a working day')] public int $minutes,
        #[ListOf(PlantDayRow::class)] public array $days,
        #[OA\Property(description: '0: never set up')] public int $version,
        #[ListOf(WorkCentreRow::class)] public array $work_centres,
    ) {}

    /** @param  Collection<int, WorkCentre>  $centres  of the plant */
    public static function of(Choice $site, ?Plant $plant, Collection $centres): self
    {
        return new self(
            code: $site->code,
            name: $site->name,
            retired: $site->retired,
            time_zone: $plant?->time_zone,
            today: (string) Today::inZone($plant?->time_zone),
            weekdays: $plant->weekdays ?? [1, 2, 3, 4, 5],
            shifts: $plant->shifts ?? '',
            minutes: $plant?->calendar()->minutes() ?? 0,
            days: $plant?->days
                ->map(static fn(PlantDay $day): PlantDayRow => new PlantDayRow($day->day, $day->works, $day->name))
                ->values()
                ->all() ?? [],
            version: $plant->version ?? 0,
            work_centres: $centres->map(WorkCentreRow::of(...))->values()->all(),
        );
    }
}
