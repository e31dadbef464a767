<?php

declare(strict_types=1);

namespace App\CutIn;

use App\Days\Today;
use App\Structures\DatedData;
use App\Structures\Models\Item;
use Illuminate\Support\Collection;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\CutIn\Demand;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\Part;
use Orthotaxis\Core\CutIn\PlantCase;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

/** Puts the levers to what is wanted and what there is: all that the day to cut in is planned from. */
final readonly class CaseReader
{
    public function __construct(private BasisReader $bases) {}

    /**
     * @param  array<string, mixed>  $question  as CutInQuestion checks it
     * @param  bool  $pegged  whether to tell what the demand is made of
     * @param  bool  $anew  whether to ask planning even if it told a moment ago
     */
    public function read(array $question, bool $pegged = false, bool $anew = false): CutInCase
    {
        $today = Today::day();
        [$swaps, $items] = SwapReader::read((array) $question['swaps']);
        /** @var array<string, string> $reasons */
        $reasons = array_column((array) ($question['reasons'] ?? []), 'reason', 'lever');
        $assumed = new Assumed($reasons);
        $days = $assumed->say(
            'look_ahead',
            'Days planned ahead',
            LeverReader::whole($question, 'look_ahead'),
            [config()->integer('cut-in.days'), 'rule'],
            'days',
        );
        $basis = $this->bases->of($swaps, $today, (int) $days, $pegged, $anew);
        $levers = LeverReader::read($question, $assumed, $today);
        $data = DatedData::on($today, $basis->parts);
        $reader = self::parts($question, $basis, $data, $assumed, $today);
        /** @var array<string, array<string, mixed>> $said */
        $said = array_column((array) ($question['parts'] ?? []), null, 'item');
        $byId = $items->keyBy('id');
        $instead = self::instead($swaps, $byId, $data);
        $plants = $pegs = $documents = $idle = $touched = [];
        foreach ($basis->plants as $at => $plant) {
            $parts = $told = [];
            foreach ($basis->parts as $id) {
                $demand = $plant->demand[$id];
                if (!self::isTouched($demand)) {
                    continue;
                }
                $item = $byId[$id];
                $of = $said[$item->number] ?? [];
                // What is kept for service is kept once, at the first plant that has the part.
                $of = isset($touched[$id]) ? array_diff_key($of, ['keep' => true]) : $of;
                $touched[$id] = true;
                $places = $basis->places($id, $at);
                $parts[] = $reader->part($item, $plant->plant, $places, $plant->days, $demand, new Said($of), $instead[$id] ?? null);
                $told[] = $plant->pegs[$id] ?? [];
                $role = array_filter($demand->until) === [] ? 'comes' : 'goes';
                $documents = [...$documents, ...$reader->documents($item, $plant->plant, $places, $plant->days, $role)];
            }
            if ($parts !== []) {
                $plants[] = new PlantCase($plant->plant, $plant->days, $parts, array_column($plant->orders, 0));
                $pegs[] = $told;
                $documents = [...$documents, ...array_column($plant->orders, 1)];
            }
        }
        foreach ($basis->parts as $id) {
            $idle = isset($touched[$id]) ? $idle : [...$idle, $byId[$id]->number];
        }

        return new CutInCase(
            plants: $plants === [] ? [self::unwanted($basis, $byId, $reader, $said, $instead)] : $plants,
            pegs: $plants === [] ? [array_map(static fn(): array => [], $basis->parts)] : $pegs,
            documents: $documents,
            assumptions: $assumed->all(),
            levers: $levers,
            items: $items,
            basis: $basis,
            today: $today,
            idle: $idle,
        );
    }

    /** @param  array<string, mixed>  $question  as CutInQuestion checks it */
    public static function parts(array $question, Basis $basis, DatedData $data, Assumed $assumed, Day $today): PartReader
    {
        /** @var array<string, string> $expected */
        $expected = array_column((array) ($question['expected'] ?? []), 'on', 'document');

        return new PartReader(
            supply: $basis->supply,
            data: $data,
            assumed: $assumed,
            today: $today,
            shortagePercent: (int) $assumed->say(
                'shortage_percent',
                'Cost of one missing, of its cost',
                LeverReader::whole($question, 'shortage_percent'),
                [config()->integer('cut-in.shortage_percent'), 'rule'],
                '%',
            ),
            expected: $expected,
            currency: config()->string('orthotaxis.currency'),
        );
    }

    /**
     * Nobody wants any part: what there is of them all the same, at the first plant.
     *
     * @param  Collection<int, Item>  $items  by id
     * @param  array<string, array<string, mixed>>  $said
     * @param  array<int, Money>  $instead
     */
    private static function unwanted(Basis $basis, Collection $items, PartReader $reader, array $said, array $instead): PlantCase
    {
        $plant = $basis->plants[0];
        $all = array_keys($basis->plants);

        return new PlantCase(
            $plant->plant,
            $plant->days,
            array_map(
                static fn(int $id): Part => $reader->part(
                    $items[$id],
                    $plant->plant,
                    $all,
                    $plant->days,
                    $plant->demand[$id],
                    new Said($said[$items[$id]->number] ?? []),
                    $instead[$id] ?? null,
                ),
                $basis->parts,
            ),
        );
    }

    private static function isTouched(Demand $demand): bool
    {
        return array_filter($demand->until) !== [] || array_filter($demand->from) !== [];
    }

    /**
     * @param  list<AskedSwap>  $swaps
     * @param  Collection<int, Item>  $items  by id
     * @return array<int, Money> what the new parts cost that can be made of one that goes, by its id
     */
    public static function instead(array $swaps, Collection $items, DatedData $data): array
    {
        $instead = [];
        foreach ($swaps as $swap) {
            $gone = $swap->gone[0] ?? null;
            $new = array_key_first($swap->come);
            if ($gone !== null && $new !== null && $gone !== $new) {
                $instead[$gone] ??= Money::ofTenThousandths(
                    FixedPoint::scale((int) $data->cost($new, $items[$new]->standard_cost), $swap->come[$new], Quantity::ONE),
                );
            }
        }

        return $instead;
    }
}
