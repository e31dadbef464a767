<?php

declare(strict_types=1);

namespace App\CutIn;

use App\Planning\ExposureReader;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\CutIn\NodeSupply;
use Orthotaxis\Core\Impact\Supply;
use Orthotaxis\Core\Impact\SupplyKind;

/** What planning knows of some items, as the cut-in planner looks at it: days from today, quantities in the unit of the item. */
final class PlanningPicture
{
    /** @var array<string, list<Supply>> by item number */
    private array $rows = [];

    public ?string $fault = null;

    /** The oldest of what was told; null when planning never told anything. */
    public ?CarbonImmutable $fetchedAt = null;

    /** @param  Collection<int, Item>  $items */
    public function __construct(ExposureReader $reader, private readonly Collection $items, private readonly Day $today)
    {
        [$rows, $this->fetchedAt, $this->fault] = $reader->rows($items);
        foreach ($rows as $row) {
            $this->rows[$row->item][] = $row;
        }
    }

    /** How many of the items planning says nothing of. */
    public function silent(): int
    {
        return count(array_filter($this->items->all(), fn (Item $item): bool => ! isset($this->rows[$item->number])));
    }

    /** @return list<Supply> */
    public function of(Item $item): array
    {
        return $this->rows[$item->number] ?? [];
    }

    /** Days from today; 0 for what has no day or is late. */
    public function day(Supply $row): int
    {
        return $row->due === null ? 0 : $row->due->number() - $this->today->number();
    }

    public function quantity(Supply $row, Item $item): int
    {
        return $row->unit->convert($row->quantity, $item->unit)->millionths;
    }

    public function isIssued(Supply $row): bool
    {
        return in_array($row->status, (array) config('cut-in.issued'), true);
    }

    public function isFree(Supply $row): bool
    {
        return ! in_array($row->status, (array) config('cut-in.not_free'), true);
    }

    /** The first day of a work order: as long before it is done as the item takes. */
    public function firstDay(Supply $row, Item $item): int
    {
        return $this->day($row) - (int) $item->lead_time_days;
    }

    public function supply(Item $item): NodeSupply
    {
        $onHand = 0;
        $wanted = $orders = $sold = [];
        foreach ($this->of($item) as $row) {
            $quantity = $this->quantity($row, $item);
            if ($row->kind === SupplyKind::Stock && $this->isFree($row)) {
                $onHand += $quantity;
            } elseif ($row->kind === SupplyKind::SalesOrder) {
                $wanted[] = [$this->day($row), $quantity, $row->document];
                $week = intdiv(max(0, $this->day($row)), 7);
                $sold[$week] = ($sold[$week] ?? 0) + $quantity;
            } elseif ($row->kind->isReceipt()) {
                // What is bought takes no parts of ours.
                $takes = $row->kind === SupplyKind::WorkOrder && ! $this->isIssued($row);
                $orders[] = [$this->firstDay($row, $item), $this->day($row), $quantity, $row->document, ! $takes];
            }
        }
        foreach ($this->of($item) as $row) {
            if ($row->kind === SupplyKind::Forecast) {
                // What is sold already was part of the forecast of its week.
                $week = intdiv(max(0, $this->day($row)), 7);
                $left = $this->quantity($row, $item) - ($sold[$week] ?? 0);
                $sold[$week] = max(0, -$left);
                if ($left > 0) {
                    $wanted[] = [$this->day($row), $left, $row->document];
                }
            }
        }

        return new NodeSupply($onHand, $wanted, $orders, (int) $item->lead_time_days);
    }
}
