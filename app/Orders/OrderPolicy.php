<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Models\ChangeOrder;
use App\People\Ability;
use App\People\Models\Person;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Refusal;

/**
 * Who may do what with this order, beyond what their role allows in general: the people whom it names, and those who coordinate
 * orders. Whether it is time for it, the state of the order says; whether somebody approves their own, SigningRule.
 */
final readonly class OrderPolicy
{
    /** @return ?string why not; null when they may */
    public static function refusal(OrderAct $act, Person $by, ChangeOrder $order): ?string
    {
        if (! $by->mayDo($act->ability())) {
            return 'Your role does not allow this.';
        }

        return match ($act) {
            OrderAct::Plan, OrderAct::Release, OrderAct::Close => null,
            OrderAct::Revise => $order->editor_id === $by->id ? null : "{$order->number} names another person to edit.",
            OrderAct::Submit => $order->editor_id === $by->id || self::coordinates($by) ? null : "Only the editor of {$order->number} or a coordinator sends it to review.",
            OrderAct::SendBack => $order->signer_id === $by->id || self::coordinates($by) ? null : "Only the signer of {$order->number} or a coordinator sends it back.",
            OrderAct::Sign => $order->signer_id === $by->id ? null : 'This order names another person to sign.',
        };
    }

    /** @throws Refusal at the place, when the person may not */
    public static function check(OrderAct $act, Person $by, ChangeOrder $order, string $place = 'order'): void
    {
        $refusal = self::refusal($act, $by, $order);
        $refusal === null || throw Refusal::at($place, $refusal);
    }

    /** @return list<OrderAct> what the person may do with it, when it is time */
    public static function acts(Person $by, ChangeOrder $order): array
    {
        return array_values(array_filter(OrderAct::cases(), static fn (OrderAct $act): bool => self::refusal($act, $by, $order) === null));
    }

    /**
     * @param  list<int>  $items  ids
     *
     * @throws Refusal while one of them is on an order that is in review or signed, since what is judged stays as it is; and while
     *                 one is revised under an order that names another person
     */
    public static function mustBeFree(Person $by, array $items, string $place): void
    {
        $revising = ChangeOrder::query()->where('state', OrderState::Revising->value)
            ->whereHas('items', static fn (Builder $rows): Builder => $rows->whereIn('item_id', $items)->where('outcome', Outcome::Revise->value))->orderBy('id')->get();
        if ($revising->isNotEmpty() && ! self::coordinates($by) && ! $revising->contains('editor_id', $by->id)) {
            throw Refusal::at($place, "{$revising->first()->number} is revising this and names another person to edit.");
        }
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
}
