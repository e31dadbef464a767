<?php

declare(strict_types=1);

namespace App\Audit;

use App\Ledger\LedgerReader;
use App\Seals\HouseSeal;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Ledger\Chain;
use Orthotaxis\Core\Ledger\Excerpt;

/** Records of the ledger as a file that a stranger can check; a few are in memory at a time. */
final readonly class LedgerExport
{
    public function __construct(private LedgerReader $reader, private HouseSeal $seal) {}

    /**
     * @param  int  $from  the first record
     * @param  int  $to  the last one; before the first: none
     * @return iterable<string> lines
     */
    public function lines(int $from, int $to): iterable
    {
        $excerpt = new Excerpt(
            of: config()->string('app.url'),
            from: $from,
            to: $to,
            before: $this->reader->hashOf($from - 1) ?? Chain::START,
            hash: $this->reader->hashOf($to) ?? Chain::START,
            at: CarbonImmutable::now('UTC')->format('Y-m-d\TH:i:s\Z'),
        );
        yield $excerpt->head() . "\n";
        foreach ($this->reader->between($from, $to) as $record) {
            yield Excerpt::line($record) . "\n";
        }
        yield Excerpt::signature($this->seal->of($excerpt->head())) . "\n";
    }
}
