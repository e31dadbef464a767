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
        $this->ledger->together(function () use ($by, $number, $version): void {
            $order = ChangeOrder::hold($number);
            if ($order->state === OrderState::Released || $order->state === OrderState::Closed) {
                throw Refusal::at('order', "{$number} is released already; nothing was done twice.");
            }
            $order->mustBeAt($version);
            $order->mustGoOn();
            $this->holdItems($order);
            $plan = self::plan($order, $this->orders);

            $now = CarbonImmutable::now();
            $rows = $order->items->keyBy(static fn(OrderItem $row): string => $row->item->number);
            $this->contents->release($by, $order, $plan, $now);
            // All of them are there now: what they multiply with is each other too.
            foreach ($plan->items as $item) {
                Countable::check($rows[$item->number]->item_id, $item->number, $plan->effectiveFrom);
            }
            PutDataInForce::on(Today::day(), array_values($order->items->map(static fn(OrderItem $row): int => $row->item_id)->all()));
            ItemDocument::adopt($order->id);
            $order->update(['state' => OrderState::Released, 'released_at' => $now, 'version' => $version + 1]);
            $handover = $this->handovers->write($order, $plan, $now);
            event(new OrderReleased($by->login, $number, (string) $plan->effectiveFrom, $plan->inWords(), $handover->name));
            // A release that is done stays done, also where the note of it cannot be written.
            DB::afterCommit(fn() => rescue($this->anchors->note(...)));
        });
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
