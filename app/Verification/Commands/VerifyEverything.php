<?php

declare(strict_types=1);

namespace App\Verification\Commands;

use App\Verification\Actions\AskVerification;
use Illuminate\Console\Command;
use Orthotaxis\Core\Refusal;

/** Every night: what planning has of all that holds here. */
final class VerifyEverything extends Command
{
    protected $signature = 'planning:verify';

    protected $description = "Read planning's own copy back and compare all of it with what holds.";

    public function handle(AskVerification $ask): int
    {
        try {
            $ask->everything();
        } catch (Refusal $refusal) {
            $this->warn($refusal->getMessage());
        }

        return self::SUCCESS;
    }
}
