<?php

declare(strict_types=1);

namespace App\FollowThrough\Jobs;

use App\FollowThrough\Actions\CloseOrder;
use App\Orders\Models\ChangeOrder;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Refusal;

/** After whatever may have been the last thing to do about a released order. */
final class CloseIfDone implements ShouldQueue
{
    use Queueable;

    public function __construct(public readonly string $order)
    {
        $this->afterCommit();
    }

    public function handle(CloseOrder $close): void
    {
        $order = ChangeOrder::query()->where('number', $this->order)->where('state', OrderState::Released)->first();
        if ($order === null) {
            return;
        }
        try {
            $close->byItself($order);
        } catch (Refusal) {
            // Something is left: whatever ends that asks again.
        }
    }
}
