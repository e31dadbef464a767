<?php

declare(strict_types=1);

namespace App\Economics;

use App\Assessment\Models\Question;
use App\Days\Today;
use App\Economics\Data\DemandRow;
use App\Economics\Data\DispositionRow;
use App\Economics\Data\FigureSource;
use App\Economics\Data\MoneyOfItem;
use App\Economics\Data\MoneyPage;
use App\Economics\Data\MoneyRow;
use App\Planning\ExposureReader;
use App\Planning\Freshness;
use App\Requests\Models\ChangeRequest;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use App\Vocabulary\ChoiceList;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Impact\DispositionCost;
use Orthotaxis\Core\Impact\Economics;
use Orthotaxis\Core\Impact\Exposure;
use Orthotaxis\Core\Impact\Supply;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

/** Puts together what a request costs: from planning, the structures, what specialists answered, and what somebody said instead. */
final readonly class MoneyReader
{
    /** Planning is asked about so many products at once; a change that reaches more is told so. */
    private const PRODUCTS = 200;

    public function __construct(private ExposureReader $exposure, private YearlyDemand $yearly, private CostOfOne $costOfOne) {}

    /** @param  bool  $anew  whether to ask planning for the demand of a year even if it told a moment ago */
    public function of(string $number, bool $anew = false): MoneyPage
    {
        $request = ChangeRequest::query()->with('items')->where('number', $number)->firstOrFail();
        $figures = Figures::of($request);
        [$supply, $told] = $this->exposure->rows($request->items);
        $dispositions = self::dispositions($request->items, $supply, $figures);
        $answers = Question::query()
            ->with(['item', 'answeredBy'])
            ->where('request_id', $request->id)
            ->where('state', 'answered')
            ->orderBy('id')
            ->get();
        [$each, $missing] = $this->each($request, $answers, $figures);
        [$uses, $products, $left] = self::uses($request->items->merge(array_column($each, 0))->unique('id'));
        [$yearly, $wanted] = $this->yearly->of($products, $anew);
        $demand = self::demand($products, $yearly, $figures);

        $once = self::once($dispositions, $answers, $figures);
        $recurring = self::recurring($each, $uses, $demand);
        $economics = Economics::of(
            array_map(static fn(array $one): array => [$one[0]->item, $one[1]], $once),
            array_map(static fn(array $one): array => [$one[0]->item, $one[1], $one[2]], $recurring),
        );
        $byItem = [];
        foreach (
            [...$request->items->merge(array_column($each, 0))->unique('id')->pluck('title', 'number')->all(), '' => '']
            as $number => $title
        ) {
            $byItem[] = new MoneyOfItem(
                (string) $number,
                $title,
                (string) ($economics->oneTimeByItem[$number] ?? Money::zero()),
                (string) ($economics->yearlyByItem[$number] ?? Money::zero()),
            );
        }

        return new MoneyPage(
            currency: config()->string('orthotaxis.currency'),
            told_at: $told->at?->toIso8601String(),
            demand_told_at: $wanted->at?->toIso8601String(),
            fault: $told->fault ?? $wanted->fault,
            dispositions: array_column($dispositions, 0),
            one_time: array_column($once, 0),
            recurring: array_column($recurring, 0),
            demand: array_column($demand, 0),
            by_item: $byItem,
            one_time_total: (string) $economics->oneTime,
            yearly_total: (string) $economics->yearly,
            payback_months: $economics->paybackMonths,
            assumed: self::assumed($left, $missing, $told),
        );
    }

    /**
     * @param  Collection<int, Item>  $items
     * @param  list<Supply>  $supply
     * @return list<array{DispositionRow, Money}>
     */
    private static function dispositions(Collection $items, array $supply, Figures $figures): array
    {
        $rows = [];
        foreach ($items as $item) {
            $exposure = Exposure::of($item->number, $item->unit, $supply);
            foreach (DispositionCost::kinds() as $kind) {
                $total = $exposure->totals[$kind->value] ?? null;
                if ($total !== null) {
                    [$cost, $from, $said] = $figures->disposition($item, $kind, Money::ofTenThousandths($item->standard_cost ?? 0));
                    $rows[] = [
                        new DispositionRow(
                            item: $item->number,
                            kind: $kind->value,
                            quantity: (string) $total->quantity,
                            unit: $total->unit->value,
                            value: (string) $total->value,
                            disposition: $cost->disposition->value,
                            per_unit: (string) $cost->perUnit,
                            cost: (string) $cost->of($total),
                            from: $from,
                            said: $said,
                        ),
                        $cost->of($total),
                    ];
                }
            }
        }

        return $rows;
    }

    /**
     * @param  list<array{DispositionRow, Money}>  $dispositions
     * @param  Collection<int, Question>  $answers
     * @return list<array{MoneyRow, Money}>
     */
    private static function once(array $dispositions, Collection $answers, Figures $figures): array
    {
        $rows = [];
        foreach ($dispositions as [$row, $cost]) {
            if ($cost->tenThousandths !== 0) {
                $rows[] = [
                    new MoneyRow(
                        item: $row->item,
                        what: ucfirst(str_replace('_', ' ', "{$row->disposition}: {$row->kind}")),
                        amount: $row->cost,
                        per_unit: null,
                        units: null,
                        said: $row->said,
                    ),
                    $cost,
                ];
            }
        }
        $functions = ChoiceList::CompanyFunction->names();
        foreach ($answers as $answer) {
            if ($answer->one_time !== null) {
                [$instead, $said] = $figures->amount(FigureKind::Answered, (string) $answer->id);
                $amount = Money::ofTenThousandths($instead ?? $answer->one_time);
                $rows[] = [
                    new MoneyRow(
                        item: $answer->item->number,
                        what: "{$functions[$answer->function]}: " . ($answer->answer ?: $answer->text),
                        amount: (string) $amount,
                        per_unit: null,
                        units: null,
                        said: $said,
                        answered_by: $answer->answeredBy?->name,
                        figure: FigureKind::Answered->value,
                        subject: (string) $answer->id,
                    ),
                    $amount,
                ];
            }
        }
        foreach ($figures->oneTime() as [$what, $amount, $said]) {
            $rows[] = [
                new MoneyRow(
                    item: '',
                    what: $what,
                    amount: (string) $amount,
                    per_unit: null,
                    units: null,
                    said: $said,
                    answered_by: null,
                    figure: FigureKind::OneTime->value,
                    subject: $what,
                ),
                $amount,
            ];
        }

        return $rows;
    }

    /**
     * What one unit of each item costs more: as it is said here, or as specialists answered; where nobody told any of it, by the
     * structures. Never both: what a specialist answers for a part is what the edits of its assembly change.
     *
     * @param  Collection<int, Question>  $answers
     * @return array{list<array{Item, string, Money, ?FigureSource}>, list<string>} item, from where, amount, who said so;
     *     components without a standard cost
     */
    private function each(ChangeRequest $request, Collection $answers, Figures $figures): array
    {
        $functions = ChoiceList::CompanyFunction->names();
        $told = [];
        foreach ($request->items as $item) {
            [$amount, $said] = $figures->amount(FigureKind::Recurring, $item->number);
            $answered = $answers->filter(
                static fn(Question $answer): bool => $answer->item_id === $item->id && $answer->recurring !== null,
            );
            if ($amount !== null || $answered->isNotEmpty()) {
                $from =
                    $said === null
                        ? $answered->map(static fn(Question $answer): string => $functions[$answer->function])->unique()->implode(', ')
                        : 'Said';
                $told[] = [$item, $from, Money::ofTenThousandths($amount ?? (int) $answered->sum('recurring')), $said];
            }
        }
        if ($told !== []) {
            return [$told, []];
        }
        [$computed, $missing] = $this->costOfOne->of($request);

        return [array_map(static fn(array $one): array => [...$one, null], $computed), $missing];
    }

    /**
     * @param  list<array{Item, string, Money, ?FigureSource}>  $each
     * @param  array<string, array<string, Quantity>>  $uses  item => product => how much goes into one
     * @param  array<string, array{DemandRow, Quantity}>  $demand  by product
     * @return list<array{MoneyRow, Money, Quantity}>
     */
    private static function recurring(array $each, array $uses, array $demand): array
    {
        $rows = [];
        foreach ($each as [$item, $from, $perUnit, $said]) {
            $units = Quantity::ofMillionths(0);
            foreach ($uses[$item->number] ?? [] as $product => $quantity) {
                $units = $units->plus($quantity->times($demand[$product][1] ?? Quantity::ofMillionths(0)));
            }
            $rows[] = [
                new MoneyRow(
                    item: $item->number,
                    what: "{$from}: {$item->title}",
                    amount: (string) $perUnit->times($units),
                    per_unit: (string) $perUnit,
                    units: (string) $units,
                    said: $said,
                    answered_by: null,
                    figure: FigureKind::Recurring->value,
                    subject: $item->number,
                ),
                $perUnit,
                $units,
            ];
        }

        return $rows;
    }

    /**
     * @param  Collection<int, Item>  $items
     * @return array{array<string, array<string, Quantity>>, Collection<int, Item>, int} item => product => how much; the products; how
     *     many were left out
     */
    private static function uses(Collection $items): array
    {
        $index = StructureIndex::open();
        $sold = $index->sold();
        $found = [];
        foreach ($items as $item) {
            // What is sold itself is wanted as it is.
            $found[$item->number][$item->id] = Quantity::one();
            $used = $index->whereUsed($item->id, Today::day());
            foreach ($used->parents as $parent) {
                if (isset($sold[$parent])) {
                    $found[$item->number][$sold[$parent]] = $used->quantity($parent);
                }
            }
        }
        $ids = array_keys(array_replace(...array_values($found) ?: [[]]));
        $asked = Item::query()->where('sold', true)->orderBy('number');
        $asked->whereRaw('id = ANY (?::bigint[])', ['{' . implode(',', $ids) . '}']);
        $products = $asked->get();
        $told = $products->take(self::PRODUCTS);
        $uses = [];
        foreach ($found as $number => $quantities) {
            foreach ($told as $product) {
                if (isset($quantities[$product->id])) {
                    $uses[$number][$product->number] = $quantities[$product->id];
                }
            }
        }

        return [$uses, $told, $products->count() - $told->count()];
    }

    /**
     * @param  Collection<int, Item>  $products
     * @param  array<int, int>  $yearly  millionths by id
     * @return array<string, array{DemandRow, Quantity}> by product
     */
    private static function demand(Collection $products, array $yearly, Figures $figures): array
    {
        $demand = [];
        foreach ($products as $product) {
            $computed = Quantity::ofMillionths($yearly[$product->id] ?? 0);
            [$amount, $said] = $figures->amount(FigureKind::Demand, $product->number);
            $units = $amount === null ? $computed : Quantity::ofMillionths($amount);
            $demand[$product->number] = [
                new DemandRow($product->number, $product->title, (string) $units, (string) $computed, $said),
                $units,
            ];
        }

        return $demand;
    }

    /**
     * @param  list<string>  $missing
     * @return list<string>
     */
    private static function assumed(int $left, array $missing, Freshness $told): array
    {
        return [
            'Demand of a year: sales orders of the next 365 days, and the forecast as far as it is not sold already in its week.',
            'How much of an item goes into a product: the released engineering structure of today.',
            'What is scrapped costs the standard cost of the item; what is used up, reworked, returned or held costs nothing unless its cost is set for the category or said here.',
            'What every year costs more is what specialists answered for one unit, summed, unless it is said here. Where nobody tells any of it, it is the difference in standard cost that the edits of the order make, or, before there are any, the parts chosen to cut in.',
            ...$missing === [] ? [] : ['Without a standard cost, counted as nothing: ' . implode(', ', $missing) . '.'],
            ...$told->unknown === []
                ? []
                : ['Planning does not know, so that nothing of it exists here: ' . implode(', ', $told->unknown) . '.'],
            ...$left === 0 ? [] : ["The change reaches {$left} more products; their demand is not counted."],
        ];
    }
}
