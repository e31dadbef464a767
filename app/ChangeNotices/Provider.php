<?php

declare(strict_types=1);

namespace App\ChangeNotices;

use App\ChangeNotices\Jobs\IssueAtRelease;
use App\Releases\Events\OrderReleased;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;

final class Provider extends ServiceProvider
{
    public function boot(): void
    {
        // Not in the transaction of the release: nobody waits for a document, and a list that is wrong holds up no release.
        Event::listen(OrderReleased::class, static function (OrderReleased $act): void {
            if (config()->boolean('notices.tell')) {
                IssueAtRelease::dispatch($act->of, $act->by);
            }
        });
    }
}
