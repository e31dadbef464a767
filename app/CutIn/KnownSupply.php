<?php

declare(strict_types=1);

namespace App\CutIn;

use App\Planning\ExposureReader;
use App\Planning\Freshness;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\CutIn\NodeSupply;
use Orthotaxis\Core\CutIn\PlantDays;
use Orthotaxis\Core\Impact\Supply;
use Orthotaxis\Core\Impact\SupplyKind;
use Orthotaxis\Core\Quantity\Unit;

/**
 * What planning knows of some items at each plant, as the cut-in planner looks at it: days from today, quantities in the unit of the item.
 * Of most items only sums by document are kept; single rows of those few that are asked for.
 */
final class KnownSupply
{
    /** @var array<int, array<int, NodeSupply>> plant => item id => what is known there */
    private array $supplies = [];

    /** @var array<int, list<int>> item id => plants where it comes from: made, bought, or else in stock */
    private array $homes = [];

    /** @var array<string, list<Supply>> by item number */
    private array $rows = [];

    public Freshness $told;

    private function __construct(private readonly Day $today, private readonly Places $places)
    {
        $this->told = new Freshness(null);
    }

    /**
     * @param  array<int, PlannedItem>  $items  by id
     * @param  list<int>  $whole  ids of the items whose rows are kept
     * @param  list<int>  $made  ids of the items whose work orders are kept
     */
    public static function ask(ExposureReader $reader, array $items, Day $today, Places $places, array $whole = [], array $made = []): self
    {
        $supply = new self($today, $places);
        $byNumber = [];
        foreach ($items as $item) {
            $byNumber[$item->number] = $item;
        }
        [$whole, $made] = [array_fill_keys($whole, true), array_fill_keys($made, true)];
        $supply->told = $reader->each(
            array_map(static fn(PlannedItem $item): string => $item->number, $items),
            static function (array $rows) use ($supply, $byNumber, $whole, $made): void {
                $byItem = [];
                foreach ($rows as $row) {
                    $byItem[$row->item][] = $row;
                }
                foreach (array_intersect_key($byItem, $byNumber) as $number => $of) {
                    $item = $byNumber[$number];
                    $supply->take($item, $of);
                    $kept = match (true) {
                        isset($whole[$item->id]) => $of,
                        isset($made[$item->id]) => array_values(
                            array_filter($of, static fn(Supply $row): bool => $row->kind === SupplyKind::WorkOrder),
                        ),
                        default => [],
                    };
                    if ($kept !== []) {
                        $supply->rows[$number] = $kept;
                    }
                }
            },
            static function () use ($supply): void {
                $supply->supplies = $supply->rows = $supply->homes = [];
            },
        );

        return $supply;
    }

    /** @return list<Supply> single rows, where they were to be kept */
    public function rows(string $number): array
    {
        return $this->rows[$number] ?? [];
    }

    /** The same without what is above the parts. */
    public function ofParts(): self
    {
        $parts = clone $this;
        $parts->supplies = [];

        return $parts;
    }

    /** Null when planning says nothing of it there. */
    public function supply(int $item, int $plant = 0): ?NodeSupply
    {
        return $this->supplies[$plant][$item] ?? null;
    }

    /** @return list<int> the plants where it comes from, as planning has it; none: nobody knows */
    public function homes(int $item): array
    {
        return $this->homes[$item] ?? [];
    }

    /** Which of the plants a row is of. */
    public function plant(Supply $row): int
    {
        return $this->places->at($row->place);
    }

    /** Days from today, less than nothing for what is late; 0 for what has no day. */
    public function day(Supply $row): int
    {
        return $row->due === null ? 0 : $row->due->number() - $this->today->number();
    }

    /** The first day of an order: as planning has it, else so many working days before it is done. */
    public function first(Supply $row, ?int $leadDays, PlantDays $days): int
    {
        return $row->start === null ? $days->before($this->day($row), (int) $leadDays) : $row->start->number() - $this->today->number();
    }

    public function quantity(Supply $row, Unit $unit): int
    {
        return $row->unit->convert($row->quantity, $unit)->millionths;
    }

    /** How much of a work order has its parts already. */
    public function issued(Supply $row, Unit $unit): int
    {
        return match (true) {
            $row->kind !== SupplyKind::WorkOrder => $this->quantity($row, $unit),
            $row->issued !== null => min($this->quantity($row, $unit), $row->unit->convert($row->issued, $unit)->millionths),
            default => self::isStarted($row) ? $this->quantity($row, $unit) : 0,
        };
    }

    public static function isStarted(Supply $row): bool
    {
        return in_array($row->status, (array) config('cut-in.started'), true);
    }

    public static function isFree(Supply $row): bool
    {
        return !in_array($row->status, (array) config('cut-in.not_free'), true);
    }

    /** @param  list<Supply>  $rows  of the item */
    private function take(PlannedItem $item, array $rows): void
    {
        $byPlant = $made = $stocked = [];
        foreach ($rows as $row) {
            $plant = $this->plant($row);
            $byPlant[$plant][] = $row;
            if ($row->kind->isReceipt()) {
                $made[$plant] = true;
            } elseif ($row->kind === SupplyKind::Stock) {
                $stocked[$plant] = true;
            }
        }
        $homes = array_keys($made === [] ? $stocked : $made);
        sort($homes);
        $this->homes[$item->id] = $homes;
        foreach ($byPlant as $plant => $some) {
            $this->supplies[$plant][$item->id] = $this->reduced($item, $some, $this->places->days[$plant]);
        }
    }

    /** @param  list<Supply>  $rows  of the item at the plant */
    private function reduced(PlannedItem $item, array $rows, PlantDays $days): NodeSupply
    {
        $onHand = 0;
        $wanted = $orders = $sold = $forecast = [];
        foreach ($rows as $row) {
            $quantity = $this->quantity($row, $item->unit);
            $day = $this->day($row);
            if ($row->kind === SupplyKind::Stock) {
                $onHand += self::isFree($row) ? $quantity : 0;
            } elseif ($row->kind === SupplyKind::SalesOrder) {
                $wanted[] = [$day, $quantity, $row->document];
                $week = intdiv(max(0, $day), 7);
                $sold[$week] = ($sold[$week] ?? 0) + $quantity;
            } elseif ($row->kind === SupplyKind::Forecast && $day >= 0) {
                $forecast[] = [$day, $quantity, $row->document];
            } elseif ($row->kind->isReceipt()) {
                // What is bought takes no parts of ours.
                $orders[] = [$this->first($row, $item->leadDays, $days), $day, $quantity, $row->document, $this->issued($row, $item->unit)];
            }
        }
        foreach ($forecast as [$day, $quantity, $document]) {
            // What is sold already was part of the forecast of its week.
            $week = intdiv($day, 7);
            $left = $quantity - ($sold[$week] ?? 0);
            $sold[$week] = max(0, -$left);
            if ($left > 0) {
                $wanted[] = [$day, $left, $document];
            }
        }
        [$weekly, $until] = self::mean($forecast);

        return new NodeSupply(
            onHand: $onHand,
            wanted: $wanted,
            orders: $orders,
            leadDays: (int) $item->leadDays,
            weekly: $weekly,
            until: $until,
        );
    }

    /**
     * @param  list<array{int, int, string}>  $forecast  day, millionths, document
     * @return array{int, int} millionths a week, and the last day that is forecast
     */
    private static function mean(array $forecast): array
    {
        $days = array_column($forecast, 0);
        if (count($days) < 2) {
            return [0, 0];
        }
        $weeks = intdiv(max($days) - min($days), 7) + 1;

        return [intdiv(array_sum(array_column($forecast, 1)), $weeks), max($days)];
    }
}
