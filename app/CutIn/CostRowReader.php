<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInRow;
use App\Structures\Models\Item;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\CutIn\CostPart;
use Orthotaxis\Core\CutIn\CostRow;
use Orthotaxis\Core\CutIn\DayRows;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;

/** What one day of cutting in costs, down to the single order. */
final readonly class CostRowReader
{
    /** More rows of a part than this nobody reads; what is beyond is told as one. */
    private const MOST = 200;

    public function __construct(private CaseReader $cases) {}

    /**
     * @param  array<string, mixed>  $question  as CutInQuestion checks it
     * @return list<CutInRow> in the order of the parts, the dearest of each first
     */
    public function rows(array $question, Day $on): array
    {
        $case = $this->cases->read($question, true);
        $day = $on->number() - $case->today->number();
        if ($day < 0 || $day >= count($case->pairs[0]->demand)) {
            throw Refusal::at('on', 'Choose a day within the planning horizon.');
        }
        $byPart = [];
        foreach (DayRows::of($case->pairs, $case->pegs, $case->orders, $case->levers, $day) as $row) {
            $byPart[$row->part->value][] = $row;
        }
        $shown = $rest = [];
        foreach (CostPart::cases() as $part) {
            $rows = $byPart[$part->value] ?? [];
            usort($rows, static fn(CostRow $a, CostRow $b): int => abs($b->amount->tenThousandths) <=> abs($a->amount->tenThousandths));
            array_push($shown, ...array_slice($rows, 0, self::MOST));
            $beyond = array_slice($rows, self::MOST);
            $rest[$part->value] =
                $beyond === []
                    ? []
                    : [
                        new CutInRow(
                            part: $part->value,
                            what: 'rest',
                            document: count($beyond) . ' more',
                            item: '',
                            title: '',
                            is_new: false,
                            on: null,
                            quantity: '',
                            unit: '',
                            amount: (string) array_reduce(
                                $beyond,
                                static fn(Money $sum, CostRow $row): Money => $sum->plus($row->amount),
                                Money::zero(),
                            ),
                        ),
                    ];
        }
        $told = $this->told($case, $shown);
        $all = [];
        foreach (CostPart::cases() as $part) {
            $all = [...$all, ...array_filter($told, static fn(CutInRow $row): bool => $row->part === $part->value), ...$rest[$part->value]];
        }

        return array_values($all);
    }

    /**
     * @param  list<CostRow>  $rows
     * @return list<CutInRow>
     */
    private function told(CutInCase $case, array $rows): array
    {
        $positions = array_values(array_unique(array_filter(array_column($rows, 'position'), is_int(...))));
        $query = Item::query();
        $query->whereIntegerInRaw('id', array_map($case->index->positions->item(...), $positions));
        $made = $query->get(['id', 'number', 'title'])->keyBy('id');
        $takers = [];
        foreach ($case->documents as $document) {
            $takers[$document->document] = $document->item;
        }

        return array_map(static function (CostRow $row) use ($case, $made, $takers): CutInRow {
            $pair = $case->pairs[max(0, $row->pair)];
            $part = $case->items[$row->isNew ? $pair->new->number : $pair->old->number];
            $user = $row->position === null ? null : $made[$case->index->positions->item($row->position)];
            $sale = $user !== null && $user->number === $pair->old->number;
            $what = match (true) {
                $row->part === CostPart::Leftover => $row->document === '' ? 'stock' : 'receipt',
                $row->part === CostPart::Cancellation => 'receipt',
                $row->part === CostPart::Shortage && $row->position === null => 'expediting',
                $sale => 'sale',
                default => $row->document === '' ? 'planned' : 'order',
            };

            $counted = $row->pair >= 0 && $what !== 'expediting';

            return new CutInRow(
                part: $row->part->value,
                what: $what,
                document: $row->document,
                item: $user === null ? ($row->pair < 0 ? $takers[$row->document] ?? '' : $part->number) : $user->number,
                title: $user->title ?? '',
                is_new: $row->isNew,
                on: $row->day === null ? null : (string) $case->today->plusDays($row->day),
                quantity: $counted ? (string) Quantity::ofMillionths($row->quantity) : '',
                unit: $counted ? $part->unit->value : '',
                amount: (string) $row->amount,
            );
        }, $rows);
    }
}
