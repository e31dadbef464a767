<?php

declare(strict_types=1);

namespace App\FollowThrough\Jobs;

use App\FollowThrough\Actions\ReadOldDocuments;
use App\Orders\Models\ChangeOrder;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;

/** Asks planning about one released order, with more patience than a person has. */
final class FollowOrder implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 600;

    private function __construct(public readonly int $order)
    {
        // Hand-overs do not wait behind it.
        $this->onQueue('long');
        $this->afterCommit();
    }

    /** @param  int  $order  id */
    public static function of(int $order): void
    {
        $now = CarbonImmutable::now();
        DB::table('old_document_readings')->upsert(
            ['order_id' => $order, 'asked_at' => $now, 'fault' => ''],
            ['order_id'],
            ['asked_at', 'fault'],
        );
        dispatch(new self($order));
    }

    public static function number(string $number): void
    {
        self::of((int) ChangeOrder::query()->where('number', $number)->valueOrFail('id'));
    }

    public function handle(ReadOldDocuments $read): void
    {
        $read($this->order);
    }
}
