<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Sheets\Models\SheetMark;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Revision\Phase;

/** What a sheet says of itself on a day, to whoever holds it. */
final readonly class SheetFacts
{
    /**
     * @param  string  $revision  empty: a draft of the coming one
     * @param  ?Day  $to  the last day on which it holds
     * @param  string  $next  the revision that takes its place, or its item's; empty: none does yet
     * @param  ?Day  $nextFrom  from when
     * @param  list<string>  $signers  names
     * @param  list<HistoryLine>  $history  the oldest first
     * @param  list<SheetMark>  $marks  of change, as one reads
     */
    public function __construct(
        public string $number,
        public string $title,
        public string $revision,
        public Phase $phase,
        public Day $day,
        public ?Day $from,
        public ?Day $to,
        public string $next,
        public ?Day $nextFrom,
        public string $order,
        public array $signers,
        public array $history,
        public array $marks,
    ) {}
}
