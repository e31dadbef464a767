<?php

declare(strict_types=1);

namespace App\CutIn;

use App\Planning\ExposureReader;
use App\Structures\Index\ItemWeb;
use App\Structures\Index\StructureIndex;
use App\Structures\StructureView;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Adjacency\Loop;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\CutIn\Above;
use Orthotaxis\Core\CutIn\NodeSupply;
use Orthotaxis\Core\CutIn\PlantNet;
use Orthotaxis\Core\CutIn\Requirements;
use Orthotaxis\Core\Refusal;

/**
 * Asks planning about all that is above the parts of some swaps, and nets the demand down to them, plant by plant. What came of it is kept
 * for a few minutes, as long as the structures are the same: a lever moved asks nobody about thousands of items, and adds up nothing
 * anew. Whoever wants to know what planning says now asks for it.
 */
final readonly class BasisReader
{
    public function __construct(private ExposureReader $exposure, private PlantCalendars $calendars) {}

    /**
     * @param  non-empty-list<AskedSwap>  $swaps
     * @param  int  $days  that are planned
     * @param  bool  $pegged  whether to tell what the demand is made of
     * @param  bool  $anew  whether to ask planning even if it told a moment ago
     *
     * @throws Refusal when something contains itself
     */
    public function of(array $swaps, Day $today, int $days, bool $pegged, bool $anew): Basis
    {
        $plants = Places::codes();
        $calendars = $this->calendars->all();
        $indexes = array_map(static fn(string $plant): StructureIndex => StructureIndex::open(StructureView::asBuilt($plant)), $plants);
        $states = array_map(static fn(StructureIndex $index): string => $index->state(), $indexes);
        $key = hash('sha256', serialize([(string) $today, $days, $swaps, $plants, $calendars, $states]));
        $kept = $pegged || $anew ? null : KeptForAWhile::get("cut-in-demand-{$key}");
        if ($kept instanceof Basis) {
            return $kept;
        }
        $parts = array_values(array_unique(array_merge(...array_map(static fn(AskedSwap $swap): array => $swap->parts(), $swaps))));
        $parts !== [] || throw new \LogicException('A swap names what goes or what comes.');
        $webs = array_map(static fn(StructureIndex $index): ItemWeb => new ItemWeb($index), $indexes);
        try {
            $places = Places::of($plants, $calendars, $today, $days);
            $basis = $this->netted($swaps, $parts, $places, $webs, $today, $days, $key, $pegged, $anew);
        } catch (Loop $loop) {
            $numbers = DB::table('items')->whereIn('id', $loop->way)->pluck('number', 'id');
            throw Refusal::at(
                'structure',
                'An item is contained in itself: ' .
                    implode(' › ', array_map(static fn(int $id): string => $numbers[$id], $loop->way)) .
                    '.',
            );
        }
        if (!$pegged) {
            KeptForAWhile::put("cut-in-demand-{$key}", $basis);
        }

        return $basis;
    }

    /**
     * @param  non-empty-list<AskedSwap>  $swaps
     * @param  non-empty-list<int>  $parts
     * @param  non-empty-list<ItemWeb>  $webs
     */
    private function netted(
        array $swaps,
        array $parts,
        Places $places,
        array $webs,
        Day $today,
        int $days,
        string $key,
        bool $pegged,
        bool $anew,
    ): Basis {
        $uses = array_map(static fn(ItemWeb $web): array => (new SwapUses($web, $today, $days))->of($swaps), $webs);
        $parents = array_merge(...array_map(static fn(array $of): array => array_map(array_keys(...), array_values($of)), $uses));
        $takers = array_values(array_unique(array_merge([], ...$parents)));
        $items = PlannedItem::among(Above::of($webs, [...$parts, ...$takers], $today->number(), $days)->order);
        $known = $anew ? null : KeptForAWhile::get("known-supply-{$key}");
        if (!($known instanceof KnownSupply)) {
            $known = KnownSupply::ask($this->exposure, $items, $today, $places, $parts, $takers);
            KeptForAWhile::put("known-supply-{$key}", $known);
        }
        $nets = [];
        foreach ($places->plants as $at => $plant) {
            $supply = $from = [];
            foreach ($items as $id => $item) {
                $supply[$id] = $known->supply($id, $at) ?? new NodeSupply(leadDays: (int) $item->leadDays);
                $home = self::home($item, $known, $places, $at);
                if ($home !== $at) {
                    $from[$id] = $home;
                }
            }
            $nets[] = new PlantNet(
                web: $webs[$at],
                days: $places->days[$at],
                supply: $supply,
                from: $from,
                transferDays: config()->integer('cut-in.transfer_days'),
                uses: $uses[$at],
            );
        }
        $requirements = Requirements::of($nets, $parts, $today->number(), $days, $pegged);
        $plants = [];
        foreach ($places->plants as $at => $plant) {
            $demand = $pegs = [];
            foreach ($parts as $part) {
                $demand[$part] = $requirements->demand($at, $part);
                $pegs[$part] = $requirements->pegs($at, $part);
            }
            $orders = [];
            foreach (array_keys($requirements->takers[$at]) as $taker) {
                array_push($orders, ...WorkOrders::of($known, $items[$taker], $at, $plant, $places->days[$at], $today));
            }
            $plants[] = new PlantBasis($plant, $places->days[$at], $demand, $orders, $pegs);
        }
        $homes = [];
        foreach ($parts as $part) {
            $homes[$part] = array_map(
                static fn(int $at): int => self::home($items[$part], $known, $places, $at),
                array_keys($places->plants),
            );
        }

        return new Basis(
            plants: $plants,
            parts: $parts,
            supply: $known->ofParts(),
            withoutCalendar: $places->withoutCalendar,
            otherPlaces: array_map(strval(...), array_keys($places->others)),
            homes: $homes,
        );
    }

    /**
     * Which plant makes or buys an item for one of them: itself where it does, else the first that does. A plant that has a structure of
     * its own of the item makes it; without any such, those of which planning tells orders of it, or else stock.
     */
    private static function home(PlannedItem $item, KnownSupply $known, Places $places, int $at): int
    {
        $homes = $item->madeAt === [] ? $known->homes($item->id) : array_map($places->at(...), $item->madeAt);

        return $homes === [] || in_array($at, $homes, true) ? $at : $homes[0];
    }
}
