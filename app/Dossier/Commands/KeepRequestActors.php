<?php

declare(strict_types=1);

namespace App\Dossier\Commands;

use App\Dossier\RequestPaths\KeptRequestActors;
use Illuminate\Console\Command;

/** Who can judge which request today: days away begin and end. */
final class KeepRequestActors extends Command
{
    protected $signature = 'requests:actors';

    protected $description = 'Write down who can judge each request on an approval path today.';

    public function handle(KeptRequestActors $actors): int
    {
        $this->info("{$actors->keepAll()} requests.");

        return self::SUCCESS;
    }
}
