<?php

declare(strict_types=1);

namespace App\Notices;

use App\Ledger\ActListeners;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

final class Provider extends ServiceProvider
{
    public function boot(): void
    {
        ActListeners::add($this->app, TellPeople::class);
        // Nobody finds an address by trying.
        RateLimiter::for('calendar', static fn(Request $request): Limit => Limit::perMinute(60)->by('calendar|' . $request->ip()));
    }
}
