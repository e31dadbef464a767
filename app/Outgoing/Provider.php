<?php

declare(strict_types=1);

namespace App\Outgoing;

use App\Ledger\RecordsWritten;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;

final class Provider extends ServiceProvider
{
    public function boot(): void
    {
        Event::listen(RecordsWritten::class, TellWebhooks::class);
    }
}
