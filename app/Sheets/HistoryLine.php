<?php

declare(strict_types=1);

namespace App\Sheets;

use Orthotaxis\Core\Calendar\Day;

/** One line of the history block of a sheet (ASME Y14.35). */
final readonly class HistoryLine
{
    /**
     * @param  string  $author  who brought its sheet, else who edited its order; empty: nobody knows any more
     * @param  array<string, string>  $done  what was done, by language
     * @param  string  $reason  the same where nothing is said in a language
     * @param  list<string>  $signers  names
     */
    public function __construct(
        public string $revision,
        public ?Day $from,
        public string $author,
        public array $done,
        public string $reason,
        public string $order,
        public array $signers,
    ) {}

    public function doneIn(string $language): string
    {
        return $this->done[$language] ?? $this->reason;
    }
}
