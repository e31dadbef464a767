<?php

declare(strict_types=1);

namespace App\Dossier;

use App\CutIn\PlannedSwaps;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Requests\Models\ChangeRequest;

/** What the orders of a request do to the items that they revise. */
final readonly class OrderedSwaps implements PlannedSwaps
{
    public function __construct(private OrderReader $orders) {}

    public function of(ChangeRequest $request): array
    {
        $swaps = [];
        foreach ($this->orders->many(ChangeOrder::ofRequest($request)->get()) as $order) {
            foreach ($order->items as $item) {
                $swaps[] = $item->comparison();
            }
        }

        return $swaps;
    }
}
