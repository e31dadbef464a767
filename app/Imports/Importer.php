<?php

declare(strict_types=1);

namespace App\Imports;

use App\People\Models\Person;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Refusal;

/** Takes over rows of a file. It is checked whole first; only when nothing is wrong is anything written. */
interface Importer
{
    /** @return list<string> the columns a file may have */
    public static function columns(): array;

    /** @return list<string> the columns it must have */
    public static function needed(): array;

    /**
     * @param  iterable<int, array<string, string>>  $rows
     *
     * @throws Refusal when the file as a whole cannot be
     */
    public function check(iterable $rows, Faults $faults): void;

    /**
     * Writes what was checked. Called in a transaction, after a check that found nothing.
     *
     * @return string what was done, in words
     */
    public function write(Person $by, Day $firstDay): string;
}
