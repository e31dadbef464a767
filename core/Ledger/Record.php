<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Ledger;

/** One act, as it is kept for ever. */
final readonly class Record
{
    /**
     * @param  int  $number  1, 2, 3 … without a gap
     * @param  string  $at  the moment, ISO 8601 in UTC
     * @param  string  $details  JSON
     * @param  string  $before  the hash of the record before, or Chain::START
     */
    public function __construct(
        public int $number,
        public string $at,
        public string $actor,
        public string $act,
        public string $subject,
        public string $details,
        public string $before,
        public string $hash,
    ) {}

    /** The text that the hash is the SHA-256 of. */
    public function hashed(): string
    {
        return Chain::text($this->number, $this->at, $this->actor, $this->act, $this->subject, $this->details, $this->before);
    }
}
