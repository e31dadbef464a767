<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\OrderState;

/** Writes down who can sign an order now, so that lists of many orders need not go through their paths. */
final readonly class KeptActors
{
    public function __construct(private OrderReader $orders) {}

    public function keep(ChangeOrder $order): void
    {
        DB::table('order_actors')->where('order_id', $order->id)->delete();
        if ($order->state === OrderState::InReview) {
            $acting = OrderProgress::of($order, $this->orders->toCore($order)->proposers())->acting();
            DB::table('order_actors')->insert(
                array_map(static fn(int $person): array => ['order_id' => $order->id, 'person_id' => $person], $acting),
            );
        }
    }

    /** Of all orders in review: people, groups or days away have changed. @return int how many */
    public function keepAll(): int
    {
        $orders = ChangeOrder::query()->where('state', OrderState::InReview->value)->orderBy('id')->get();
        foreach ($orders as $order) {
            DB::transaction(fn() => $this->keep(ChangeOrder::hold($order->number)));
        }

        return $orders->count();
    }
}
