<?php

declare(strict_types=1);

namespace App\FollowThrough;

use App\FollowThrough\Jobs\FollowOrder;
use App\Releases\Events\OrderReleased;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;

final class Provider extends ServiceProvider
{
    public function boot(): void
    {
        Event::listen(OrderReleased::class, static fn(OrderReleased $done) => FollowOrder::number($done->of()));
    }
}
