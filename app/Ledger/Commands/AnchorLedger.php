<?php

declare(strict_types=1);

namespace App\Ledger\Commands;

use App\Ledger\Anchors;
use Illuminate\Console\Command;

final class AnchorLedger extends Command
{
    protected $signature = 'ledger:anchor';

    protected $description = 'Note outside the database what the ledger has come to.';

    public function handle(Anchors $anchors): int
    {
        $anchors->note();

        return self::SUCCESS;
    }
}
