<?php

declare(strict_types=1);

namespace App\Ledger\Commands;

use App\Ledger\Anchors;
use App\Ledger\LedgerReader;
use Illuminate\Console\Command;
use Orthotaxis\Core\Ledger\Chain;
use Orthotaxis\Core\Ledger\Fault;
use Orthotaxis\Core\Refusal;

final class VerifyLedger extends Command
{
    protected $signature = 'ledger:verify';

    protected $description = 'Check that no record of the ledger was altered, removed or put in between.';

    public function handle(LedgerReader $reader, Anchors $anchors): int
    {
        try {
            $anchored = $anchors->all();
        } catch (Refusal $refusal) {
            $this->error($refusal->getMessage());

            return self::FAILURE;
        }
        [$count, $hash] = $reader->head();
        $faults = [
            ...Chain::faults($reader->upTo($count), $count, $hash, $anchored),
            ...array_map(static fn(int $number): Fault => new Fault($number, 'inserted'), $reader->uncounted(Chain::MOST)),
        ];
        foreach ($faults as $fault) {
            $this->error("Record {$fault->number} of the ledger is {$fault->what}.");
        }
        if ($faults !== []) {
            count($faults) >= Chain::MOST && $this->error('There may be more.');

            return self::FAILURE;
        }
        $this->info(
            "The ledger is whole: {$count} records, " .
                ($anchored === [] ? 'none of them anchored outside.' : 'anchored outside up to record ' . max(array_keys($anchored)) . '.'),
        );

        return self::SUCCESS;
    }
}
