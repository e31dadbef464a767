<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\People\Models\Person;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Refusal;

/** An item that an order revises, held for the rest of the transaction: whoever edits it next waits, and sees what was done. */
final readonly class HeldItem
{
    /** @throws Refusal when the person cannot edit it now */
    public static function forEditor(Person $by, string $number, string $itemNumber): OrderItem
    {
        $order = self::openOrder($number);
        OrderPolicy::check(OrderAct::Revise, $by, $order, 'editor');

        return self::item($order, $itemNumber);
    }

    /** @throws Refusal when its structures cannot be edited now, by whomever */
    public static function forPlanner(string $number, string $itemNumber): OrderItem
    {
        return self::item(self::openOrder($number), $itemNumber);
    }

    private static function openOrder(string $number): ChangeOrder
    {
        $order = ChangeOrder::hold($number);

        return match ($order->state) {
            OrderState::Revising => $order,
            OrderState::Planning => throw Refusal::at('order', "{$number} is not open for revision yet."),
            default => throw Refusal::at('order', "{$number} is locked: its structures cannot be edited."),
        };
    }

    private static function item(ChangeOrder $order, string $itemNumber): OrderItem
    {
        return $order
            ->items()
            ->with(['edits.author', 'item.released', 'order'])
            ->where('outcome', Outcome::Revise->value)
            ->whereRelation('item', 'number', $itemNumber)
            ->first() ?? throw Refusal::at('item', "{$itemNumber} gets no new revision under {$order->number}.");
    }
}
