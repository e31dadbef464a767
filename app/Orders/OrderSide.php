<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Models\ChangeOrder;
use App\Structures\Compare\PlannedSide;
use App\Structures\Models\Item;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Structure;

/** The lines of an item as they will be under an order, now or when an iteration of the work was saved. */
final readonly class OrderSide implements PlannedSide
{
    public function __construct(private OrderReader $orders, private IterationReader $iterations) {}

    public function of(Item $item, string $by, ?int $iteration, string $place): Structure
    {
        $order = ChangeOrder::query()->where('number', $by)->first() ?? throw Refusal::at($place, "There is no order {$by}.");
        foreach ($this->orders->toCore($order)->revised() as $revised) {
            if ($revised->number === $item->number) {
                return $iteration === null
                    ? $revised->after()
                    : $this->iterations->structure(
                        $order->items->firstOrFail('item_id', $item->id)->engineering() ??
                            throw Refusal::at($place, "There is no work on {$item->number} yet."),
                        $iteration,
                    );
            }
        }
        throw Refusal::at($place, "{$by} does not revise {$item->number}.");
    }
}
