<?php

declare(strict_types=1);

namespace App\Planning;

use App\Planning\Data\ExposureOfItem;
use App\Planning\Data\ExposurePage;
use App\Planning\Jobs\AskPlanning;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Impact\Exposure;
use Orthotaxis\Core\Impact\Supply;
use Orthotaxis\Core\Refusal;

/** What exists and what is coming; when planning is silent, what it last said and how old that is. */
final readonly class ExposureReader
{
    /**
     * Planning is asked about so many items at first; fewer where it has much to tell, more where it has little. Nobody has to hold an
     * answer about tens of thousands.
     */
    private const AT_FIRST = 100;

    private const AT_MOST = 3200;

    /** Rows that an answer should have at most, about. */
    private const ROWS = 20_000;

    public function __construct(private PlanningGateway $planning) {}

    /** @param  Collection<int, Item>  $items */
    public function of(Collection $items): ExposurePage
    {
        /** @var array<string, Exposure> $byItem */
        $byItem = [];
        $told = $this->each(
            $items->pluck('number', 'id')->all(),
            static function (array $rows) use ($items, &$byItem): void {
                $some = [];
                foreach ($rows as $row) {
                    $some[$row->item][] = $row;
                }
                foreach ($items as $item) {
                    if (isset($some[$item->number])) {
                        $byItem[$item->number] = Exposure::of($item->number, $item->unit, $some[$item->number]);
                    }
                }
            },
            static function () use (&$byItem): void {
                $byItem = [];
            },
        );
        $at =
            $told->fault === null
                ? []
                : DB::table('exposure_memory')->whereIntegerInRaw('item_id', $items->modelKeys())->pluck('fetched_at', 'item_id');

        return new ExposurePage(
            $items
                ->map(
                    static fn(Item $item): ExposureOfItem => ExposureOfItem::of(
                        $byItem[$item->number] ?? Exposure::of($item->number, $item->unit, []),
                        $told->fault === null ? $told->at : (isset($at[$item->id]) ? CarbonImmutable::parse($at[$item->id]) : null),
                        !in_array($item->number, $told->unknown, true),
                        $told->fault,
                    ),
                )
                ->values()
                ->all(),
            $told->strangers,
        );
    }

    /**
     * The same as plain rows, for those who compute with them.
     *
     * @param  Collection<int, Item>  $items
     * @return array{list<Supply>, Freshness}
     */
    public function rows(Collection $items): array
    {
        $rows = [];
        $told = $this->each(
            $items->pluck('number', 'id')->all(),
            static function (array $some) use (&$rows): void {
                array_push($rows, ...$some);
            },
            static function () use (&$rows): void {
                $rows = [];
            },
        );

        return [$rows, $told];
    }

    /**
     * Gives the rows to somebody who makes less of them, some items at a time.
     *
     * @param  array<int, string>  $numbers  id => number
     * @param  \Closure(list<Supply>): void  $take
     * @param  \Closure(): void  $anew  called when planning falls silent midway: all that was taken is given again, as it was last told
     */
    public function each(array $numbers, \Closure $take, \Closure $anew): Freshness
    {
        $now = CarbonImmutable::now();
        $unknown = $strangers = [];
        try {
            for ($from = 0, $size = self::AT_FIRST; $from < count($numbers); $from += count($batch)) {
                $batch = array_slice($numbers, $from, $size, true);
                $answer = $this->planning->supply(array_values($batch));
                $take($answer->rows);
                // Only what made sense to whoever took it.
                self::remember($batch, $answer, $now);
                array_push($unknown, ...$answer->unknown);
                array_push($strangers, ...$answer->strangers);
                $size = match (true) {
                    count($answer->rows) > self::ROWS => max(1, intdiv($size, 2)),
                    count($answer->rows) < self::ROWS / 4 => min(self::AT_MOST, $size * 2),
                    default => $size,
                };
            }

            return new Freshness($now, null, $unknown, array_values(array_unique($strangers)));
        } catch (PlanningSilent | Refusal $fault) {
            $anew();
            if ($fault instanceof PlanningSilent && PlanningGateway::isAwaited()) {
                AskPlanning::inBackground($numbers);
            }

            return self::lastTold($numbers, $take, $fault->getMessage());
        }
    }

    /**
     * @param  array<int, string>  $numbers  id => number
     * @param  \Closure(list<Supply>): void  $take
     */
    private static function lastTold(array $numbers, \Closure $take, string $fault): Freshness
    {
        $oldest = null;
        $unknown = [];
        foreach (array_chunk($numbers, self::AT_FIRST, true) as $batch) {
            $rows = [];
            foreach (DB::table('exposure_memory')->whereIntegerInRaw('item_id', array_keys($batch))->orderBy('item_id')->get() as $kept) {
                array_push($rows, ...self::read($kept->rows));
                $oldest = min($oldest ?? $kept->fetched_at, $kept->fetched_at);
                if (!$kept->known) {
                    $unknown[] = $batch[$kept->item_id];
                }
            }
            $take($rows);
        }

        return new Freshness($oldest === null ? null : CarbonImmutable::parse($oldest), $fault, $unknown);
    }

    /** @param  array<int, string>  $numbers  id => number */
    private static function remember(array $numbers, SupplyAnswer $answer, CarbonImmutable $now): void
    {
        $ids = array_flip($numbers);
        $rows = array_fill_keys(array_keys($numbers), []);
        foreach ($answer->rows as $row) {
            $rows[$ids[$row->item]][] = [
                'kind' => $row->kind->value,
                'document' => $row->document,
                'item' => $row->item,
                'revision' => $row->revision,
                'quantity' => (string) $row->quantity,
                'unit' => $row->unit->value,
                'unit_value' => (string) $row->unitValue,
                'due' => $row->due?->__toString(),
                'place' => $row->place,
                'status' => $row->status,
                'serial' => $row->serial,
                'start' => $row->start?->__toString(),
                'issued' => $row->issued?->__toString(),
            ];
        }
        DB::statement(
            'INSERT INTO exposure_memory (item_id, rows, fetched_at, known) SELECT key::bigint, value::text, ?, NOT key::bigint = ANY (?::bigint[]) FROM json_each(?::json)
            ON CONFLICT (item_id) DO UPDATE SET rows = excluded.rows, fetched_at = excluded.fetched_at, known = excluded.known',
            [
                $now,
                '{' . implode(',', array_intersect_key($ids, array_flip($answer->unknown))) . '}',
                json_encode((object) $rows, JSON_THROW_ON_ERROR),
            ],
        );
    }

    /** @return list<Supply> */
    private static function read(string $kept): array
    {
        /** @var list<array<string, mixed>> $rows */
        $rows = json_decode($kept, true, flags: JSON_THROW_ON_ERROR);

        return array_map(Supply::read(...), $rows, array_keys($rows));
    }
}
