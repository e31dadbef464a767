<?php

declare(strict_types=1);

namespace App\Ledger;

use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Ledger\Record;

final readonly class LedgerReader
{
    /** So many acts are told where nobody says. */
    public const NEWEST = 500;

    /**
     * Records that come while they are read are not among them: people go on working while the ledger is verified.
     *
     * @return iterable<Record> the records up to this one, a few at a time
     */
    public function upTo(int $count): iterable
    {
        return $this->between(1, $count);
    }

    /** @return iterable<Record> a few at a time */
    public function between(int $first, int $last): iterable
    {
        foreach (
            DB::table('ledger')
                ->whereBetween('number', [$first, $last])
                ->orderBy('number')
                ->lazyById(1_000, 'number')
            as $row
        ) {
            yield self::record($row);
        }
    }

    /** @return ?string null where there is no such record */
    public function hashOf(int $number): ?string
    {
        $hash = DB::table('ledger')->where('number', $number)->value('hash');

        return is_string($hash) ? $hash : null;
    }

    /** @return list<int> the numbers of records that the head does not count, in one statement, thus at one moment */
    public function uncounted(int $most): array
    {
        return DB::table('ledger')
            ->join('ledger_head', 'ledger.number', '>', 'ledger_head.count')
            ->orderBy('number')
            ->limit($most)
            ->pluck('number')
            ->map(static fn(mixed $number): int => (int) $number)
            ->values()
            ->all();
    }

    /**
     * @param  list<string>  $subjects
     * @return list<Record> newest first
     */
    public function about(array $subjects, int $most = self::NEWEST): array
    {
        return DB::table('ledger')
            ->whereIn('subject', $subjects)
            ->orderByDesc('number')
            ->limit($most)
            ->get()
            ->map(self::record(...))
            ->values()
            ->all();
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
        return new Record(
            number: (int) $row->number,
            at: $row->at,
            actor: $row->actor,
            act: $row->act,
            subject: $row->subject,
            details: $row->details,
            before: $row->before,
            hash: $row->hash,
        );
    }
}
