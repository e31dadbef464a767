<?php

declare(strict_types=1);

namespace App\Imports;

/** What is wrong with a file, cell by cell. All are counted, the first are kept. */
final class Faults
{
    public const KEPT = 1_000;

    public int $count = 0;

    /** @var list<array{row: int, column: string, reason: string}> */
    public array $first = [];

    public function add(int $row, string $column, string $reason): void
    {
        $this->count++;
        if (count($this->first) < self::KEPT) {
            $this->first[] = ['row' => $row, 'column' => $column, 'reason' => $reason];
        }
    }

    /** @return list<array{row: int, column: string, reason: string}> as they stand in the file, whatever found them */
    public function inOrder(): array
    {
        $first = $this->first;
        usort($first, static fn(array $one, array $other): int => $one['row'] <=> $other['row']);

        return $first;
    }
}
