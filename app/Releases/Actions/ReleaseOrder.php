<?php

declare(strict_types=1);

namespace App\Releases\Actions;

use App\Days\Today;
use App\Documents\Models\ItemDocument;
use App\Ledger\Anchors;
use App\Ledger\Ledger;
use App\Orders\JudgedOrders;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\People\Models\Person;
use App\Releases\Events\OrderReleased;
use App\Structures\Actions\PutDataInForce;
use App\Structures\Countable;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Release\ReleasePlan;

/** In one stroke: new revisions released, old ones superseded, their lines in force from the date, the hand-over on its way. */
final readonly class ReleaseOrder
{
    public function __construct(
        private JudgedOrders $orders,
        private ReleaseContents $contents,
        private WriteHandover $handovers,
        private Ledger $ledger,
        private Anchors $anchors,
    ) {}

    public function release(Person $by, string $number, int $version): void
    {
        // Nothing that is read for a release is let go of before its end: PHP would only search through it, again and again.
        gc_disable();
        try {
            $this->together($by, $number, $version);
        } finally {
            gc_enable();
        }
    }

    private function together(Person $by, string $number, int $version): void
    {
        $this->ledger->together(function () use ($by, $number, $version): void {
            $order = ChangeOrder::hold($number);
            if ($order->state === OrderState::Released || $order->state === OrderState::Closed) {
                throw Refusal::at('order', "{$number} is released already; nothing was done twice.");
            }
            $order->mustBeAt($version);
            $this->one($by, $order);
            $this->subordinates($by, $order);
            // A release that is done stays done, also where the note of it cannot be written.
            DB::afterCommit(fn() => rescue($this->anchors->note(...)));
        });
    }

    /** @param  ChangeOrder  $order  held */
    private function one(Person $by, ChangeOrder $order): void
    {
        $order->mustGoOn();
        $this->holdItems($order);
        $plan = self::plan($order, $this->orders);

        $now = CarbonImmutable::now();
        $rows = $order->items->keyBy(static fn(OrderItem $row): string => $row->item->number);
        $this->contents->release($by, $order, $plan, $now);
        // All of them are there now: what they multiply with is each other too.
        $ids = [];
        foreach ($plan->items as $item) {
            $ids[$item->number] = $rows[$item->number]->item_id;
        }
        Countable::checkAll($ids, $plan->effectiveFrom);
        PutDataInForce::on(Today::day(), array_values($order->items->map(static fn(OrderItem $row): int => $row->item_id)->all()));
        ItemDocument::adopt(
            $order->id,
            array_values($order->items->where('outcome', Outcome::Revise)->map(static fn(OrderItem $row): int => $row->item_id)->all()),
        );
        $order->update(['state' => OrderState::Released, 'released_at' => $now, 'version' => $order->version + 1]);
        $handover = $this->handovers->write($order, $plan, $now);
        event(new OrderReleased($by->login, $order->number, (string) $plan->effectiveFrom, $plan->inWords(), $handover->name));
    }

    /**
     * Those that are released with it, and with them in turn: all of it or nothing.
     *
     * @throws Refusal with the number of the one that cannot be
     */
    private function subordinates(Person $by, ChangeOrder $order): void
    {
        $together = ChangeOrder::query()
            ->where('parent_id', $order->id)
            ->where('with_parent', true)
            ->where('state', OrderState::Signed)
            ->orderBy('id')
            ->lockForUpdate()
            ->get();
        foreach ($together as $one) {
            try {
                $this->one($by, $one);
            } catch (Refusal $refusal) {
                throw Refusal::because(array_map(static fn(string $reason): string => "{$one->number}: {$reason}", $refusal->reasons));
            }
            $this->subordinates($by, $one);
        }
    }

    /** @throws Refusal naming every condition that does not hold */
    public static function plan(ChangeOrder $order, JudgedOrders $orders): ReleasePlan
    {
        return ReleasePlan::of($orders->of($order), Today::day());
    }

    /** Two orders on one item take turns: the second finds that its base has moved on. */
    private function holdItems(ChangeOrder $order): void
    {
        Item::query()
            ->whereIn('id', $order->items()->pluck('item_id'))
            ->orderBy('id')
            ->lockForUpdate()
            ->get();
    }
}
