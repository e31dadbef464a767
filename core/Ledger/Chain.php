<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Ledger;

/** Each record carries the hash of the one before, so that nothing can be altered, removed or put in between unseen. */
final readonly class Chain
{
    public const START = '0000000000000000000000000000000000000000000000000000000000000000';

    /** So many faults are told at once. */
    public const MOST = 100;

    public static function append(?Record $last, string $at, string $actor, string $act, string $subject, string $details): Record
    {
        $number = ($last->number ?? 0) + 1;
        $before = $last->hash ?? self::START;

        return new Record(
            number: $number,
            at: $at,
            actor: $actor,
            act: $act,
            subject: $subject,
            details: $details,
            before: $before,
            hash: hash('sha256', self::text($number, $at, $actor, $act, $subject, $details, $before)),
        );
    }

    /**
     * Every record that is not as it was written. After a fault the search goes on from what is there, so that one does not hide
     * the next; at most MOST are told.
     *
     * @param  iterable<Record>  $records  in the order of their numbers
     * @param  int  $count  how many records there must be
     * @param  string  $head  the hash that the last of them must have
     * @param  array<int, string>  $anchored  number => hash, as it was noted outside at some time
     * @return list<Fault> empty when the chain is whole
     */
    public static function faults(iterable $records, int $count, string $head, array $anchored = []): array
    {
        $faults = [];
        $number = 0;
        $hash = self::START;
        foreach ($records as $record) {
            $number++;
            if ($record->number !== $number) {
                $faults[] = new Fault($number, $record->number > $number ? 'removed' : 'inserted');
                $number = $record->number;
            }
            if ($record->before !== $hash) {
                $faults[] = new Fault($number, 'out of chain: it does not carry the hash of the record before');
            }
            if ($record->hash !== hash('sha256', $record->hashed())) {
                $faults[] = new Fault($number, 'altered');
            }
            if (isset($anchored[$number]) && $anchored[$number] !== $record->hash) {
                $faults[] = new Fault($number, 'not the one that was anchored outside');
            }
            $hash = $record->hash;
            if (count($faults) >= self::MOST) {
                return $faults;
            }
        }
        if ($number !== $count) {
            $faults[] = new Fault(min($number, $count) + 1, $number < $count ? 'removed' : 'inserted');
        } elseif ($hash !== $head) {
            $faults[] = new Fault($number, 'not the last that was written: the head has another hash');
        }
        foreach (array_keys($anchored) as $noted) {
            if ($noted > $number) {
                $faults[] = new Fault($noted, 'removed: it was anchored outside');
            }
        }

        return $faults;
    }

    /** What the hash of a record is of: a JSON list of all that the record says. */
    public static function text(
        int $number,
        string $at,
        string $actor,
        string $act,
        string $subject,
        string $details,
        string $before,
    ): string {
        return json_encode([$number, $at, $actor, $act, $subject, $details, $before], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }
}
