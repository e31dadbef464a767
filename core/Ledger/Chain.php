<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Ledger;

/** Each record carries the hash of the one before, so that nothing can be altered, removed or put in between unseen. */
final readonly class Chain
{
    public const START = '0000000000000000000000000000000000000000000000000000000000000000';

    public static function append(?Record $last, string $at, string $actor, string $act, string $subject, string $details): Record
    {
        $number = ($last->number ?? 0) + 1;
        $before = $last->hash ?? self::START;

        return new Record($number, $at, $actor, $act, $subject, $details, $before, self::hash($number, $at, $actor, $act, $subject, $details, $before));
    }

    /**
     * The first record that is not as it was written.
     *
     * @param  iterable<Record>  $records  in the order of their numbers
     * @param  int  $count  how many records there must be
     * @return ?Fault null when the chain is whole
     */
    public static function firstFault(iterable $records, int $count): ?Fault
    {
        $number = 0;
        $hash = self::START;
        foreach ($records as $record) {
            $number++;
            if ($record->number !== $number) {
                return new Fault($number, $record->number > $number ? 'removed' : 'inserted');
            }
            if ($record->before !== $hash) {
                return new Fault($number, 'out of chain: it does not carry the hash of the record before');
            }
            if ($record->hash !== self::hash($record->number, $record->at, $record->actor, $record->act, $record->subject, $record->details, $record->before)) {
                return new Fault($number, 'altered');
            }
            $hash = $record->hash;
        }

        return $number === $count ? null : new Fault(min($number, $count) + 1, $number < $count ? 'removed' : 'inserted');
    }

    private static function hash(int $number, string $at, string $actor, string $act, string $subject, string $details, string $before): string
    {
        return hash('sha256', json_encode([$number, $at, $actor, $act, $subject, $details, $before], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE));
    }
}
