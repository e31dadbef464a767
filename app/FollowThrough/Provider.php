<?php

declare(strict_types=1);

namespace App\FollowThrough;

use App\FollowThrough\Events\DocumentsDecided;
use App\FollowThrough\Events\DocumentsSeenTo;
use App\FollowThrough\Jobs\CloseIfDone;
use App\FollowThrough\Jobs\FollowOrder;
use App\Orders\Models\ChangeOrder;
use App\Releases\Events\HandOverAnswered;
use App\Releases\Events\OrderReleased;
use App\Releases\Models\Handover;
use App\Tasks\Events\TaskDone;
use App\Tasks\Events\TaskWithdrawn;
use App\Verification\Events\PlanningVerified;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;
use Orthotaxis\Core\Change\OrderState;

final class Provider extends ServiceProvider
{
    public function boot(): void
    {
        Event::listen(OrderReleased::class, static fn(OrderReleased $done) => FollowOrder::number($done->of()));
        // What planning says that it did, and what it still tells of, are two things.
        Event::listen(HandOverAnswered::class, static function (HandOverAnswered $done): void {
            $order = Handover::query()->where('name', $done->handOver)->where('kind', 'documents')->value('order_id');
            if (is_int($order)) {
                FollowOrder::of($order);
            }
        });
        Event::listen(
            [DocumentsSeenTo::class, DocumentsDecided::class, TaskDone::class, TaskWithdrawn::class],
            static fn(DocumentsSeenTo|DocumentsDecided|TaskDone|TaskWithdrawn $done) => CloseIfDone::dispatch($done->of),
        );
        // Of all that planning has, or of a correction: of whichever order it was.
        Event::listen(
            PlanningVerified::class,
            static fn() => ChangeOrder::query()
                ->where('state', OrderState::Released)
                ->orderBy('id')
                ->pluck('number')
                ->each(static fn(mixed $number) => CloseIfDone::dispatch((string) $number)),
        );
    }
}
