<?php

declare(strict_types=1);

namespace App\Structures;

use App\Structures\Data\SummaryPage;
use App\Structures\Data\SummaryRow;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Adjacency\RollUp;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;

/** All that is in one item, each component once, and what that adds up to. */
final readonly class SummaryReader
{
    public const AT_MOST = 500;

    /** So many numbers of items without a value are named. */
    private const NAMED = 20;

    /** Milligrams have six decimals in kilograms. */
    private const MASS_PLACES = 6;

    public function read(Item $item, StructureView $view, Day $day, int $from): SummaryPage
    {
        $index = StructureIndex::open($view);
        $top = $index->positions->of($item->id);
        $explosion = $index->explosion($item->id, $day);
        $order = [];
        $totals = $explosion->totals();
        foreach (array_keys($totals) as $position) {
            $order[$position] = [$explosion->level($position), $index->positions->item($position), $index->positions->revision($position)];
        }
        asort($order);
        $rollUp = self::rollUp($index, $top, $day, [$top, ...array_keys($totals)]);

        $shown = array_slice(array_keys($order), $from, self::AT_MOST);
        $ids = array_map($index->positions->item(...), $shown);
        $named = [];
        foreach ([$rollUp->withoutCost, $rollUp->withoutMass, $rollUp->withoutLead, $rollUp->chain] as $positions) {
            $named = [...$named, ...array_map($index->positions->item(...), array_slice($positions, 0, self::NAMED))];
        }
        $items = ItemRows::byId($ids);
        $dated = DatedData::on($day, $ids);
        $costs = DB::table('items')->whereIn('id', $ids)->pluck('standard_cost', 'id');
        $revisions = $index->revisionsAt($shown);
        $numbers = Item::query()->whereIn('id', $named)->pluck('number', 'id');
        /** @param  list<int>  $positions */
        $names = static fn(array $positions): array => array_values(
            array_map(
                static fn(int $position): string => (string) $numbers[$index->positions->item($position)],
                array_slice($positions, 0, self::NAMED),
            ),
        );

        return new SummaryPage(
            total: count($totals),
            lines: $explosion->linesWalked(),
            from: $from,
            currency: config()->string('orthotaxis.currency'),
            cost: (string) Money::ofTenThousandths($rollUp->cost),
            mass: FixedPoint::format($rollUp->mass, self::MASS_PLACES),
            lead_time_days: $rollUp->lead,
            longest_chain: $names($rollUp->chain),
            missing_cost: count($rollUp->withoutCost),
            missing_mass: count($rollUp->withoutMass),
            missing_lead_time: count($rollUp->withoutLead),
            without_cost: $names($rollUp->withoutCost),
            without_mass: $names($rollUp->withoutMass),
            without_lead_time: $names($rollUp->withoutLead),
            rows: array_map(static function (int $position) use ($index, $items, $costs, $dated, $explosion, $revisions): SummaryRow {
                $id = $index->positions->item($position);
                $quantity = $explosion->quantity($position);
                $cost = $dated->cost($id, $costs[$id]);

                return new SummaryRow(
                    $items[$id],
                    $revisions[$position] ?? null,
                    $explosion->level($position),
                    (string) $quantity,
                    $cost === null ? null : (string) Money::ofTenThousandths($cost)->times($quantity),
                );
            }, $shown),
        );
    }

    /** @param  list<int>  $positions  of the item and all that is in it */
    private static function rollUp(StructureIndex $index, int $top, Day $day, array $positions): RollUp
    {
        $costs = $masses = $leads = [];
        $ids = array_map($index->positions->item(...), $positions);
        $at = [];
        foreach ($ids as $i => $id) {
            $at[$id][] = $positions[$i];
        }
        $dated = DatedData::on($day, $ids);
        $ids = implode(',', $ids);
        foreach (
            DB::select(
                'SELECT DISTINCT id, standard_cost, mass, lead_time_days FROM unnest(?::bigint[]) AS wanted (id) JOIN items USING (id)',
                ["{{$ids}}"],
            )
            as $row
        ) {
            foreach ($at[$row->id] as $position) {
                $costs[$position] = $dated->cost($row->id, $row->standard_cost);
                $masses[$position] = $row->mass;
                $leads[$position] = $dated->leadTime($row->id, $row->lead_time_days);
            }
        }

        return RollUp::of($index->adjacency, $top, $day->number(), $costs, $masses, $leads);
    }
}
