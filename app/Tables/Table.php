<?php

declare(strict_types=1);

namespace App\Tables;

/** A table that leaves the house as a file. */
final readonly class Table
{
    /**
     * @param  string  $title  what it is, over a printed page
     * @param  list<string>  $notes  what else one must know to read it, over a printed page
     * @param  list<string>  $heads
     * @param  iterable<list<string|int|null>>  $rows
     * @param  array<string, list<string>>  $lists  what a column, or what stands above it, may say, by its head: offered in a workbook
     * @param  array<string, string>  $head  what stands above the heads in a file, by name; lists may say what it may be
     * @param  list<string>  $right  those of the heads whose values stand at the right when printed: amounts and numbers
     */
    public function __construct(
        public string $title,
        public array $notes,
        public array $heads,
        public iterable $rows,
        public array $right = [],
        public array $lists = [],
        public array $head = [],
    ) {}
}
