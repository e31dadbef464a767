<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\Events\OrderSentBack;
use App\Orders\Events\OrderSigned;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\Signature;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\Orders\OrderReader;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Hash;
use Orthotaxis\Core\Approval\Digest;
use Orthotaxis\Core\Approval\SigningRule;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Refusal;

/** A person other than the author signs with their password, or sends the order back with a reason. */
final readonly class SignOrder
{
    public function __construct(private OrderReader $orders, private Ledger $ledger) {}

    public function sign(Person $by, string $number, string $password, string $digest): void
    {
        $this->ledger->together(function () use ($by, $number, $password, $digest): void {
            $order = ChangeOrder::hold($number);
            SigningRule::check($this->orders->toCore($order), $by->id, $digest);
            if (!Hash::check($password, $by->password)) {
                throw Refusal::at('password', 'This is not your password. Nothing was signed.');
            }
            $this->keep($order, $by, 'signed', '', $digest);
            $order->unsetRelation('signatures');
            $order->update([
                'state' => $order->progress()->done ? OrderState::Signed : OrderState::InReview,
                'version' => $order->version + 1,
            ]);
            event(new OrderSigned($by->login, $number, $digest));
        });
    }

    public function sendBack(Person $by, string $number, string $reason): void
    {
        $this->ledger->together(function () use ($by, $number, $reason): void {
            $order = ChangeOrder::hold($number);
            if (!$order->state->isLocked()) {
                throw Refusal::at('order', 'Only an order in review can be sent back.');
            }
            OrderPolicy::check(OrderAct::SendBack, $by, $order);
            $this->keep($order, $by, 'sent_back', $reason, Digest::of($this->orders->toCore($order)));
            Signature::query()
                ->where('order_id', $order->id)
                ->where('meaning', 'signed')
                ->update(['void' => true]);
            $order->update(['state' => OrderState::Revising, 'version' => $order->version + 1]);
            event(new OrderSentBack($by->login, $number, $reason));
        });
    }

    private function keep(ChangeOrder $order, Person $by, string $meaning, string $reason, string $digest): void
    {
        Signature::query()->create([
            'order_id' => $order->id,
            'person_id' => $by->id,
            'meaning' => $meaning,
            'reason' => $reason,
            'digest' => $digest,
            'signed_at' => CarbonImmutable::now(),
        ]);
    }
}
