<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Days\Today;
use App\Ledger\Ledger;
use App\Orders\Events\OrderGoesOn;
use App\Orders\Events\OrderOnHold;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\Tasks\Models\ChangeTask;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Refusal;

/** Puts an order on hold: nobody edits, signs or releases it until it is let go on. Both with a reason. */
final readonly class PutOnHold
{
    public function __construct(private Ledger $ledger) {}

    public function hold(Person $by, string $number, string $reason, int $version): void
    {
        $this->ledger->together(static function () use ($by, $number, $reason, $version): void {
            $order = ChangeOrder::hold($number);
            $order->mustBeAt($version);
            $order->mustGoOn();
            if (!$order->state->isOpen()) {
                throw Refusal::at('order', 'Only an order that is not released yet is put on hold.');
            }
            $order->update([
                'on_hold_since' => CarbonImmutable::now(),
                'on_hold_reason' => $reason,
                'on_hold_by' => $by->id,
                'version' => $version + 1,
            ]);
            event(new OrderOnHold($by->login, $number, $reason));
        });
    }

    /** @param  bool  $moves  whether what is due of its review and its tasks moves by the days that it was on hold */
    public function goOn(Person $by, string $number, string $reason, bool $moves, int $version): void
    {
        $this->ledger->together(static function () use ($by, $number, $reason, $moves, $version): void {
            $order = ChangeOrder::hold($number);
            $order->mustBeAt($version);
            if ($order->on_hold_since === null) {
                throw Refusal::at('order', "{$number} is not on hold.");
            }
            $days = $moves ? Today::day()->number() - Day::of($order->on_hold_since)->number() : 0;
            $order->update([
                'on_hold_since' => null,
                'on_hold_reason' => '',
                'on_hold_by' => null,
                'days_moved' => $order->days_moved + $days,
                'version' => $version + 1,
            ]);
            foreach (
                $days === 0 ? [] : ChangeTask::openOf($number)->whereNotNull('due_on')->orderBy('id')->lockForUpdate()->get()
                as $task
            ) {
                $task->update(['due_on' => (string) Day::parse((string) $task->due_on)->plusDays($days), 'version' => $task->version + 1]);
            }
            event(new OrderGoesOn($by->login, $number, $reason, $days));
        });
    }
}
