<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInAssumption;
use App\CutIn\Data\CutInDayRow;
use App\CutIn\Data\CutInDocument;
use App\CutIn\Data\CutInPage;
use App\CutIn\Data\CutInPart;
use App\Planning\ExposureReader;
use App\Structures\Index\StructureIndex;
use App\Structures\ItemRows;
use App\Structures\Models\Item;
use App\Structures\Today;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\CutIn\CutInDay;
use Orthotaxis\Core\CutIn\CutInPlan;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\OpenOrder;
use Orthotaxis\Core\CutIn\Pair;
use Orthotaxis\Core\CutIn\Requirements;
use Orthotaxis\Core\Impact\SupplyKind;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;

/** Asks planning, nets the demand down to the parts, and plans the day on which new ones take the place of old ones. */
final readonly class CutInReader
{
    public function __construct(private ExposureReader $exposure) {}

    /** @param  array<string, mixed>  $question  as CutInQuestion checks it */
    public function plan(array $question): CutInPage
    {
        $today = Today::day();
        $days = config()->integer('cut-in.days');
        /** @var list<array<string, ?string>> $asked */
        $asked = $question['pairs'];
        $items = Item::query()->whereIn('number', [...array_column($asked, 'old'), ...array_column($asked, 'new')])->get()->keyBy('number');
        $index = StructureIndex::open();
        $around = [];
        foreach ($asked as $pair) {
            $around[] = $index->around($items[(string) $pair['old']]->id, $today, $days);
        }
        $query = Item::query();
        $query->whereIntegerInRaw('id', array_map($index->positions->item(...), array_unique(array_merge(...$around))));
        $above = $query->get();
        $picture = new PlanningPicture($this->exposure, $above->merge($items->values())->unique('id')->values(), $today);
        $supply = [];
        foreach ($above as $item) {
            $supply[$index->positions->of($item->id)] = $picture->supply($item);
        }
        $expedite = (int) ($question['expedite_percent'] ?? config()->integer('cut-in.expedite_percent'));
        $reader = new PartReader($picture);
        $pairs = $orders = $documents = $keep = [];
        $byId = $above->keyBy('id');
        foreach ($asked as $i => $pair) {
            [$old, $new] = [$items[(string) $pair['old']], $items[(string) $pair['new']]];
            $disposition = Disposition::tryFrom((string) ($pair['disposition'] ?? '')) ?? Disposition::Scrap;
            $requirements = Requirements::of($index->adjacency, $index->positions->of($old->id), $today->number(), $days, $supply);
            $pairs[] = new Pair(
                $reader->part($old, $disposition, self::amount($pair['disposal'] ?? null), $expedite), $reader->part($new, Disposition::UseUp, null, $expedite),
                $requirements->byDay(), self::quantity($pair['ratio'] ?? null, Quantity::ONE),
            );
            $keep[$old->number] = self::quantity($pair['keep'] ?? null, 0);
            $documents = [...$documents, ...$reader->documents($old, 'old'), ...$reader->documents($new, 'new')];
            foreach ($this->straddling($picture, array_map(static fn (int $position): Item => $byId[$index->positions->item($position)], array_values(array_unique($requirements->parents))), $today) as $name => [$order, $document]) {
                $orders[$name] = $order;
                $documents[$name] = $document;
            }
        }
        if ($pairs === []) {
            throw Refusal::at('pairs', 'Name the old part and the new one.');
        }
        $plan = CutInPlan::of($pairs, array_values($orders), $this->levers($question, $keep, $today));

        return $this->page($plan, $pairs, $items, array_values($documents), $question, $picture, $today, $expedite);
    }

    /**
     * @param  list<Item>  $parents
     * @return array<string, array{OpenOrder, CutInDocument}>
     */
    private function straddling(PlanningPicture $picture, array $parents, Day $today): array
    {
        $orders = [];
        foreach ($parents as $item) {
            foreach ($picture->of($item) as $row) {
                if ($row->kind === SupplyKind::WorkOrder) {
                    $first = $picture->firstDay($row, $item);
                    $orders["straddles {$row->document}"] = [
                        new OpenOrder($row->document, $first, $picture->day($row)),
                        new CutInDocument($row->document, $row->kind->value, $item->number, (string) Quantity::ofMillionths($picture->quantity($row, $item)), $item->unit->value, (string) $today->plusDays($first), $row->due?->__toString(), $row->status, null, 'straddles'),
                    ];
                }
            }
        }

        return $orders;
    }

    /**
     * @param  array<string, mixed>  $question
     * @param  array<string, int>  $keep
     */
    private function levers(array $question, array $keep, Day $today): Levers
    {
        $day = static fn (mixed $on): ?int => is_string($on) && $on !== '' ? Day::parse($on)->number() - $today->number() : null;
        $let = $question['not_cancelled'] ?? [];

        return new Levers(
            $keep, is_array($let) ? array_values(array_filter($let, is_string(...))) : [], (int) ($question['approval_days'] ?? config()->integer('cut-in.approval_days')),
            max(0, $day($question['tooling_on'] ?? null) ?? 0),
            self::amount($question['per_straddling_order'] ?? null) ?? Money::parse(config()->string('cut-in.per_straddling_order')), $day($question['prescribed_on'] ?? null),
        );
    }

    /**
     * @param  list<Pair>  $pairs
     * @param  Collection<array-key, Item>  $items
     * @param  list<CutInDocument>  $documents
     * @param  array<string, mixed>  $question
     */
    private function page(CutInPlan $plan, array $pairs, Collection $items, array $documents, array $question, PlanningPicture $picture, Day $today, int $expedite): CutInPage
    {
        $on = static fn (?int $day): ?string => $day === null ? null : (string) $today->plusDays($day);
        $rows = ItemRows::byNumber(array_map(strval(...), $items->keys()->all()));
        $parts = [];
        foreach ($pairs as $i => $pair) {
            $course = $plan->courses[$i];
            $parts[] = new CutInPart(
                $rows[$pair->old->number], $rows[$pair->new->number], (string) Quantity::ofMillionths($pair->ratio), (string) Quantity::ofMillionths($pair->old->stock),
                $on($course->runOut), (string) $today->plusDays($course->newThere), (string) Quantity::ofMillionths(array_sum($pair->demand)),
                self::texts($course->old), self::texts($course->new($plan->leastCost ?? 0)), self::texts($pair->demand),
            );
        }
        $said = static fn (string $name): bool => ($question[$name] ?? '') !== '' && ($question[$name] ?? null) !== null;
        $assumptions = [
            new CutInAssumption('Days until the change is released', (string) ($question['approval_days'] ?? config()->integer('cut-in.approval_days')), $said('approval_days')),
            new CutInAssumption('To see to one work order under way', (string) ($question['per_straddling_order'] ?? config()->string('cut-in.per_straddling_order')), $said('per_straddling_order')),
            new CutInAssumption('What is short costs more, percent', (string) $expedite, $said('expedite_percent')),
            new CutInAssumption('Receipts due sooner are not cancelled, days', (string) config()->integer('cut-in.notice_days'), false),
        ];
        $unknown = $items->filter(static fn (Item $item): bool => $item->standard_cost === null)->map(static fn (Item $item): string => $item->number);

        return new CutInPage(
            config()->string('orthotaxis.currency'), (string) $today, $plan->earliest < count($plan->days) ? $on($plan->earliest) : null, $plan->waitsFor,
            $on($plan->runOut), $on($plan->leastCost), $on($plan->leastDisturbing), $on($plan->prescribed), $plan->againstPrescribed(),
            array_map(static fn (CutInDay $day): CutInDayRow => CutInDayRow::of($day, (string) $today->plusDays($day->day)), $plan->days),
            $parts, $documents, $assumptions, $picture->fetchedAt?->toIso8601String(), $picture->fault, $picture->silent(), array_values($unknown->all()),
        );
    }

    /**
     * @param  list<int>  $millionths
     * @return list<string>
     */
    private static function texts(array $millionths): array
    {
        return array_map(static fn (int $one): string => (string) Quantity::ofMillionths($one), $millionths);
    }

    private static function amount(mixed $text): ?Money
    {
        return is_string($text) && $text !== '' ? Money::parse($text) : null;
    }

    private static function quantity(mixed $text, int $else): int
    {
        return is_string($text) && $text !== '' ? Quantity::parse($text)->millionths : $else;
    }
}
