<?php

declare(strict_types=1);

namespace App\Changes;

use App\Changes\Models\ChangeOrder;
use App\People\Ability;
use App\People\Models\Person;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Refusal;

/**
 * Who may do what with this order, beyond what their role allows in general: the people whom it names, and those who coordinate
 * orders.
 */
final readonly class OrderRights
{
    /** @throws Refusal unless the person edits the order, or coordinates */
    public static function maySubmit(Person $by, ChangeOrder $order): void
    {
        self::unless($order->editor_id === $by->id || self::coordinates($by), "Only the editor of {$order->number} or a coordinator sends it to review.");
    }

    /** @throws Refusal unless the person signs the order, or coordinates */
    public static function mayReturn(Person $by, ChangeOrder $order): void
    {
        self::unless($order->signer_id === $by->id || self::coordinates($by), "Only the signer of {$order->number} or a coordinator sends it back.");
    }

    /**
     * @param  list<int>  $items  ids
     *
     * @throws Refusal while one of them is on an order that is in review or signed: what is judged stays as it is
     */
    public static function mustBeFree(array $items, string $place): void
    {
        $held = ChangeOrder::query()->whereIn('state', [OrderState::InReview->value, OrderState::Signed->value])
            ->whereHas('items', static fn (Builder $rows): Builder => $rows->whereIn('item_id', $items))->orderBy('id')->value('number');
        if (is_string($held)) {
            throw Refusal::at($place, "This is locked under {$held}, which is in review or signed.");
        }
    }

    private static function coordinates(Person $by): bool
    {
        return $by->mayDo(Ability::PlanOrder);
    }

    private static function unless(bool $allowed, string $reason): void
    {
        $allowed || throw Refusal::at('order', $reason);
    }
}
