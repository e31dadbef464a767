<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInRow;
use App\Structures\Models\Item;
use Illuminate\Support\Collection;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\CutIn\CostCause;
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
        if ($day < 0 || $day >= $case->plants[0]->horizon()) {
            throw Refusal::at('on', 'Choose a day within the planning horizon.');
        }
        $byPart = [];
        foreach ($case->plants as $at => $plant) {
            foreach (DayRows::of($plant, $case->pegs[$at], $case->levers, $day) as $row) {
                $byPart[$row->part->value][] = [$row, $at];
            }
        }
        $shown = [];
        foreach ($byPart as $part => $rows) {
            usort($rows, static fn(array $a, array $b): int => abs($b[0]->amount->tenThousandths) <=> abs($a[0]->amount->tenThousandths));
            $byPart[$part] = $rows;
            array_push($shown, ...array_column(array_slice($rows, 0, self::MOST), 0));
        }
        $made = self::made($shown);
        $all = [];
        foreach (CostPart::cases() as $part) {
            $rows = $byPart[$part->value] ?? [];
            foreach (array_slice($rows, 0, self::MOST) as [$row, $at]) {
                $all[] = self::told($case, $row, $at, $made);
            }
            $beyond = array_column(array_slice($rows, self::MOST), 0);
            if ($beyond !== []) {
                $all[] = self::rest($part, $beyond);
            }
        }

        return $all;
    }

    /**
     * @param  list<CostRow>  $rows
     * @return Collection<int, Item> by id
     */
    private static function made(array $rows): Collection
    {
        $ids = array_values(array_unique(array_filter(array_column($rows, 'position'), is_int(...))));
        $query = Item::query();
        $query->whereIntegerInRaw('id', $ids);

        return $query
            ->get(['id', 'number', 'title'])
            ->keyBy('id')
            ->toBase();
    }

    /** @param  Collection<int, Item>  $made */
    private static function told(CutInCase $case, CostRow $row, int $at, Collection $made): CutInRow
    {
        $number = $row->of === null ? '' : $case->plants[$at]->parts[$row->of]->number;
        $part = $number === '' ? null : $case->items[$number];
        $user = $row->position === null ? null : $made[$row->position];
        $isCounted = $part !== null && $row->cause !== CostCause::ExpeditingFee;

        return new CutInRow(
            part: $row->part->value,
            plant: $case->plants[$at]->plant,
            what: match (true) {
                $row->cause !== CostCause::Wanted => $row->cause->value,
                $user?->number === $number => 'sale',
                default => $row->document === '' ? 'planned' : 'order',
            },
            document: $row->document,
            of: $number,
            item: $user->number ?? '',
            title: $user->title ?? '',
            on: $row->day === null ? null : (string) $case->today->plusDays($row->day),
            quantity: $isCounted ? (string) Quantity::ofMillionths($row->quantity) : '',
            unit: $isCounted ? $part->unit->value : '',
            amount: (string) $row->amount,
        );
    }

    /** @param  non-empty-list<CostRow>  $beyond */
    private static function rest(CostPart $part, array $beyond): CutInRow
    {
        return new CutInRow(
            part: $part->value,
            plant: '',
            what: 'rest',
            document: count($beyond) . ' more',
            of: '',
            item: '',
            title: '',
            on: null,
            quantity: '',
            unit: '',
            amount: (string) array_reduce($beyond, static fn(Money $sum, CostRow $row): Money => $sum->plus($row->amount), Money::zero()),
        );
    }
}
