<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Days\Today;
use App\Manufacturing\Data\PlantAccount;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Structures\Models\Content;
use App\Structures\Models\Item;
use Orthotaxis\Core\Calendar\Day;

/** Which plants build the items that an order revises, and what each would still have to take over on its day. */
final readonly class OrderAccountReader
{
    public function __construct(private OrderReader $orders, private PlantStructures $plants) {}

    /** @return list<PlantAccount> by item and plant */
    public function read(ChangeOrder $order): array
    {
        $day = $order->effective_on === null ? Today::day() : Day::parse($order->effective_on);
        $after = [];
        foreach ($this->orders->toCore($order)->revised() as $revised) {
            $after[$revised->number] = $revised->after()->on($day);
        }
        $items = Item::query()->whereIn('number', array_keys($after))->get()->keyBy('id');
        $engineering = [];
        foreach ($items as $id => $item) {
            $engineering[$id] = $after[$item->number];
        }
        $contents = $this->plants->ofItems(array_values($items->map(static fn(Item $item): int => $item->id)->all()), $day);
        $accounts = $this->plants->account($contents, $engineering, $day);

        return array_values(
            $contents
                ->map(
                    static fn(Content $content): PlantAccount => PlantAccount::of(
                        $items[$content->item_id],
                        $content,
                        $accounts[$content->id],
                    ),
                )
                ->sortBy(static fn(PlantAccount $one): string => "{$one->item} {$one->plant}")
                ->all(),
        );
    }
}
