<?php

declare(strict_types=1);

namespace App\Ledger;

use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Ledger\Record;

final readonly class LedgerReader
{
    /** So many acts are told where nobody says. */
    public const NEWEST = 500;

    /** @return iterable<Record> all records, a few at a time */
    public function all(): iterable
    {
        foreach (DB::table('ledger')->orderBy('number')->lazyById(1_000, 'number') as $row) {
            yield self::record($row);
        }
    }

    /**
     * @param  list<string>  $subjects
     * @return list<Record> newest first
     */
    public function about(array $subjects, int $most = self::NEWEST): array
    {
        return DB::table('ledger')->whereIn('subject', $subjects)->orderByDesc('number')->limit($most)->get()
            ->map(self::record(...))->values()->all();
    }

    /** @param  list<string>  $subjects */
    public function countAbout(array $subjects): int
    {
        return DB::table('ledger')->whereIn('subject', $subjects)->count();
    }

    /** @return array{int, string} how many records there are, and the hash of the last */
    public function head(): array
    {
        $head = DB::table('ledger_head')->sole();

        return [(int) $head->count, (string) $head->hash];
    }

    public static function record(\stdClass $row): Record
    {
        return new Record((int) $row->number, $row->at, $row->actor, $row->act, $row->subject, $row->details, $row->before, $row->hash);
    }
}
