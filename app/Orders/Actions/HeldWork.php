<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Http\Stale;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\WorkRecord;
use App\Orders\OrderPolicy;
use App\People\Models\Person;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Refusal;

/** What an order does to one subject, held for the rest of the transaction: whoever edits it next waits, and sees what was done. */
final readonly class HeldWork
{
    /** @throws Refusal when the person cannot edit it now */
    public static function forEditor(Person $by, string $number, string $itemNumber): WorkRecord
    {
        $order = self::openOrder($number);
        self::mustEdit($by, $order, new Subject(Subject::ENGINEERING, $itemNumber));

        return self::work($order, $itemNumber);
    }

    /** @throws Refusal when its structures cannot be edited now, by whomever */
    public static function forPlanner(string $number, string $itemNumber): WorkRecord
    {
        return self::work(self::openOrder($number), $itemNumber);
    }

    /**
     * Of another kind, or at a plant, be the item revised or not; begun where there was none. It starts from what is released now; once
     * something is done, it goes on from a newer one only when that is brought in (see MergeNewer).
     *
     * @param  ?int  $seen  the number of the newest edit that was on screen; null: it does not matter
     *
     * @throws Stale when somebody has edited it since
     * @throws Refusal when the person cannot edit it now
     */
    public static function onSubject(Person $by, string $number, string $itemNumber, string $kind, string $plant, ?int $seen): WorkRecord
    {
        $order = self::openOrder($number);
        self::mustEdit($by, $order, new Subject($kind, $itemNumber, $plant));
        $row =
            $order->items()->whereRelation('item', 'number', $itemNumber)->first() ??
            throw Refusal::at('item', "{$itemNumber} is not on {$number}.");
        $work = $row->workOn(null, $kind, $plant)->load(['edits.author', 'row.item', 'row.order', 'base']);
        $newest = $work->newestBase();
        if ($newest !== $work->base_id && $work->holding()->isEmpty()) {
            $work->update(['base_id' => $newest]);
            $work->load('base');
        }
        self::mustBeSeen($work, $seen);

        return $work;
    }

    /**
     * @param  ?int  $seen  the number of the newest edit that was on screen; null: it does not matter
     *
     * @throws Stale when somebody has edited it since
     */
    public static function mustBeSeen(WorkRecord $work, ?int $seen): void
    {
        if ($seen !== null && $seen < (int) $work->edits->max('number')) {
            throw new Stale("{$work->subject()} was edited meanwhile. Yours was not saved; look at it again.");
        }
    }

    /**
     * Held for the rest of the transaction.
     *
     * @throws Refusal when it is not open for revision
     */
    public static function openOrder(string $number): ChangeOrder
    {
        $order = ChangeOrder::hold($number);

        return match ($order->state) {
            OrderState::Revising, OrderState::Proposed => $order,
            OrderState::Planning => throw Refusal::at('order', "{$number} is not open for revision yet."),
            default => throw Refusal::at('order', "{$number} is locked: its structures cannot be edited."),
        };
    }

    /** @throws Refusal when the person does not edit it */
    public static function mustEdit(Person $by, ChangeOrder $order, Subject $subject): void
    {
        $refusal = OrderPolicy::refusalToEdit($by, $order, $subject);
        $refusal === null || throw Refusal::at('editor', $refusal);
    }

    private static function work(ChangeOrder $order, string $itemNumber): WorkRecord
    {
        // By its row: asked in one go, the database goes through the works of all orders.
        $row = $order->items()->where('outcome', Outcome::Revise)->whereRelation('item', 'number', $itemNumber)->value('id');

        return WorkRecord::query()
            ->with(['edits.author', 'row.item.released', 'row.order', 'base'])
            ->where('kind', Subject::ENGINEERING)
            ->where('order_item_id', $row)
            ->first() ?? throw Refusal::at('item', "{$itemNumber} gets no new revision under {$order->number}.");
    }
}
