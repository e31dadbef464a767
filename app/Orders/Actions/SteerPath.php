<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\Events\PathStepGiven;
use App\Orders\Events\PathStepSkipped;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Orders\Paths\KeptActors;
use App\Orders\Paths\OrderOnPath;
use App\Orders\Paths\OrderProgress;
use App\Paths\Models\Signature;
use App\Paths\RosterReader;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Approval\Digest;
use Orthotaxis\Core\Approval\Progress;
use Orthotaxis\Core\Approval\StepRun;
use Orthotaxis\Core\Approval\StepStanding;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Refusal;

/** Lets a step of the path of an order out, or gives it to others, with a reason on record: nobody waits for somebody who is not there. */
final readonly class SteerPath
{
    public function __construct(private OrderReader $orders, private KeptActors $actors, private Ledger $ledger) {}

    public function skip(Person $by, string $number, int $step, string $reason): void
    {
        $this->steer($number, $step, function (ChangeOrder $order, Order $core, StepRun $run) use ($by, $step, $reason): void {
            $this->keep($order, $core, $by, 'skipped', $step, $reason);
            event(new PathStepSkipped($by->login, $order->number, $run->step->name, $reason));
        });
    }

    /** @param  list<string>  $to  sign-in names, and groups by their code behind "group:" */
    public function give(Person $by, string $number, int $step, array $to, string $reason): void
    {
        $this->steer($number, $step, function (ChangeOrder $order, Order $core, StepRun $run) use ($by, $step, $to, $reason): void {
            if (array_diff(RosterReader::of(new OrderOnPath($order, []), $to)->people($to), $core->proposers()) === []) {
                throw Refusal::at('to', 'None of them may sign it.');
            }
            $this->keep($order, $core, $by, 'reassigned', $step, $reason, $to);
            event(new PathStepGiven($by->login, $order->number, step: $run->step->name, to: $to, reason: $reason));
        });
    }

    /** @param  \Closure(ChangeOrder, Order, StepRun): void  $act */
    private function steer(string $number, int $step, \Closure $act): void
    {
        $this->ledger->together(function () use ($number, $step, $act): void {
            $order = ChangeOrder::hold($number);
            $order->mustGoOn();
            if ($order->state !== OrderState::InReview) {
                throw Refusal::at('order', 'Only an order in review goes on its path.');
            }
            $core = $this->orders->toCore($order);
            $run = $this->progress($order, $core)->steps[$step] ?? throw Refusal::at('step', 'The path has no such step.');
            if (!in_array($run->standing, [StepStanding::Now, StepStanding::Ahead], true)) {
                throw Refusal::at('step', "“{$run->step->name}” is over.");
            }
            $act($order, $core, $run);
            $order->unsetRelation('signatures');
            $isDone = $this->progress($order, $core)->isDone();
            if ($isDone && $order->signatures->where('meaning', 'signed')->where('void', false)->isEmpty()) {
                // What nobody signed could never be released.
                throw Refusal::at('step', 'Somebody has to sign: give the step to others.');
            }
            $order->update(['state' => $isDone ? OrderState::Signed : OrderState::InReview, 'version' => $order->version + 1]);
            $this->actors->keep($order);
        });
    }

    private function progress(ChangeOrder $order, Order $core): Progress
    {
        return OrderProgress::of($order, $core->proposers());
    }

    /** @param  list<string>  $to */
    private function keep(ChangeOrder $order, Order $core, Person $by, string $meaning, int $step, string $reason, array $to = []): void
    {
        Signature::query()->create([
            'order_id' => $order->id,
            'person_id' => $by->id,
            'meaning' => $meaning,
            'reason' => $reason,
            'digest' => Digest::of($core),
            'signed_at' => CarbonImmutable::now(),
            'step' => $step,
            'given_to' => $to,
        ]);
    }
}
