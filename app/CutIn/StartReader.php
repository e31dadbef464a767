<?php

declare(strict_types=1);

namespace App\CutIn;

use App\Changes\Models\ChangeOrder;
use App\Changes\Models\ChangeRequest;
use App\Changes\OrderReader;
use App\CutIn\Data\CutInStart;
use App\CutIn\Data\CutInStartPair;
use App\Structures\Models\Item;
use Orthotaxis\Core\Change\OrderItem;
use Orthotaxis\Core\CutIn\Swap;

/** What the planner starts from: the parts that the orders of a request swap, else the items it affects, as old parts. */
final readonly class StartReader
{
    public const AT_MOST = 20;

    public function __construct(private OrderReader $orders) {}

    public function read(ChangeRequest $request): CutInStart
    {
        $request->load(['orders', 'items']);
        $items = $request->orders->flatMap(fn (ChangeOrder $order): array => $this->orders->toCore($order)->items);
        $swaps = Swap::all($items->map(static fn (OrderItem $item) => $item->comparison()));
        $pairs = $swaps === []
            ? $request->items->map(static fn (Item $item): CutInStartPair => CutInStartPair::item($item->number))->all()
            : array_map(CutInStartPair::of(...), $swaps);

        return new CutInStart(array_slice(array_values($pairs), 0, self::AT_MOST));
    }
}
