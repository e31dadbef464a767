<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Belongings\BelongingReader;
use App\Orders\Models\ChangeOrder;
use App\Orders\Paths\OrderProgress;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderState;

/** Orders with all that is looked at when it is judged whether they may take their next step. */
final readonly class JudgedOrders
{
    /** In which it is asked what plants have taken over. */
    private const ASKED = [OrderState::Revising, OrderState::InReview, OrderState::Signed];

    public function __construct(private OrderReader $orders, private PlantsOfOrder $plants, private BelongingReader $belongings) {}

    public function of(ChangeOrder $order): Order
    {
        $core = $this->orders->toCore($order);
        $stuck = $order->path_id === null ? null : OrderProgress::of($order, $core->proposers())->stuck();

        return $core->judged(
            plants: in_array($order->state, self::ASKED, true) ? $this->plants->states($order, $core) : [],
            stuck: $stuck,
            belongings: $order->state->isOpen() ? $this->belongings->of($order, $core) : [],
        );
    }
}
