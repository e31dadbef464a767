<?php

declare(strict_types=1);

namespace App\Notices;

use App\Ledger\ActListeners;
use App\Outgoing\NotDelivered;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

final class Provider extends ServiceProvider
{
    public function boot(): void
    {
        ActListeners::add($this->app, TellPeople::class);
        Event::listen(NotDelivered::class, TellUndelivered::class);
        // Nobody finds an address by trying.
        RateLimiter::for('calendar', static fn(Request $request): Limit => Limit::perMinute(60)->by('calendar|' . $request->ip()));
    }
}
