<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Duties\Duties;
use App\Orders\Editing\EditorsOfOrders;
use App\Orders\Models\ChangeOrder;
use App\People\Ability;
use App\People\Models\Person;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Task\Editors;

/**
 * Who may do what with this order, beyond what their role allows in general: the people whom it names, and those who coordinate
 * orders. Whether it is time for it, the state of the order says; whether somebody approves their own, SigningRule.
 */
final readonly class OrderPolicy
{
    /** @return ?string why not; null when they may */
    public static function refusal(OrderAct $act, Person $by, ChangeOrder $order): ?string
    {
        if ($order->state === OrderState::Proposed) {
            return ProposalRule::refusal($act, $by, $order);
        }
        if ($order->on_hold_since !== null) {
            return $order->holdup();
        }
        if (!$by->mayDo($act->ability(), $order->number)) {
            return 'Your role does not allow this.';
        }

        $duty = $act->duty();
        $kept = $duty === null ? null : app(Duties::class)->refusal($duty, $by, $order);
        if ($kept !== null) {
            return $kept;
        }

        return match ($act) {
            OrderAct::Plan, OrderAct::Release, OrderAct::Close => null,
            OrderAct::Revise => self::editors($order)->mayEdit($by->id) ? null : "{$order->number} names another person to edit.",
            OrderAct::Submit => $order->editor_id === $by->id || self::coordinates($by, $order)
                ? null
                : "Only the editor of {$order->number} or a coordinator sends it to review.",
            OrderAct::SendBack => $order->isJudgedBy($by) || self::coordinates($by, $order)
                ? null
                : "Only the signer of {$order->number} or a coordinator sends it back.",
            OrderAct::Sign => $order->isJudgedBy($by) ? null : 'This order names another person to sign.',
        };
    }

    /** @throws Refusal at the place, when the person may not */
    public static function check(OrderAct $act, Person $by, ChangeOrder $order, string $place = 'order'): void
    {
        $refusal = self::refusal($act, $by, $order);
        $refusal === null || throw Refusal::at($place, $refusal);
    }

    /**
     * Whether the person edits a subject under it now.
     *
     * @param  ?Subject  $subject  null: any of it
     */
    public static function mayEdit(Person $by, ChangeOrder $order, ?Subject $subject = null): bool
    {
        return $order->state->allowsEdits() && self::refusalToEdit($by, $order, $subject) === null;
    }

    /** @return ?string why the person does not edit a subject under it; null when they may, if it is time */
    public static function refusalToEdit(Person $by, ChangeOrder $order, ?Subject $subject): ?string
    {
        return self::refusal(OrderAct::Revise, $by, $order) ??
            ($subject === null || $order->state === OrderState::Proposed || self::editors($order)->mayEdit($by->id, $subject)
                ? null
                : "Your tasks of {$order->number} do not edit {$subject}.");
    }

    private static function editors(ChangeOrder $order): Editors
    {
        return app(EditorsOfOrders::class)->of($order);
    }

    /** @return list<OrderAct> what the person may do with it, when it is time */
    public static function acts(Person $by, ChangeOrder $order): array
    {
        return array_values(array_filter(OrderAct::cases(), static fn(OrderAct $act): bool => self::refusal($act, $by, $order) === null));
    }

    public static function coordinates(Person $by, ChangeOrder $order): bool
    {
        return $by->mayDo(Ability::PlanOrder, $order->number);
    }
}
