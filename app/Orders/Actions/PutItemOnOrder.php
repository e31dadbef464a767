<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\Events\OrderItemNamed;
use App\Orders\Events\OrderItemTakenOff;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Orders\Models\WorkRecord;
use App\People\Models\Person;
use App\Structures\MistypedNumbers;
use App\Structures\Models\Item;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Refusal;

/** Names an item on an order, says what becomes of it and of what exists, or takes it off again. */
final readonly class PutItemOnOrder
{
    public function __construct(private Ledger $ledger) {}

    public function put(Person $by, string $number, string $itemNumber, Outcome $outcome, ?Disposition $disposition, int $version): void
    {
        $this->ledger->together(function () use ($by, $number, $itemNumber, $outcome, $disposition, $version): void {
            $order = $this->open($number, $version);
            $item =
                Item::query()->with('released')->where('number', $itemNumber)->first() ??
                throw Refusal::at('item', (new MistypedNumbers())->noSuchItem($itemNumber));
            $row = $this->row($order, $item) ?? new OrderItem(['order_id' => $order->id, 'item_id' => $item->id]);
            $this->mustHaveNoEdits($row, $itemNumber, $outcome);
            if ($outcome === Outcome::Revise && $item->released === null && $item->everReleased()->exists()) {
                throw Refusal::at('item', "{$itemNumber} is retired: it gets no new revision.");
            }
            $row->fill(['outcome' => $outcome, 'disposition' => $disposition])->save();
            if ($outcome !== Outcome::Revise) {
                $row->works()
                    ->where('kind', Subject::ENGINEERING)
                    ->update(['base_id' => null]);
            } elseif ($order->state === OrderState::Revising) {
                $row->workOn($item->workBase()?->id);
            }
            $order->update(['version' => $version + 1]);
            event(new OrderItemNamed($by->login, $number, $itemNumber, $outcome, $disposition));
        });
    }

    public function takeOff(Person $by, string $number, string $itemNumber, int $version): void
    {
        $this->ledger->together(function () use ($by, $number, $itemNumber, $version): void {
            $order = $this->open($number, $version);
            $row =
                $order->items()->with('works.edits')->whereRelation('item', 'number', $itemNumber)->first() ??
                throw Refusal::at('item', "{$itemNumber} is not on this order.");
            $this->mustHaveNoEdits($row, $itemNumber, Outcome::Keep);
            $order->followUps()->where('item_id', $row->item_id)->delete();
            $row->delete();
            $order->update(['version' => $version + 1]);
            event(new OrderItemTakenOff($by->login, $number, $itemNumber));
        });
    }

    private function open(string $number, int $version): ChangeOrder
    {
        $order = ChangeOrder::hold($number);
        $order->mustBeAt($version);
        PlanOrder::mustBeOpen($order);

        return $order;
    }

    private function row(ChangeOrder $order, Item $item): ?OrderItem
    {
        return $order->items()->with('works.edits')->where('item_id', $item->id)->first();
    }

    /** What does not change with the outcome has to be as it was. */
    private function mustHaveNoEdits(OrderItem $row, string $number, Outcome $outcome): void
    {
        $edited = $row->works->contains(
            static fn(WorkRecord $work): bool => !$outcome->mayChange($work->kind) && $work->holding()->isNotEmpty(),
        );
        if ($row->exists && $edited) {
            throw Refusal::at('item', "{$number} has been edited under this order. Undo its edits first.");
        }
    }
}
