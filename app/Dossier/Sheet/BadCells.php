<?php

declare(strict_types=1);

namespace App\Dossier\Sheet;

/** Cells that cannot be so, found while an order was being raised of them. */
final class BadCells extends \RuntimeException
{
    /** @param  non-empty-array<int, array<string, string>>  $faults  by row and column */
    public function __construct(public readonly array $faults)
    {
        parent::__construct('Cells of the sheet cannot be so.');
    }
}
