<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Models\ChangeOrder;
use App\Structures\Overlay;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Comparison\DifferenceKind;

/** What structures would be on a day if the open orders that are to hold by then were released. */
final class PlannedStructures implements Overlay
{
    /** @var array<string, array<string, DifferenceKind>> item number => line key => what the order does to the line */
    private array $marks = [];

    /** @var array<string, string> item number => order */
    private array $orders = [];

    public function __construct(private readonly OrderReader $reader) {}

    /** The later order wins where two revise one item. */
    public function over(array $structures, Day $day): array
    {
        $numbers = array_map(strval(...), array_keys($structures));
        $orders = ChangeOrder::query()
            ->whereIn('state', OrderState::editing())
            ->where('effective_on', '<=', (string) $day)
            ->whereHas(
                'items',
                static fn(Builder $row): Builder => $row
                    ->where('outcome', Outcome::Revise->value)
                    ->whereHas('item', static fn(Builder $item): Builder => $item->whereIn('number', $numbers)),
            )
            ->orderBy('effective_on')
            ->orderBy('id')
            ->get();
        foreach ($this->reader->many($orders) as $order) {
            foreach ($order->revised() as $item) {
                if (!isset($structures[$item->number])) {
                    continue;
                }
                $structures[$item->number] = $item->after()->on($day);
                $this->orders[$item->number] = $order->number;
                $this->marks[$item->number] = [];
                foreach ($item->comparison()->changes() as $difference) {
                    if ($difference->after !== null) {
                        $this->marks[$item->number][$difference->after->key] = $difference->kind;
                    }
                }
            }
        }

        return $structures;
    }

    public function mark(string $parent, string $line): ?DifferenceKind
    {
        return $this->marks[$parent][$line] ?? null;
    }

    public function plannedBy(string $parent): ?string
    {
        return $this->orders[$parent] ?? null;
    }
}
