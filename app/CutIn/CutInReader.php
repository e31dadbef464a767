<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInAssumption;
use App\CutIn\Data\CutInDayRow;
use App\CutIn\Data\CutInPage;
use App\CutIn\Data\CutInPart;
use App\Structures\ItemRows;
use App\Structures\Models\Item;
use Orthotaxis\Core\CutIn\CutInDay;
use Orthotaxis\Core\CutIn\CutInPlan;
use Orthotaxis\Core\Quantity\Quantity;

/** Plans the day on which new parts take the place of old ones. */
final readonly class CutInReader
{
    /** So many are named one by one; that there are more is told by their number. */
    private const NAMED = 10;

    public function __construct(private CaseReader $cases) {}

    /** @param  array<string, mixed>  $question  as CutInQuestion checks it */
    public function plan(array $question, bool $anew = false): CutInPage
    {
        $case = $this->cases->read($question, anew: $anew);
        $plan = CutInPlan::of($case->pairs, $case->orders, $case->levers);
        $today = $case->today;
        $on = static fn(?int $day): ?string => $day === null ? null : (string) $today->plusDays($day);
        $rows = ItemRows::byNumber(array_map(strval(...), $case->items->keys()->all()));
        $parts = [];
        foreach ($case->pairs as $i => $pair) {
            $course = $plan->courses[$i];
            $parts[] = new CutInPart(
                old: $rows[$pair->old->number],
                new: $rows[$pair->new->number],
                ratio: (string) Quantity::ofMillionths($pair->ratio),
                stock: (string) Quantity::ofMillionths($pair->old->stock),
                run_out: $on($course->runOut),
                new_there: (string) $today->plusDays($course->newThere),
                yearly_demand: (string) Quantity::ofMillionths(array_sum($pair->demand)),
                old_stock: self::texts($course->old),
                new_stock: self::texts($course->new($plan->leastCost ?? 0)),
                demand: self::texts($pair->demand),
            );
        }
        $said = static fn(string $name): bool => ($question[$name] ?? '') !== '' && ($question[$name] ?? null) !== null;
        $assumptions = [
            new CutInAssumption(
                'approval_days',
                'Days until the change is released',
                (string) ($question['approval_days'] ?? config()->integer('cut-in.approval_days')),
                $said('approval_days'),
            ),
            new CutInAssumption(
                'per_straddling_order',
                'To see to one work order under way',
                (string) ($question['per_straddling_order'] ?? config()->string('cut-in.per_straddling_order')),
                $said('per_straddling_order'),
            ),
            new CutInAssumption(
                'expedite_percent',
                'What is short costs more, percent',
                (string) $case->expedite,
                $said('expedite_percent'),
            ),
            new CutInAssumption(
                null,
                'Receipts due sooner are not cancelled, days',
                (string) config()->integer('cut-in.notice_days'),
                false,
            ),
        ];
        $unknown = $case->items
            ->filter(static fn(Item $item): bool => $item->standard_cost === null)
            ->map(static fn(Item $item): string => $item->number);

        $told = $case->supply->told;

        return new CutInPage(
            currency: config()->string('orthotaxis.currency'),
            from: (string) $today,
            plant: $case->plant,
            earliest: $plan->earliest < count($plan->days) ? $on($plan->earliest) : null,
            waits_for: $plan->waitsFor,
            run_out: $on($plan->runOut),
            least_cost: $on($plan->leastCost),
            least_disturbing: $on($plan->leastDisturbing),
            prescribed: $on($plan->prescribed),
            against_prescribed: $plan->againstPrescribed(),
            days: array_map(
                static fn(CutInDay $day): CutInDayRow => CutInDayRow::of($day, (string) $today->plusDays($day->day)),
                $plan->days,
            ),
            parts: $parts,
            documents: $case->documents,
            assumptions: $assumptions,
            fetched_at: $told->at?->toIso8601String(),
            fault: $told->fault,
            not_known: count($told->unknown),
            not_known_items: array_slice($told->unknown, 0, self::NAMED),
            strangers: array_slice($told->strangers, 0, self::NAMED),
            unknown: array_values($unknown->all()),
        );
    }

    /**
     * @param  list<int>  $millionths
     * @return list<string>
     */
    private static function texts(array $millionths): array
    {
        return array_map(static fn(int $one): string => (string) Quantity::ofMillionths($one), $millionths);
    }
}
