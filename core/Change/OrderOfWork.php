<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

/** How far a change has come, from its request and its order: which steps are done, which one it is at. */
final readonly class OrderOfWork
{
    /**
     * @param  ?RequestState  $request  null when the order was raised directly
     * @param  ?OrderState  $order  null when there is no order yet
     * @return array<value-of<WorkStep>, StepState>
     */
    public static function of(?RequestState $request, ?OrderState $order): array
    {
        $now = self::current($request, $order);
        $ended =
            (in_array($request, [RequestState::Rejected, RequestState::Gathered], true) && $order === null) ||
            $order === OrderState::Withdrawn;
        $states = [];
        $passed = true;
        foreach (WorkStep::cases() as $step) {
            if ($step === $now) {
                $passed = false;
            }
            $states[$step->value] = match (true) {
                $step === $now => $ended ? StepState::Done : ($order === OrderState::Closed ? StepState::Done : StepState::Now),
                $passed => $request === null && $step->value === WorkStep::Assess->value ? StepState::NotNeeded : StepState::Done,
                default => $ended ? StepState::NotNeeded : StepState::Ahead,
            };
        }

        return $states;
    }

    public static function current(?RequestState $request, ?OrderState $order): WorkStep
    {
        return match ($order) {
            null => match ($request) {
                RequestState::Returned => WorkStep::TakeIn,
                RequestState::Approved, RequestState::Ordered => WorkStep::Order,
                default => WorkStep::Assess,
            },
            OrderState::Proposed => WorkStep::Assess,
            OrderState::Planning, OrderState::Withdrawn => WorkStep::Order,
            OrderState::Revising => WorkStep::Revise,
            OrderState::InReview => WorkStep::Sign,
            OrderState::Signed => WorkStep::Release,
            OrderState::Released => WorkStep::FollowThrough,
            OrderState::Closed => WorkStep::LookBack,
        };
    }
}
