<?php

declare(strict_types=1);

namespace App\Ledger\Commands;

use App\Ledger\LedgerReader;
use Illuminate\Console\Command;
use Orthotaxis\Core\Ledger\Chain;

final class VerifyLedger extends Command
{
    protected $signature = 'ledger:verify';

    protected $description = 'Check that no record of the ledger was altered, removed or put in between.';

    public function handle(LedgerReader $reader): int
    {
        $count = $reader->count();
        $fault = Chain::firstFault($reader->all(), $count);
        if ($fault !== null) {
            $this->error("Record {$fault->number} of the ledger is {$fault->what}.");

            return self::FAILURE;
        }
        $this->info("The ledger is whole: {$count} records.");

        return self::SUCCESS;
    }
}
