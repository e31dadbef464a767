<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Manufacturing\Data\BuiltCostPage;
use App\Manufacturing\Data\BuiltCostRow;
use App\Manufacturing\Models\Plant;
use App\Structures\DatedData;
use App\Structures\Index\StructureIndex;
use App\Structures\ItemCosts;
use App\Structures\LineLoader;
use App\Structures\Models\Item;
use App\Structures\StructureView;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Manufacturing\BuiltRollUp;
use Orthotaxis\Core\Manufacturing\MaterialCost;
use Orthotaxis\Core\Quantity\Minutes;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Routing\RoutingCost;
use Orthotaxis\Core\Routing\RoutingLead;
use Orthotaxis\Core\Routing\UnitWork;
use Orthotaxis\Core\Structure\Structure;

/** Rolls cost, minutes and lead time up through all levels of what a plant builds. */
final readonly class BuiltCostReader
{
    /** Of a plant whose shifts nobody has said. */
    private const MINUTES_A_DAY = 480;

    /** So many that are not known are named; the rest is counted. */
    private const NAMED = 20;

    public function __construct(private RoutingsOfContents $routings) {}

    public function read(Item $item, StructureView $view, Day $day): BuiltCostPage
    {
        $index = StructureIndex::open($view);
        $top = $index->positions->of($item->id);
        $explosion = $index->explosion($item->id, $day);
        $positions = [$top, ...array_keys($explosion->totals())];
        $ids = array_map($index->positions->item(...), $positions);
        $known = $this->items($ids);
        $dated = DatedData::on($day, array_keys($known->all()));
        $built = $this->built(array_keys($known->all()), $view, $day);
        $costs = $leads = $works = [];
        foreach ($positions as $at => $position) {
            $one = $known[$ids[$at]];
            $made = $built[$one->id] ?? null;
            $costs[$position] = $dated->cost($one->id, $one->standard_cost);
            $leads[$position] = $made === null ? $dated->leadTime($one->id, $one->lead_time_days) : $made['lead']->days;
            if ($made !== null) {
                $works[$position] = UnitWork::of($made['cost'], -$made['yields']->total->tenThousandths);
            }
        }
        $up = BuiltRollUp::of($index->adjacency, $top, $day->number(), $costs, $leads, $works);
        $number = static fn(int $position): string => (string) $known[$index->positions->item($position)]->number;

        return $this->page($item, $day, $up, $number, $index, $known, $built);
    }

    /**
     * @param  \Closure(int): string  $number  of a position
     * @param  Collection<int, \stdClass>  $known
     * @param  array<int, array{plant: string, code: string, cost: RoutingCost, yields: MaterialCost, lead: RoutingLead}>  $built
     */
    private function page(
        Item $item,
        Day $day,
        BuiltRollUp $up,
        \Closure $number,
        StructureIndex $index,
        Collection $known,
        array $built,
    ): BuiltCostPage {
        $money = static fn(int $tenThousandths): string => (string) Money::ofTenThousandths($tenThousandths);
        $rows = $missing = [];
        foreach ($up->quantities as $position => $millionths) {
            $share = $up->share($position);
            $one = $known[$index->positions->item($position)];
            $made = $built[$one->id];
            $rows[] = new BuiltCostRow(
                item: $one->number,
                title: $one->title,
                plant: $made['plant'],
                revision: $made['code'],
                quantity: (string) Quantity::ofMillionths($millionths),
                unit: $one->unit,
                set_up_minutes: (string) new Minutes($share->setUpTime),
                run_minutes: (string) new Minutes($share->run),
                labour: $money($share->labour),
                set_up: $money($share->setUp),
                subcontract: $money($share->subcontract),
                by_products: $money(-$share->credit),
                total: $money($share->total()),
                lead_time_days: $made['lead']->days,
            );
            $without = array_map(static fn(string $what): string => "By-product {$what}: no standard cost.", $made['yields']->missing);
            foreach ([...$made['cost']->missing(), ...$without, ...$made['lead']->missing] as $words) {
                $missing[] = "{$one->number} at {$made['plant']}, " . lcfirst($words);
            }
        }
        $work = $up->work();

        return new BuiltCostPage(
            item: $item->number,
            on: (string) $day,
            currency: config()->string('orthotaxis.currency'),
            material: $money($up->material->cost),
            labour: $money($work->labour),
            set_up: $money($work->setUp),
            subcontract: $money($work->subcontract),
            by_products: $money(-$work->credit),
            total: $money($up->total()),
            run_minutes: (string) new Minutes($work->run),
            set_up_minutes: (string) new Minutes($work->setUpTime),
            lead_time_days: $up->material->lead,
            chain: array_map($number, $up->material->chain),
            rows: $rows,
            missing: [
                ...self::without($up->material->withoutCost, $number, 'no standard cost, and nothing that it is made of'),
                ...self::without($up->material->withoutLead, $number, 'no lead time'),
                ...array_values(array_unique($missing)),
            ],
        );
    }

    /**
     * @param  list<int>  $positions
     * @param  \Closure(int): string  $number
     * @return list<string>
     */
    private static function without(array $positions, \Closure $number, string $what): array
    {
        $more = count($positions) - self::NAMED;

        return $positions === []
            ? []
            : [
                implode(', ', array_map($number, array_slice($positions, 0, self::NAMED))) .
                ($more > 0 ? " and {$more} more" : '') .
                ": {$what}.",
            ];
    }

    /**
     * @param  list<int>  $ids
     * @return Collection<int, \stdClass> by id
     */
    private function items(array $ids): Collection
    {
        /** @var Collection<int, \stdClass> */
        return collect(
            DB::select(
                'SELECT DISTINCT id, number, title, unit, standard_cost, lead_time_days FROM unnest(?::bigint[]) AS wanted (id) JOIN items USING (id)',
                ['{' . implode(',', $ids) . '}'],
            ),
        )->keyBy('id');
    }

    /**
     * What of some items is made, with a routing, where the view shows it.
     *
     * @param  list<int>  $ids
     * @return array<int, array{plant: string, code: string, cost: RoutingCost, yields: MaterialCost, lead: RoutingLead}> by item
     */
    private function built(array $ids, StructureView $view, Day $day): array
    {
        $contents = DB::select(
            "SELECT of.id, of.item_id, of.plant, of.code FROM contents of JOIN routings r ON r.content_id = of.id
            WHERE of.item_id = ANY (?::bigint[]) AND {$view->contents()} AND of.status IN ('released', 'superseded', 'obsolete')
                AND daterange(of.effective_from, of.effective_to) @> ?::date",
            ['{' . implode(',', $ids) . '}', (string) $day],
        );
        $routings = $this->routings->read(array_column($contents, 'id'));
        $yields = $this->yields(array_column($contents, 'id'), $day);
        $rates = [];
        foreach (DB::select('SELECT plant, code, rate FROM work_centres') as $centre) {
            $rates[$centre->plant][$centre->code] = Money::ofTenThousandths($centre->rate);
        }
        $minutes = Plant::query()
            ->with('days')
            ->get()
            ->mapWithKeys(static fn(Plant $plant): array => [$plant->code => $plant->calendar()->minutes()])
            ->all();
        $built = [];
        foreach ($contents as $content) {
            $routing = $routings[$content->id] ?? null;
            if ($routing !== null && count($routing) > 0) {
                $built[$content->item_id] = [
                    'plant' => $content->plant,
                    'code' => $content->code,
                    'cost' => RoutingCost::of($routing, $rates[$content->plant] ?? []),
                    'yields' => $yields[$content->id] ?? MaterialCost::of(new Structure(), []),
                    'lead' => RoutingLead::of($routing, max(1, $minutes[$content->plant] ?? 0 ?: self::MINUTES_A_DAY)),
                ];
            }
        }

        return $built;
    }

    /**
     * What by-products are worth, as costs below nothing.
     *
     * @param  list<int>  $contents  ids
     * @return array<int, MaterialCost> by content; what nothing comes out of is left out
     */
    private function yields(array $contents, Day $day): array
    {
        $yields = array_map(
            static fn(array $lines): Structure => (new Structure($lines))->on($day),
            (new LineLoader())->byProductsOf($contents),
        );
        $numbers = array_merge(...array_values(array_map(static fn(Structure $one): array => $one->components(), $yields)));
        $costs = $numbers === [] ? [] : ItemCosts::on($day, Item::query()->whereIn('number', array_unique($numbers))->get()->toBase());

        return array_map(static fn(Structure $one): MaterialCost => MaterialCost::of($one, $costs), $yields);
    }
}
