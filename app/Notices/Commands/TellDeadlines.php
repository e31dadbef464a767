<?php

declare(strict_types=1);

namespace App\Notices\Commands;

use App\Notices\Deadlines\TellLateness;
use Illuminate\Console\Command;

/** Reminders, and what is overdue. */
final class TellDeadlines extends Command
{
    protected $signature = 'notices:deadlines';

    protected $description = 'Tell people of what is due soon, overdue, or overdue for days.';

    public function handle(TellLateness $tell): int
    {
        $this->info("{$tell->tell()} told.");

        return self::SUCCESS;
    }
}
