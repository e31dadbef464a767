<?php

declare(strict_types=1);

namespace App\Verification;

use App\Releases\Events\HandOverAnswered;
use App\Releases\Models\Handover;
use App\Verification\Actions\AskVerification;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;

final class Provider extends ServiceProvider
{
    public function boot(): void
    {
        // What planning says that it took, and what it has, are two things.
        Event::listen(HandOverAnswered::class, static function (HandOverAnswered $done): void {
            $handover = Handover::query()->where('name', $done->handOver)->firstOrFail();
            if ($handover->kind === 'documents') {
                return;
            }
            $items = DB::table('handover_entries')
                ->where('handover_id', $handover->id)
                ->distinct()
                ->orderBy('item')
                ->selectRaw("record ->> 'item' AS item")
                ->pluck('item')
                ->all();
            app(AskVerification::class)->items(array_values(array_map(strval(...), $items)), $handover->order_id);
        });
    }
}
