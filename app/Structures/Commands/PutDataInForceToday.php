<?php

declare(strict_types=1);

namespace App\Structures\Commands;

use App\Days\Today;
use App\Structures\Actions\PutDataInForce;
use Illuminate\Console\Command;

/** Data of items that were released for a later day hold from the beginning of that day. */
final class PutDataInForceToday extends Command
{
    protected $signature = 'items:in-force';

    protected $description = 'Makes items say what holds of them today';

    public function handle(): int
    {
        $this->info(PutDataInForce::on(Today::day()) . ' items say something else today.');

        return self::SUCCESS;
    }
}
