<?php

declare(strict_types=1);

namespace App\Ledger;

use Orthotaxis\Core\Ledger\Record;

/** What one act has added to the ledger; told at the very end of its transaction. */
final readonly class RecordsWritten
{
    /** @param  non-empty-list<Record>  $records */
    public function __construct(public array $records) {}
}
