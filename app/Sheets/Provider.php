<?php

declare(strict_types=1);

namespace App\Sheets;

use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

final class Provider extends ServiceProvider
{
    public function boot(): void
    {
        // Many people on a floor share one address of the network; keys are too long to be guessed at this pace.
        RateLimiter::for('scan', static fn(Request $request): Limit => Limit::perMinute(60)->by('scan|' . $request->ip()));
    }
}
