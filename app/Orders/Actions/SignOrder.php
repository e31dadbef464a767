<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\Duties\Duties;
use App\Orders\Events\OrderSentBack;
use App\Orders\Events\OrderSigned;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\Orders\OrderReader;
use App\Orders\Paths\KeptActors;
use App\Orders\Paths\OrderProgress;
use App\Orders\Paths\PathOfOrder;
use App\Paths\Models\Signature;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Hash;
use Orthotaxis\Core\Approval\Digest;
use Orthotaxis\Core\Approval\PathStep;
use Orthotaxis\Core\Approval\SigningRule;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Rights\Duty;

/**
 * A person other than the author signs a step of the path, with their password where it asks for it, or sends the order back with a
 * reason.
 */
final readonly class SignOrder
{
    public function __construct(private OrderReader $orders, private KeptActors $actors, private Duties $duties, private Ledger $ledger) {}

    /**
     * @param  ?int  $step  of the path; null: the first that they can sign
     * @param  list<string>  $ticked  rows of the check list of the step
     */
    public function sign(Person $by, string $number, string $password, string $digest, ?int $step = null, array $ticked = []): void
    {
        $this->ledger->together(function () use ($by, $number, $password, $digest, $step, $ticked): void {
            $order = ChangeOrder::hold($number);
            $order->mustGoOn();
            $core = $this->orders->toCore($order);
            $progress = OrderProgress::of($order, $core->proposers());
            $this->duties->check(Duty::Sign, $by, $order, 'signer');
            SigningRule::check($core, $progress, $by->id, $digest);
            $can = $progress->signable($by->id);
            $step ??= array_key_first($can) ?? 0;
            $for = $can[$step] ?? throw Refusal::at('step', 'It is not your turn at this step.');
            $of = $progress->steps[$step]->step;
            $of->mustBeTicked($ticked);
            if ($of->withPassword && !Hash::check($password, $by->password)) {
                throw Refusal::at(
                    'password',
                    $password === '' ? 'Sign with your password.' : 'This is not your password. Nothing was signed.',
                );
            }
            $this->keep($order, $by, 'signed', $digest, [
                'step' => $step,
                'for_id' => $for === $by->id ? null : $for,
                'said' => $of->meaning->value,
                'checks' => $of->checks,
            ]);
            $order->unsetRelation('signatures');
            $isDone = OrderProgress::of($order, $core->proposers())->isDone();
            $order->update(['state' => $isDone ? OrderState::Signed : OrderState::InReview, 'version' => $order->version + 1]);
            $this->actors->keep($order);
            event(
                new OrderSigned(
                    $by->login,
                    $number,
                    digest: $digest,
                    step: $order->path_id === null ? null : $of->name,
                    checks: $of->checks,
                ),
            );
        });
    }

    /**
     * To the editor, or to an earlier stage of its path: what was signed from there on is void.
     *
     * @throws Refusal when it cannot be sent back there
     */
    public function sendBack(Person $by, string $number, string $reason, int $stage = PathStep::EDITOR): void
    {
        $this->ledger->together(function () use ($by, $number, $reason, $stage): void {
            $order = ChangeOrder::hold($number);
            if (!$order->state->isLocked()) {
                throw Refusal::at('order', 'Only an order in review can be sent back.');
            }
            OrderPolicy::check(OrderAct::SendBack, $by, $order);
            $core = $this->orders->toCore($order);
            $progress = OrderProgress::of($order, $core->proposers());
            if ($stage !== PathStep::EDITOR && !in_array($stage, PathOfOrder::backTo($by, $order, $progress), true)) {
                throw Refusal::at('stage', 'It cannot be sent back there.');
            }
            $this->keep($order, $by, 'sent_back', Digest::of($core), ['reason' => $reason, 'stage' => $stage]);
            $taken = array_keys(
                array_filter(OrderProgress::path($order)->steps, static fn(PathStep $step): bool => $step->stage >= $stage),
            );
            Signature::query()
                ->where('order_id', $order->id)
                ->where('meaning', '!=', 'sent_back')
                ->whereIn('step', $taken)
                ->update(['void' => true]);
            $order->update([
                'state' => $stage === PathStep::EDITOR ? OrderState::Revising : OrderState::InReview,
                'version' => $order->version + 1,
            ]);
            $order->unsetRelation('signatures');
            $this->actors->keep($order);
            event(new OrderSentBack($by->login, $number, $reason, $stage === PathStep::EDITOR ? null : $stage));
        });
    }

    /** @param  array<string, mixed>  $besides */
    private function keep(ChangeOrder $order, Person $by, string $meaning, string $digest, array $besides): void
    {
        Signature::query()->create([
            'order_id' => $order->id,
            'person_id' => $by->id,
            'meaning' => $meaning,
            'digest' => $digest,
            'signed_at' => CarbonImmutable::now(),
            ...$besides,
        ]);
    }
}
