<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\ShortagePage;
use App\CutIn\Data\ShortageRow;
use App\Days\Today;
use App\Planning\ExposureReader;
use App\Structures\DatedData;
use App\Structures\Index\ItemWeb;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use App\Structures\StructureView;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\CutIn\Above;
use Orthotaxis\Core\CutIn\NodeSupply;
use Orthotaxis\Core\CutIn\PlantDays;
use Orthotaxis\Core\CutIn\PlantNet;
use Orthotaxis\Core\CutIn\Requirements;
use Orthotaxis\Core\CutIn\Shortage;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;

/**
 * Whether there is enough of what takes the place of a part in some of its parents, until what is ordered today can be there. Demand is
 * netted and exploded as for the day to cut in; lead times are working days of five a week.
 */
final readonly class ShortageReader
{
    private const WEEK = 7;

    private const WORKING = 5;

    public function __construct(private ExposureReader $exposure) {}

    /**
     * @param  list<array{Item, Quantity}>  $new  with how many take the place of one old
     * @param  list<int>  $parents  ids of those in which it is replaced
     */
    public function of(Item $old, array $new, array $parents, Day $first): ShortagePage
    {
        $web = new ItemWeb(StructureIndex::open(StructureView::asBuilt('')));
        $today = Today::day();
        $days = config()->integer('cut-in.days');
        $parts = [$old->id, ...array_map(static fn(array $one): int => $one[0]->id, $new)];
        $items = PlannedItem::among(Above::of([$web], $parts, $today->number(), $days)->order);
        $known = KnownSupply::ask($this->exposure, $items, $today, Places::one());
        $supply = array_map(
            static fn(PlannedItem $item): NodeSupply => $known->supply($item->id) ?? new NodeSupply(leadDays: (int) $item->leadDays),
            $items,
        );
        $requirements = Requirements::of(
            [new PlantNet($web, PlantDays::all(), $supply, uses: [$old->id => array_fill_keys($parents, 0)])],
            array_values(array_unique($parts)),
            $today->number(),
            $days,
        );
        // Spares of the old part are sold on: they take none of the new.
        $needed = $requirements->demand(0, $old->id)->until;
        $leads = DatedData::on($first, array_map(static fn(array $one): int => $one[0]->id, $new));
        $rows = [];
        foreach ($new as [$item, $ratio]) {
            $own = $known->supply($item->id);
            $lead = $leads->leadTime($item->id, $item->lead_time_days);
            $more = min($days, $lead === null ? $days : intdiv($lead * self::WEEK + self::WORKING - 1, self::WORKING));
            $short = Shortage::of(
                array_map(static fn(int $one): int => FixedPoint::scale($one, $ratio->millionths, Quantity::ONE), $needed),
                $requirements->demand(0, $item->id)->others,
                $own->onHand ?? 0,
                array_map(static fn(array $order): array => [$order[1], $order[2]], $own->orders ?? []),
                max(0, $first->number() - $today->number()),
                $more,
            );
            $rows[] = new ShortageRow(
                item: $item->number,
                unit: $item->unit->value,
                needed: (string) Quantity::ofMillionths($short->needed),
                short: (string) Quantity::ofMillionths($short->short),
                short_from: $short->from === null ? null : (string) $today->plusDays($short->from),
                until: (string) $today->plusDays($more),
                lead_time_known: $lead !== null,
                in_planning: $own !== null,
            );
        }

        return new ShortagePage($rows, $known->told->at?->toIso8601String(), $known->told->fault);
    }
}
