<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Days\Today;
use App\Documents\Models\ItemDocument;
use App\Ledger\Act;
use App\Ledger\Ledger;
use App\Orders\Events\OrderClosed;
use App\Orders\Events\OrderOpened;
use App\Orders\Events\OrderSentToReview;
use App\Orders\Events\OrderWithdrawn;
use App\Orders\Events\PathChosen;
use App\Orders\JudgedOrders;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\Orders\OrderReader;
use App\Orders\Paths\FactsOfOrder;
use App\Orders\Paths\KeptActors;
use App\Orders\Paths\RuleForOrder;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Approval\PathTask;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Readiness\Readiness;
use Orthotaxis\Core\Refusal;

/** Takes an order from one state of work to the next, when what the next state asks for holds. */
final readonly class MoveOrder
{
    public function __construct(
        private OrderReader $orders,
        private JudgedOrders $judged,
        private FactsOfOrder $facts,
        private RuleForOrder $rule,
        private KeptActors $actors,
        private Ledger $ledger,
    ) {}

    /** Opens the items for work. From here on their edits start from the revision that is released now. */
    public function openForRevision(Person $by, string $number, int $version): void
    {
        $this->move($number, $version, OrderState::Revising, new OrderOpened($by->login, $number), function (ChangeOrder $order): void {
            Readiness::mustHold(Readiness::forRevising($this->judged->of($order), Today::day()));
            foreach ($order->items as $row) {
                if ($row->outcome === Outcome::Revise) {
                    $row->workOn($row->item->workBase()?->id);
                }
            }
        });
    }

    /** Holds everything on the order still while it is judged. */
    public function submit(Person $by, string $number, int $version): void
    {
        $this->send($by, $number, $version, byItself: false);
    }

    /** When the last task before is done, whoever has done it. */
    public function sendItself(Person $by, string $number, int $version): void
    {
        $this->send($by, $number, $version, byItself: true);
    }

    private function send(Person $by, string $number, int $version, bool $byItself): void
    {
        $this->move($number, $version, OrderState::InReview, new OrderSentToReview($by->login, $number), function (ChangeOrder $order) use (
            $by,
            $byItself,
        ): void {
            $byItself || OrderPolicy::check(OrderAct::Submit, $by, $order);
            if ($order->path_by_rule) {
                $this->chooseAgain($by, $order);
            }
            if ($order->path_id !== null) {
                $order->facts = $this->facts->of($order, $this->orders->toCore($order));
            }
            Readiness::mustHold(Readiness::forReview($this->judged->of($order), Today::day()));
            foreach ($order->items as $row) {
                foreach ($row->works as $work) {
                    if ($work->holding()->isNotEmpty() || ($row->outcome === Outcome::Revise && $work->kind === Subject::ENGINEERING)) {
                        KeepIteration::ifChanged($work, $by, 'Sent to review');
                    }
                }
            }
            $order->sent_to_review_at = CarbonImmutable::now();
        });
    }

    /**
     * The last task is done.
     *
     * @param  string  $by  the sign-in name of who closes it, or what it is closed by
     * @param  \Closure(ChangeOrder): void  $check  throws while something is still open
     */
    public function close(string $by, string $number, int $version, \Closure $check): void
    {
        $this->move($number, $version, OrderState::Closed, new OrderClosed($by, $number), static function (ChangeOrder $order) use (
            $check,
        ): void {
            $check($order);
            $order->closed_at = CarbonImmutable::now();
        });
    }

    /** Gives the order up before release; its requests are approved and without an order again. */
    public function withdraw(Person $by, string $number, string $reason, int $version): void
    {
        $this->move($number, $version, OrderState::Withdrawn, new OrderWithdrawn($by->login, $number, $reason), static function (
            ChangeOrder $order,
        ): void {
            $order->load('requests');
            ItemDocument::query()
                ->where('adopting_order_id', $order->id)
                ->update(['adopting_order_id' => null]);
            foreach ($order->requests as $request) {
                $request->update(['state' => RequestState::Approved, 'version' => $request->version + 1]);
            }
        });
    }

    /**
     * What was edited since may lead to another path.
     *
     * @throws Refusal when that has tasks before review, which nobody could have done
     */
    private function chooseAgain(Person $by, ChangeOrder $order): void
    {
        $path = $this->rule->of($order);
        if ($path?->id === $order->path_id) {
            return;
        }
        if ($path !== null && $path->path()->tasksAt(PathTask::BEFORE_REVIEW) !== []) {
            throw Refusal::at(
                'path',
                "By what it changes now it goes on “{$path->name}”, which has tasks before review: choose the path anew.",
            );
        }
        $order->path_id = $path?->id;
        $order->unsetRelation('path');
        event(new PathChosen($by->login, $order->number, $path?->code));
    }

    /** @param  callable(ChangeOrder): void  $prepare */
    private function move(string $number, int $version, OrderState $to, Act $done, callable $prepare): void
    {
        $this->ledger->together(function () use ($number, $version, $to, $done, $prepare): void {
            $order = ChangeOrder::hold($number);
            $order->mustBeAt($version);
            $to === OrderState::Withdrawn || $order->mustGoOn();
            if (!$order->state->mayBecome($to)) {
                throw Refusal::at('order', "{$number} is not at this step.");
            }
            $prepare($order);
            $order->state = $to;
            $order->version++;
            $order->save();
            $this->actors->keep($order);
            event($done);
        });
    }
}
