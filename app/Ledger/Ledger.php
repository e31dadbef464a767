<?php

declare(strict_types=1);

namespace App\Ledger;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Ledger\Chain;
use Orthotaxis\Core\Ledger\Record;

/** Appends every act to the ledger, in the transaction of the act itself. */
final readonly class Ledger
{
    /** Characters. A longer name stands in the details as a whole. */
    public const LONGEST_SUBJECT = 80;

    /**
     * @param  string  $actor  the sign-in name of who acts
     * @param  string  $act  what was done, such as order.released
     * @param  string  $subject  the number of what it was done to
     * @param  array<string, mixed>  $details
     */
    public function record(string $actor, string $act, string $subject, array $details = []): Record
    {
        // The head is one row: locking it makes writers take turns, so that the chain never forks.
        $head = DB::table('ledger_head')->lockForUpdate()->sole();
        $last = $head->count > 0 ? LedgerReader::record(DB::table('ledger')->where('number', $head->count)->sole()) : null;
        $record = Chain::append(
            $last,
            CarbonImmutable::now('UTC')->format('Y-m-d\TH:i:s.u\Z'),
            $actor,
            $act,
            $subject,
            json_encode((object) $details, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR),
        );
        DB::table('ledger')->insert((array) $record);
        DB::table('ledger_head')->update(['count' => $record->number, 'hash' => $record->hash]);

        return $record;
    }
}
