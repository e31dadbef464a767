<?php

declare(strict_types=1);

namespace App\CutIn;

use App\Planning\ExposureReader;
use App\Planning\Freshness;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\CutIn\NodeSupply;
use Orthotaxis\Core\Impact\Supply;
use Orthotaxis\Core\Impact\SupplyKind;
use Orthotaxis\Core\Quantity\Unit;

/**
 * What planning knows of some items, as the cut-in planner looks at it: days from today, quantities in the unit of the item.
 * Of most items only sums by document are kept; single rows of those few that are asked for.
 */
final class KnownSupply
{
    /** @var array<int, NodeSupply> by item id */
    private array $supplies = [];

    /** @var array<string, list<Supply>> by item number */
    private array $rows = [];

    public Freshness $told;

    private function __construct(private readonly Day $today)
    {
        $this->told = new Freshness(null);
    }

    /**
     * @param  array<int, PlannedItem>  $items  by id
     * @param  list<int>  $whole  ids of the items whose rows are kept
     * @param  list<int>  $made  ids of the items whose work orders are kept
     */
    public static function ask(ExposureReader $reader, array $items, Day $today, array $whole = [], array $made = []): self
    {
        $supply = new self($today);
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
                    $supply->supplies[$item->id] = $supply->reduced($item, $of);
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
                $supply->supplies = $supply->rows = [];
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

    /** Null when planning says nothing of it. */
    public function supply(int $item): ?NodeSupply
    {
        return $this->supplies[$item] ?? null;
    }

    /** Days from today; 0 for what has no day or is late. */
    public function day(Supply $row): int
    {
        return $row->due === null ? 0 : $row->due->number() - $this->today->number();
    }

    public function quantity(Supply $row, Unit $unit): int
    {
        return $row->unit->convert($row->quantity, $unit)->millionths;
    }

    public function isFree(Supply $row): bool
    {
        return !in_array($row->status, (array) config('cut-in.not_free'), true);
    }

    /** @param  list<Supply>  $rows  of the item */
    private function reduced(PlannedItem $item, array $rows): NodeSupply
    {
        $issued = (array) config('cut-in.issued');
        $onHand = 0;
        $wanted = $orders = $sold = $forecast = [];
        foreach ($rows as $row) {
            $quantity = $this->quantity($row, $item->unit);
            $day = $this->day($row);
            if ($row->kind === SupplyKind::Stock) {
                $onHand += $this->isFree($row) ? $quantity : 0;
            } elseif ($row->kind === SupplyKind::SalesOrder) {
                $wanted[] = [$day, $quantity, $row->document];
                $week = intdiv(max(0, $day), 7);
                $sold[$week] = ($sold[$week] ?? 0) + $quantity;
            } elseif ($row->kind === SupplyKind::Forecast) {
                $forecast[] = [$day, $quantity, $row->document];
            } elseif ($row->kind->isReceipt()) {
                // What is bought takes no parts of ours.
                $takes = $row->kind === SupplyKind::WorkOrder && !in_array($row->status, $issued, true);
                $orders[] = [$day - $item->leadDays, $day, $quantity, $row->document, !$takes];
            }
        }
        foreach ($forecast as [$day, $quantity, $document]) {
            // What is sold already was part of the forecast of its week.
            $week = intdiv(max(0, $day), 7);
            $left = $quantity - ($sold[$week] ?? 0);
            $sold[$week] = max(0, -$left);
            if ($left > 0) {
                $wanted[] = [$day, $left, $document];
            }
        }

        return new NodeSupply($onHand, $wanted, $orders, $item->leadDays);
    }
}
