<?php

declare(strict_types=1);

namespace App\FollowThrough\Commands;

use App\FollowThrough\Jobs\FollowOrder;
use App\Orders\Models\ChangeOrder;
use Illuminate\Console\Command;
use Orthotaxis\Core\Change\OrderState;

/** What appears in planning with an old revision after a release is caught, and what is gone is seen to. */
final class FollowOrders extends Command
{
    protected $signature = 'orders:follow';

    protected $description = 'Ask planning what still names what released orders have replaced.';

    public function handle(): int
    {
        foreach (ChangeOrder::query()->where('state', OrderState::Released)->orderBy('id')->pluck('id') as $id) {
            FollowOrder::of((int) $id);
        }

        return self::SUCCESS;
    }
}
