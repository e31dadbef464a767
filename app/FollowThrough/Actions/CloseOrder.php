<?php

declare(strict_types=1);

namespace App\FollowThrough\Actions;

use App\FollowThrough\Models\OldDocument;
use App\Orders\Actions\MoveOrder;
use App\Orders\Events\CheckWaived;
use App\Orders\Models\ChangeOrder;
use App\People\Ability;
use App\People\Models\Person;
use App\Releases\Models\Handover;
use App\Tasks\Models\ChangeTask;
use Orthotaxis\Core\Refusal;

/**
 * Closes an order when planning has taken all of it, and nothing is left to do. What still names the old in planning somebody may let go,
 * with a reason that is on record.
 */
final readonly class CloseOrder
{
    public function __construct(private MoveOrder $orders) {}

    /** @param  string  $reason  why documents that are still open are let go; empty: they are not */
    public function __invoke(Person $by, string $number, int $version, string $reason = ''): void
    {
        $this->orders->close($by, $number, $version, static function (ChangeOrder $order) use ($by, $reason): void {
            $open = Handover::query()->where('order_id', $order->id)->where('state', '!=', 'taken')->orderBy('id')->pluck('name');
            if ($open->isNotEmpty()) {
                throw Refusal::at('handover', "Planning has not accepted all of {$open->implode(', ')}.");
            }
            $tasks = ChangeTask::openOf($order->number)->orderBy('id')->pluck('number');
            if ($tasks->isNotEmpty()) {
                throw Refusal::at('tasks', "Not done yet: {$tasks->implode(', ')}.");
            }
            $left = OldDocument::leftOf($order->id);
            if ($left === '') {
                return;
            }
            if ($reason === '' || !$by->mayDo(Ability::WaiveCheck, $order->number)) {
                throw Refusal::at('documents', $left);
            }
            event(new CheckWaived($by->login, $order->number, check: 'old_documents', fault: $left, reason: $reason));
        });
    }
}
