<?php

declare(strict_types=1);

namespace App\Planning;

use App\Planning\Data\ExposureOfItem;
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
    public function __construct(private PlanningGateway $planning) {}

    /**
     * @param  Collection<int, Item>  $items
     * @return list<ExposureOfItem>
     */
    public function of(Collection $items): array
    {
        $numbers = $items->map(static fn (Item $item): string => $item->number)->values()->all();
        try {
            $supply = $this->planning->supply($numbers);
            $now = CarbonImmutable::now();
            $answer = $items->map(static fn (Item $item): ExposureOfItem => ExposureOfItem::of(Exposure::of($item->number, $item->unit, $supply), $now))->values()->all();
            $this->remember($items, $supply, $now);

            return $answer;
        } catch (PlanningSilent|Refusal $fault) {
            return $this->remembered($items, $fault->getMessage());
        }
    }

    /**
     * The same as plain rows, for those who compute with them.
     *
     * @param  Collection<int, Item>  $items
     * @return array{list<Supply>, ?CarbonImmutable, ?string} the rows; when they were told, the oldest; why they are not fresh
     */
    public function rows(Collection $items): array
    {
        try {
            $supply = $this->planning->supply($items->map(static fn (Item $item): string => $item->number)->values()->all());
            $now = CarbonImmutable::now();
            $this->remember($items, $supply, $now);

            return [$supply, $now, null];
        } catch (PlanningSilent|Refusal $fault) {
            $rows = [];
            $oldest = null;
            foreach (DB::table('exposure_memory')->whereIn('item_id', $items->modelKeys())->orderBy('fetched_at')->get() as $kept) {
                $oldest ??= CarbonImmutable::parse($kept->fetched_at);
                /** @var list<array<string, mixed>> $of */
                $of = json_decode($kept->rows, true, flags: JSON_THROW_ON_ERROR);
                $rows = [...$rows, ...array_map(Supply::read(...), $of, array_keys($of))];
            }

            return [$rows, $oldest, $fault->getMessage()];
        }
    }

    /**
     * @param  Collection<int, Item>  $items
     * @param  list<Supply>  $supply
     */
    private function remember(Collection $items, array $supply, CarbonImmutable $now): void
    {
        $rows = array_fill_keys($items->map(static fn (Item $item): string => $item->number)->all(), []);
        foreach ($supply as $row) {
            if (isset($rows[$row->item])) {
                $rows[$row->item][] = [
                    'kind' => $row->kind->value, 'document' => $row->document, 'item' => $row->item, 'revision' => $row->revision,
                    'quantity' => (string) $row->quantity, 'unit' => $row->unit->value, 'unit_value' => (string) $row->unitValue,
                    'due' => $row->due?->__toString(), 'place' => $row->place, 'status' => $row->status, 'serial' => $row->serial,
                ];
            }
        }
        DB::table('exposure_memory')->upsert(
            $items->map(static fn (Item $item): array => [
                'item_id' => $item->id,
                'rows' => json_encode($rows[$item->number], JSON_THROW_ON_ERROR),
                'fetched_at' => $now,
            ])->values()->all(),
            ['item_id'],
        );
    }

    /**
     * @param  Collection<int, Item>  $items
     * @return list<ExposureOfItem>
     */
    private function remembered(Collection $items, string $fault): array
    {
        $memory = DB::table('exposure_memory')->whereIn('item_id', $items->modelKeys())->get()->keyBy('item_id');

        return $items->map(static function (Item $item) use ($memory, $fault): ExposureOfItem {
            $kept = $memory->get($item->id);
            /** @var list<array<string, mixed>> $rows */
            $rows = $kept === null ? [] : json_decode($kept->rows, true, flags: JSON_THROW_ON_ERROR);

            return ExposureOfItem::of(
                Exposure::of($item->number, $item->unit, array_map(Supply::read(...), $rows, array_keys($rows))),
                $kept === null ? null : CarbonImmutable::parse($kept->fetched_at),
                $fault,
            );
        })->values()->all();
    }
}
