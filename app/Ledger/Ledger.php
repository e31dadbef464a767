<?php

declare(strict_types=1);

namespace App\Ledger;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Ledger\Chain;
use Orthotaxis\Core\Ledger\Record;

/**
 * Appends every act to the ledger, in the transaction of the act itself.
 *
 * The head of the ledger is one row that all writers take turns at. Acts are collected while the transaction does its work and
 * written at its very end, so that a long act stops nobody else, and nobody holds the head while waiting for another row.
 */
final class Ledger
{
    /** Characters. A longer name stands in the details as a whole. */
    public const LONGEST_SUBJECT = 80;

    /** How many acts that belong together are under way, one inside another. */
    private int $depth = 0;

    /** @var list<array{string, string, string, string, string}> moment, actor, act, subject and details */
    private array $collected = [];

    /**
     * Does what must be done as a whole or not at all, and writes down last what was done. Inside another of its kind the outer
     * one writes; what fails and is caught inside leaves nothing behind.
     *
     * @template T
     *
     * @param  \Closure(): T  $work
     * @return T
     */
    public function together(\Closure $work): mixed
    {
        return DB::transaction(function () use ($work): mixed {
            $before = count($this->collected);
            $this->depth++;
            try {
                $done = $work();
            } catch (\Throwable $fault) {
                $this->collected = array_slice($this->collected, 0, $before);
                throw $fault;
            } finally {
                $this->depth--;
            }
            if ($this->depth === 0) {
                $this->write();
            }

            return $done;
        });
    }

    /**
     * @param  string  $actor  the sign-in name of who acts
     * @param  string  $act  what was done, such as order.released
     * @param  string  $subject  the number of what it was done to
     * @param  array<string, mixed>  $details
     */
    public function record(string $actor, string $act, string $subject, array $details = []): void
    {
        $this->collected[] = [
            CarbonImmutable::now('UTC')->format('Y-m-d\TH:i:s.u\Z'),
            $actor,
            $act,
            $subject,
            json_encode((object) $details, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR),
        ];
        if ($this->depth === 0) {
            DB::transaction(fn() => $this->write());
        }
    }

    private function write(): void
    {
        [$acts, $this->collected] = [$this->collected, []];
        if ($acts === []) {
            return;
        }
        $head = DB::table('ledger_head')->lockForUpdate()->sole();
        $last = $head->count > 0 ? LedgerReader::record(DB::table('ledger')->where('number', $head->count)->sole()) : null;
        $records = [];
        foreach ($acts as $act) {
            $records[] = $last = Chain::append($last, ...$act);
        }
        foreach (array_chunk($records, 1_000) as $some) {
            DB::table('ledger')->insert(array_map(static fn(Record $record): array => (array) $record, $some));
        }
        DB::table('ledger_head')->update(['count' => $last->number, 'hash' => $last->hash]);
        event(new RecordsWritten($records));
    }
}
