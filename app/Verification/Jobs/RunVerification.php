<?php

declare(strict_types=1);

namespace App\Verification\Jobs;

use App\Verification\Actions\VerifyPlanning;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Reads planning's copy back, with more patience than a person has. */
final class RunVerification implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 3_600;

    public function __construct(public readonly int $verification)
    {
        // Hand-overs do not wait behind it.
        $this->onQueue('long');
    }

    public function handle(VerifyPlanning $verify): void
    {
        $verify($this->verification);
    }
}
