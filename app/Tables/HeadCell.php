<?php

declare(strict_types=1);

namespace App\Tables;

/** What stands beside a name above a table. */
final readonly class HeadCell
{
    /** @param  int  $row  as a spreadsheet counts */
    public function __construct(public int $row, public string $text) {}
}
