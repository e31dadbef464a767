<?php

declare(strict_types=1);

namespace App\Orders\Commands;

use App\Orders\Paths\KeptActors;
use Illuminate\Console\Command;

/** Who can sign which order today: days away begin and end. */
final class KeepActors extends Command
{
    protected $signature = 'orders:actors';

    protected $description = 'Write down who can sign each order in review today.';

    public function handle(KeptActors $actors): int
    {
        $this->info("{$actors->keepAll()} orders.");

        return self::SUCCESS;
    }
}
