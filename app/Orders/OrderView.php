<?php

declare(strict_types=1);

namespace App\Orders;

use App\Days\Today;
use App\Orders\Data\OrderItemData;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Structures\Data\ItemRow;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderItem as CoreOrderItem;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Readiness\Check;
use Orthotaxis\Core\Readiness\Readiness;

/** What of an order is shown wherever it is shown whole. */
final readonly class OrderView
{
    /** What is shown besides what is read of it. */
    private const SHOWN = [
        'items.item.revisingOrders',
        'items.item.picture',
        'author',
        'editor',
        'signer',
        'signatures.person',
        'requests',
        'waivers.person',
    ];

    /** @return list<Check> what the next step of the order asks for */
    public static function checks(Order $core): array
    {
        return match ($core->state) {
            OrderState::Planning => Readiness::forRevising($core, Today::day()),
            OrderState::Revising => Readiness::forReview($core, Today::day()),
            OrderState::Signed => Readiness::forRelease($core, Today::day()),
            default => [],
        };
    }

    /** Loads what is shown, in a fixed number of queries; what is loaded already is not read again. */
    public static function load(ChangeOrder $order): ChangeOrder
    {
        return $order->loadMissing(self::SHOWN);
    }

    /** @return list<OrderItemData> */
    public static function items(ChangeOrder $order, Order $core): array
    {
        self::load($order);
        $byNumber = array_column(array_map(static fn(CoreOrderItem $item): array => [$item->number, $item], $core->items), 1, 0);

        return $order->items
            ->map(static function (OrderItem $row) use ($byNumber): OrderItemData {
                $item = $byNumber[$row->item->number];

                return new OrderItemData(
                    item: ItemRow::of($row->item),
                    outcome: $row->outcome->value,
                    disposition: $row->disposition?->value,
                    base: $item->base->revision,
                    becomes: $item->becomes(),
                    moved_on: $row->outcome === Outcome::Revise && $row->engineering()?->base_id !== null && $item->base->hasMovedOn(),
                    changes: count($item->comparison()->changes()),
                    done: (object) $row->done,
                );
            })
            ->values()
            ->all();
    }
}
