<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Manufacturing\Data\OperationRow;
use App\Manufacturing\Data\RoutingComparisonPage;
use App\Manufacturing\Data\RoutingSide;
use App\Manufacturing\Data\UnitCostData;
use App\Orders\OrderSide;
use App\Structures\Compare\SideSpec;
use Orthotaxis\Core\Manufacturing\ManufacturingContent;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Routing\RoutingComparison;
use Orthotaxis\Core\Structure\StructureKind;

/** Compares how an item is made: at two plants, in two revisions, on two days, before and after an order. */
final readonly class RoutingCompareReader
{
    public function __construct(
        private PlantStructures $plants,
        private ManufacturingContents $contents,
        private OrderSide $ordered,
        private UnitCosts $costs,
    ) {}

    /** @throws Refusal naming the field of the side that cannot be had */
    public function compare(SideSpec $left, SideSpec $right): RoutingComparisonPage
    {
        [$plantBefore, $builtBefore, $before] = $this->side($left, 'left');
        [$plantAfter, $builtAfter, $after] = $this->side($right, 'right');
        $costBefore = $this->costs->of($plantBefore, $left->day, [$before->on($left->day)])[0];
        $cost = $this->costs->of($plantAfter, $right->day, [$after->on($right->day)])[0];

        return new RoutingComparisonPage(
            before: new RoutingSide($plantBefore, $builtBefore, (string) $before->routing->batch, UnitCostData::of(...$costBefore)),
            after: new RoutingSide($plantAfter, $builtAfter, (string) $after->routing->batch, UnitCostData::of(...$cost)),
            operations: array_map(OperationRow::of(...), RoutingComparison::of($before->routing, $after->routing)->operations),
            difference: (string) UnitCostData::total(...$cost)->minus(UnitCostData::total(...$costBefore)),
        );
    }

    /** @return array{string, ?string, ManufacturingContent} plant, revision, and what it says */
    private function side(SideSpec $spec, string $side): array
    {
        if ($spec->view->kind !== StructureKind::Manufacturing || $spec->file !== null) {
            throw Refusal::at("{$side}_kind", 'Only manufacturing structures of plants have operations.');
        }
        if ($spec->order !== null) {
            [$work, $content] = $this->ordered->content($spec, "{$side}_order");

            return [$work->subject->plant, $work->base->becomes(), ManufacturingContents::built($content)];
        }
        if ($spec->revision !== null) {
            $record = $spec->builtRevision("{$side}_revision");

            return [$record->plant, $record->code, $this->contents->read([$record->id])[$record->id]];
        }
        $built = $this->plants->inForce(collect([$spec->item]), [], $spec->day);
        // As trees have it: the plant's own, else that of the first.
        $own = array_values(array_filter($built, static fn(BuiltAt $one): bool => $one->plant === $spec->view->plant));
        $one = $own[0] ?? ($built[0] ?? null);

        return [$one->plant ?? '', $one?->released?->code, $one->content ?? new ManufacturingContent()];
    }
}
