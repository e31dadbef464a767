<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Days\Today;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Structures\Models\Item;
use Illuminate\Support\Collection;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Manufacturing\ManufacturingContent;
use Orthotaxis\Core\Structure\Structure;

/** What plants build of the items on an order, and what engineering declares of them, as the order would make both. */
final readonly class BuildsOfOrder
{
    public function __construct(private DeclaredStructures $declared, private PlantStructures $plants) {}

    public static function day(ChangeOrder $order): Day
    {
        return $order->effective_on === null ? Today::day() : Day::parse($order->effective_on);
    }

    /**
     * Those that the order changes: an item that stays as it is has nothing to be taken over, whatever is open there already.
     *
     * @return list<BuiltAt> by item and plant
     */
    public function changed(ChangeOrder $order, Order $core): array
    {
        return array_values(
            array_filter(
                $this->of($order, $core),
                static fn(BuiltAt $one): bool => $one->becomes !== null ||
                    in_array($core->item($one->item->number)->outcome, [Outcome::Revise, Outcome::Build], true),
            ),
        );
    }

    /**
     * Asked a fixed number of times.
     *
     * @param  ?string  $also  a plant at which an item may be begun to be built
     * @return list<BuiltAt> by item and plant
     */
    public function of(ChangeOrder $order, Order $core, ?string $also = null): array
    {
        $day = self::day($order);
        $items = $order->items->map(static fn(OrderItem $row): Item => $row->item)->toBase();
        $engineering = $this->engineering($order, $core, $items, $day);
        $built = [];
        foreach ($this->plants->inForce($items, $engineering, $day) as $one) {
            $built["{$one->item->number} {$one->plant}"] = $one;
        }
        foreach ($order->items as $row) {
            foreach ($core->item($row->item->number)->works as $work) {
                if ($work->after instanceof ManufacturingContent) {
                    $at = "{$row->item->number} {$work->subject->plant}";
                    $built[$at] = new BuiltAt(
                        item: $row->item,
                        plant: $work->subject->plant,
                        engineering: $engineering[$row->item_id] ?? new Structure(),
                        content: $work->after->on($day),
                        released: isset($built[$at]) ? $built[$at]->released : null,
                        edits: array_map(static fn(Edit $edit): string => $edit->inWords(), $work->edits),
                        becomes: $work->base->becomes(),
                    );
                }
            }
            $at = "{$row->item->number} {$also}";
            if ($also !== null && !isset($built[$at])) {
                $built[$at] = new BuiltAt(
                    item: $row->item,
                    plant: $also,
                    engineering: $engineering[$row->item_id] ?? new Structure(),
                    content: new ManufacturingContent(),
                    released: null,
                );
            }
        }
        ksort($built, SORT_STRING);

        return array_values($built);
    }

    /**
     * @param  Collection<int, Item>  $items
     * @return array<int, Structure> by item
     */
    private function engineering(ChangeOrder $order, Order $core, Collection $items, Day $day): array
    {
        $revised = $order->items->filter(static fn(OrderItem $row): bool => $row->outcome === Outcome::Revise)->keyBy('item_id');
        // What the order makes of an item is known; only of the others it is read what holds.
        $engineering = $this->declared->of($items->reject(static fn(Item $item): bool => $revised->has($item->id))->values(), $day);
        foreach ($revised as $row) {
            $engineering[$row->item_id] = $core->item($row->item->number)->after()->on($day);
        }

        return $engineering;
    }
}
