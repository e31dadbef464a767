<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Models\CutIn;
use App\Days\Today;
use App\Structures\DatedData;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\Outcome;
use Orthotaxis\Core\CutIn\PartCourse;
use Orthotaxis\Core\Quantity\Quantity;

/**
 * What is left over and short of the parts of a cut-in: by the plan when its day is chosen, and by what planning tells once it has come.
 *
 * @phpstan-import-type PlannedPart from CutIn
 */
final readonly class OutcomeReader
{
    public function __construct(private CaseReader $cases, private BasisReader $bases) {}

    /**
     * @param  array<string, mixed>  $question  as CutInQuestion checks it
     * @param  string  $on  within the planning horizon
     * @param  array<string, string>  $atPlants  days of plants that cut in on another
     * @return list<PlannedPart>
     */
    public function planned(array $question, string $on, array $atPlants): array
    {
        $case = $this->cases->read($question);
        $planned = [];
        foreach ($case->plants as $plant) {
            $day = Day::parse($atPlants[$plant->plant] ?? $on)->number() - $case->today->number();
            foreach ($plant->parts as $part) {
                $outcome = Outcome::planned((new PartCourse($part, $case->levers, $plant->days))->on($day));
                $planned[] = [
                    'plant' => $plant->plant,
                    'item' => $part->number,
                    'unit' => $case->items[$part->number]->unit->value,
                    'goes' => array_filter($part->demand->until) !== [],
                    'left' => self::text($outcome->left),
                    'short' => self::text($outcome->short),
                    'disposal' => (string) $part->disposal,
                    'penalty' => (string) $part->penalty,
                ];
            }
        }

        return $planned;
    }

    /**
     * @return ?array<string, list<array{item: string, left: string, short: string}>> by plant whose day has come; null: planning is silent
     */
    public function today(CutIn $chosen): ?array
    {
        $today = Today::day();
        [$swaps, $items] = SwapReader::read((array) $chosen->asked['swaps']);
        $days = LeverReader::whole($chosen->asked, 'look_ahead') ?? config()->integer('cut-in.days');
        $basis = $this->bases->of($swaps, $today, $days, false, true);
        if ($basis->supply->told->fault !== null) {
            return null;
        }
        $data = DatedData::on($today, $basis->parts);
        $reader = CaseReader::parts($chosen->asked, $basis, $data, new Assumed(), $today);
        $instead = CaseReader::instead($swaps, $items->keyBy('id'), $data);
        $said = array_column((array) ($chosen->asked['parts'] ?? []), null, 'item');
        // The change is released and its tools are there.
        $levers = new Levers(lateFromStock: (bool) ($chosen->asked['late_from_stock'] ?? false));
        $places = array_flip(array_column($basis->plants, 'plant'));
        $wanted = [];
        foreach ($chosen->planned as $row) {
            $wanted[$row['item']] = [...$wanted[$row['item']] ?? [], ...isset($places[$row['plant']]) ? [$places[$row['plant']]] : []];
        }
        $kept = $found = [];
        foreach ($chosen->planned as $row) {
            $item = $items[$row['item']];
            $at = $places[$row['plant']] ?? null;
            if ($at === null || $chosen->day($row['plant']) > (string) $today) {
                continue;
            }
            $plant = $basis->plants[$at];
            // What is kept for service is kept once, as in the plan.
            $of = (array) ($said[$item->number] ?? []);
            $of = isset($kept[$item->id]) ? array_diff_key($of, ['keep' => true]) : $of;
            $kept[$item->id] = true;
            $part = $reader->part(
                $item,
                $plant->plant,
                $basis->places($item->id, $at, $wanted[$item->number]),
                $plant->days,
                $plant->demand[$item->id],
                new Said($of),
                $instead[$item->id] ?? null,
            );
            $outcome = Outcome::today($part, $levers, $plant->days, $row['goes']);
            $found[$row['plant']][] = [
                'item' => $item->number,
                'left' => self::text($outcome->left),
                'short' => self::text($outcome->short),
            ];
        }

        return $found;
    }

    private static function text(int $millionths): string
    {
        return (string) Quantity::ofMillionths($millionths);
    }
}
