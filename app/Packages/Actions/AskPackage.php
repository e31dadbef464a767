<?php

declare(strict_types=1);

namespace App\Packages\Actions;

use App\Orders\Models\ChangeOrder;
use App\Packages\Jobs\MakePackage;
use App\Packages\Models\PackageState;
use App\Packages\Models\ReleasePackage;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Refusal;

/** Has the package of a released order made by a worker. */
final readonly class AskPackage
{
    /** Refused when it is not released, or the same one is being made. */
    public function __invoke(Person $by, string $number, string $language): void
    {
        DB::transaction(static function () use ($by, $number, $language): void {
            $order = ChangeOrder::hold($number);
            if ($order->released_at === null) {
                throw Refusal::at('order', "{$number} is not released yet: its package is made of what it releases.");
            }
            // What a worker was lost with is none that is under way.
            ReleasePackage::query()
                ->where('order_id', $order->id)
                ->whereIn('state', [PackageState::Waiting, PackageState::Making])
                ->where('asked_at', '<', CarbonImmutable::now()->subHour())
                ->update(['state' => PackageState::Failed, 'fault' => 'Its worker was lost.', 'ended_at' => CarbonImmutable::now()]);
            $underWay = ReleasePackage::query()
                ->where(['order_id' => $order->id, 'language' => $language])
                ->whereIn('state', [PackageState::Waiting, PackageState::Making])
                ->exists();
            if ($underWay) {
                throw Refusal::at('language', 'This package is being made already.');
            }
            $one = ReleasePackage::query()->create([
                'order_id' => $order->id,
                'language' => $language,
                'state' => PackageState::Waiting,
                'asked_by' => $by->id,
                'asked_at' => CarbonImmutable::now(),
            ]);
            MakePackage::dispatch($one->id)->afterCommit();
        });
    }
}
