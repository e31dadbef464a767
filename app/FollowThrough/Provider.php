<?php

declare(strict_types=1);

namespace App\FollowThrough;

use App\FollowThrough\Events\DocumentsDecided;
use App\FollowThrough\Events\DocumentsRead;
use App\FollowThrough\Events\DocumentsSeenTo;
use App\FollowThrough\Jobs\CloseIfDone;
use App\FollowThrough\Jobs\FollowOrder;
use App\Releases\Events\OrderReleased;
use App\Tasks\Events\TaskDone;
use App\Tasks\Events\TaskWithdrawn;
use App\Verification\Events\PlanningVerified;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;

final class Provider extends ServiceProvider
{
    public function boot(): void
    {
        Event::listen(OrderReleased::class, static fn(OrderReleased $done) => FollowOrder::number($done->of()));
        Event::listen(
            [
                PlanningVerified::class,
                DocumentsSeenTo::class,
                DocumentsDecided::class,
                DocumentsRead::class,
                TaskDone::class,
                TaskWithdrawn::class,
            ],
            static fn(
                PlanningVerified|DocumentsSeenTo|DocumentsDecided|DocumentsRead|TaskDone|TaskWithdrawn $done,
            ) => CloseIfDone::dispatch($done->of),
        );
    }
}
