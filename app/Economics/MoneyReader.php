<?php

declare(strict_types=1);

namespace App\Economics;

use App\Assessment\Models\Question;
use App\Changes\Models\ChangeRequest;
use App\Economics\Data\DemandRow;
use App\Economics\Data\DispositionRow;
use App\Economics\Data\MoneyPage;
use App\Economics\Data\MoneyRow;
use App\Planning\ExposureReader;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use App\Structures\Today;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Impact\DispositionCost;
use Orthotaxis\Core\Impact\Economics;
use Orthotaxis\Core\Impact\Exposure;
use Orthotaxis\Core\Impact\Supply;
use Orthotaxis\Core\Impact\SupplyKind;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

/** Puts together what a request costs: from planning, the structures, what specialists answered, and what somebody said instead. */
final readonly class MoneyReader
{
    /** Planning is asked about so many products at once; a change that reaches more is told so. */
    private const PRODUCTS = 200;

    public function __construct(private ExposureReader $exposure) {}

    public function of(string $number): MoneyPage
    {
        $request = ChangeRequest::query()->with('items')->where('number', $number)->firstOrFail();
        $figures = Figures::of($request);
        [$supply, $toldAt, $fault] = $this->exposure->rows($request->items);
        $dispositions = self::dispositions($request->items, $supply, $figures);
        [$uses, $products, $left] = self::uses($request->items);
        [$demand, $fault2] = $this->demand($products, $figures);

        $answers = Question::query()->with('item')->where('request_id', $request->id)->where('state', 'answered')->orderBy('id')->get();
        $once = self::once($dispositions, $answers, $figures);
        $recurring = self::recurring($request->items, $answers, $figures, $uses, $demand);
        $economics = Economics::of(
            array_map(static fn (array $one): array => [$one[0]->item, $one[1]], $once),
            array_map(static fn (array $one): array => [$one[0]->item, $one[1], $one[2]], $recurring),
        );
        $byItem = [];
        foreach ($request->items as $item) {
            $byItem[] = new MoneyRow($item->number, $item->title, (string) ($economics->oneTimeByItem[$item->number] ?? Money::zero()), (string) ($economics->yearlyByItem[$item->number] ?? Money::zero()), null, null);
        }

        return new MoneyPage(
            config()->string('orthotaxis.currency'), $toldAt?->toIso8601String(), $fault ?? $fault2, array_column($dispositions, 0), array_column($once, 0), array_column($recurring, 0), array_column($demand, 0),
            $byItem, (string) $economics->oneTime, (string) $economics->yearly, $economics->paybackMonths, self::assumed($left),
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
                    $rows[] = [new DispositionRow(
                        $item->number, $kind->value, (string) $total->quantity, $total->unit->value, (string) $total->value, $cost->disposition->value, (string) $cost->perUnit, (string) $cost->of($total), $from, $said,
                    ), $cost->of($total)];
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
                $rows[] = [new MoneyRow($row->item, ucfirst(str_replace('_', ' ', "{$row->disposition}: {$row->kind}")), $row->cost, null, null, $row->said), $cost];
            }
        }
        foreach ($answers as $answer) {
            if ($answer->one_time !== null) {
                $amount = Money::ofTenThousandths($answer->one_time);
                $rows[] = [new MoneyRow($answer->item->number, "{$answer->function->name}: ".($answer->answer ?: $answer->text), (string) $amount, null, null, null), $amount];
            }
        }
        foreach ($figures->oneTime() as [$what, $amount, $said]) {
            $rows[] = [new MoneyRow('', $what, (string) $amount, null, null, $said), $amount];
        }

        return $rows;
    }

    /**
     * @param  Collection<int, Item>  $items
     * @param  Collection<int, Question>  $answers
     * @param  array<string, array<string, Quantity>>  $uses  item => product => how much goes into one
     * @param  array<string, array{DemandRow, Quantity}>  $demand  by product
     * @return list<array{MoneyRow, Money, Quantity}>
     */
    private static function recurring(Collection $items, Collection $answers, Figures $figures, array $uses, array $demand): array
    {
        $rows = [];
        foreach ($items as $item) {
            [$amount, $said] = $figures->amount(FigureKind::Recurring, $item->number);
            $answered = $answers->filter(static fn (Question $answer): bool => $answer->item_id === $item->id && $answer->recurring !== null);
            if ($amount === null && $answered->isEmpty()) {
                continue;
            }
            $units = Quantity::ofMillionths(0);
            foreach ($uses[$item->number] ?? [] as $product => $quantity) {
                $units = $units->plus($quantity->times($demand[$product][1] ?? Quantity::ofMillionths(0)));
            }
            $perUnit = Money::ofTenThousandths($amount ?? (int) $answered->sum('recurring'));
            $what = $said === null ? $answered->map(static fn (Question $answer): string => $answer->function->name)->unique()->implode(', ') : 'Said';
            $rows[] = [new MoneyRow($item->number, "{$what}: {$item->title}", (string) $perUnit->times($units), (string) $perUnit, (string) $units, $said), $perUnit, $units];
        }

        return $rows;
    }

    /**
     * @param  Collection<int, Item>  $items
     * @return array{array<string, array<string, Quantity>>, Collection<int, Item>, int} item => product => how much; the products; how many were left out
     */
    private static function uses(Collection $items): array
    {
        $index = StructureIndex::open();
        $found = [];
        foreach ($items as $item) {
            // What is sold itself is wanted as it is.
            $found[$item->number][$item->id] = Quantity::one();
            $used = $index->whereUsed($item->id, Today::day());
            foreach ($used->tops() as $top) {
                $found[$item->number][$index->positions->item($top)] = $used->quantity($top);
            }
        }
        $ids = array_keys(array_replace(...array_values($found) ?: [[]]));
        $sold = Item::query()->where('sold', true)->orderBy('number');
        $sold->whereRaw('id = ANY (?::bigint[])', ['{'.implode(',', $ids).'}']);
        $products = $sold->get();
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
     * @return array{array<string, array{DemandRow, Quantity}>, ?string} by product; why it is not fresh
     */
    private function demand(Collection $products, Figures $figures): array
    {
        [$supply, , $fault] = $products->isEmpty() ? [[], null, null] : $this->exposure->rows($products);
        $yearEnds = Today::day()->plusDays(365);
        $told = [];
        foreach ($supply as $row) {
            if (in_array($row->kind, [SupplyKind::SalesOrder, SupplyKind::Forecast], true) && ($row->due === null || $row->due->isBefore($yearEnds))) {
                $told[$row->item] = ($told[$row->item] ?? Quantity::ofMillionths(0))->plus($row->quantity);
            }
        }
        $demand = [];
        foreach ($products as $product) {
            $computed = $told[$product->number] ?? Quantity::ofMillionths(0);
            [$amount, $said] = $figures->amount(FigureKind::Demand, $product->number);
            $units = $amount === null ? $computed : Quantity::ofMillionths($amount);
            $demand[$product->number] = [new DemandRow($product->number, $product->title, (string) $units, (string) $computed, $said), $units];
        }

        return [$demand, $fault];
    }

    /** @return list<string> */
    private static function assumed(int $left): array
    {
        return [
            'Demand of a year: sales orders and forecast of the next 365 days, together.',
            'How much of an item goes into a product: the released engineering structure of today.',
            'What is scrapped costs the standard cost of the item; what is used up, reworked, returned or held costs nothing unless its cost is set for the category or said here.',
            'What every year costs more is what specialists answered for one unit, summed, unless it is said here.',
            ...($left === 0 ? [] : ["The change reaches {$left} more products; their demand is not counted."]),
        ];
    }
}
