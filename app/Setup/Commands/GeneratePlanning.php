<?php

declare(strict_types=1);

namespace App\Setup\Commands;

use App\Setup\GeneratedSupply;
use Illuminate\Console\Command;

/** Has the planning stand-in make up stock, orders, sales and forecast of the generated items, for measuring. */
final class GeneratePlanning extends Command
{
    protected $signature = 'planning:generate {--rows=500000 : how many rows at most}';

    protected $description = 'Fill the planning stand-in for a generated data set. All it held before is gone.';

    public function handle(): int
    {
        $most = filter_var($this->option('rows'), FILTER_VALIDATE_INT);
        if ($most === false || $most < 1) {
            $this->error('--rows is a whole number from 1 on.');

            return self::INVALID;
        }
        $this->info(GeneratedSupply::tell($most).' rows in planning.');

        return self::SUCCESS;
    }
}
