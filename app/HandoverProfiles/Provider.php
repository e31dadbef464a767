<?php

declare(strict_types=1);

namespace App\HandoverProfiles;

use App\HandoverProfiles\Actions\WriteProfileFiles;
use App\HandoverProfiles\Models\Moment;
use App\Releases\Events\HandOverAnswered;
use App\Releases\HandoverWritten;
use App\Releases\Models\Handover;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;

final class Provider extends ServiceProvider
{
    public function boot(): void
    {
        Event::listen(HandoverWritten::class, static function (HandoverWritten $written): void {
            app(WriteProfileFiles::class)->at(Moment::ofWriting($written->handover), $written->handover);
        });
        Event::listen(HandOverAnswered::class, static function (HandOverAnswered $done): void {
            $handover = Handover::query()->where('name', $done->handOver)->firstOrFail();
            if ($done->state === 'taken' && $handover->kind === 'release') {
                app(WriteProfileFiles::class)->at(Moment::Taken, $handover);
            }
        });
    }
}
