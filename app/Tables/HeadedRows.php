<?php

declare(strict_types=1);

namespace App\Tables;

/** A file that says something above its table. */
final readonly class HeadedRows
{
    /**
     * @param  array<string, HeadCell>  $head  by name
     * @param  \Generator<int, array<string, string>>  $rows  as SheetReader gives them
     */
    public function __construct(public array $head, public \Generator $rows) {}
}
