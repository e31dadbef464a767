<?php

declare(strict_types=1);

namespace App\Setup\Commands;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** A cache in the database drops what has expired only when the same is asked for again, which for most of it is never. */
final class ForgetExpired extends Command
{
    protected $signature = 'cache:forget-expired';

    protected $description = 'Delete what has expired from the cache in the database.';

    public function handle(): int
    {
        $gone = DB::table('cache')->where('expiration', '<', now()->getTimestamp())->delete();
        $this->info("{$gone} entries forgotten.");

        return self::SUCCESS;
    }
}
