<?php

declare(strict_types=1);

namespace App\Outgoing\Jobs;

use App\Outgoing\CarryChannel;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Carries what waits in a channel. */
final class CarryDeliveries implements ShouldQueue
{
    use Queueable;

    /** Zero is without limit: how often a message is tried is counted with it. */
    public int $tries = 0;

    public function __construct(public readonly int $channel)
    {
        $this->onQueue('urgent');
    }

    public function handle(CarryChannel $carry): void
    {
        $pause = $carry($this->channel);
        if ($pause !== null) {
            self::dispatch($this->channel)->delay($pause);
        }
    }
}
