<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Ledger;

/**
 * Consecutive records of a ledger as a text that whoever gets it can check without the ledger: a head line of JSON, a line for each record,
 * and the signature of the head line. docs/formats.md has an example.
 */
final readonly class Excerpt
{
    /**
     * @param  string  $of  whose ledger it is: the address of the installation
     * @param  int  $from  number of the first record
     * @param  int  $to  number of the last one; one less than $from where there is none
     * @param  string  $before  the hash of the record before the first
     * @param  string  $hash  the hash of the last one; $before where there is none
     * @param  string  $at  the moment it is exported, ISO 8601
     */
    public function __construct(
        public string $of,
        public int $from,
        public int $to,
        public string $before,
        public string $hash,
        public string $at,
    ) {}

    /** The first line: between them, its two hashes hold every record in its place. It is what is signed. */
    public function head(): string
    {
        return json_encode(
            [
                'ledger' => $this->of,
                'from' => $this->from,
                'to' => $this->to,
                'before' => $this->before,
                'hash' => $this->hash,
                'exported_at' => $this->at,
            ],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }

    /** The hash of a record, and the text that it is the SHA-256 of. */
    public static function line(Record $record): string
    {
        return "{$record->hash} {$record->hashed()}";
    }

    /** @param  string  $signature  of the head, as bytes */
    public static function signature(string $signature): string
    {
        return 'signature ' . base64_encode($signature);
    }
}
