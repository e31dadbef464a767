<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Manufacturing\Data\OperationData;
use App\Manufacturing\Data\RoutingPage;
use App\Manufacturing\Data\UnitCostData;
use App\Structures\Models\Item;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Manufacturing\ManufacturingContent;

/** How a plant makes an item, as it is in force on a day. */
final readonly class RoutingReader
{
    public function __construct(private PlantStructures $plants, private UnitCosts $costs) {}

    /** @param  ?string  $plant  null: the first that builds it */
    public function read(Item $item, ?string $plant, Day $day): RoutingPage
    {
        $built = $this->plants->inForce(collect([$item]), [], $day);
        $chosen = collect($built)->first(static fn(BuiltAt $one): bool => $plant === null || $one->plant === $plant);
        $content = $chosen->content ?? new ManufacturingContent();
        [$material, $routing] = $this->costs->of($chosen->plant ?? '', $day, [$content])[0];

        return new RoutingPage(
            item: $item->number,
            plant: $chosen?->plant,
            plants: array_map(static fn(BuiltAt $one): string => $one->plant, $built),
            built: $chosen?->released?->code,
            batch: (string) $content->routing->batch,
            operations: array_values(array_map(OperationData::of(...), $content->routing->operations)),
            cost: UnitCostData::of($material, $routing),
        );
    }
}
