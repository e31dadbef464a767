<?php

declare(strict_types=1);

namespace App\Tables;

use Illuminate\Support\Facades\DB;

/** Writes many rows with PostgreSQL's COPY, a block at a time. */
final class CopyInto
{
    private const BLOCK = 20_000;

    private const ESCAPES = ['\\' => '\\\\', "\t" => '\\t', "\n" => '\\n', "\r" => '\\r'];

    /** @var list<string> */
    private array $rows = [];

    public int $count = 0;

    /** @param  list<string>  $columns */
    public function __construct(private readonly string $table, private readonly array $columns) {}

    /** @param  list<string|int|bool|null>  $values */
    public function row(array $values): void
    {
        $this->rows[] = implode(
            "\t",
            array_map(
                static fn(string|int|bool|null $value): string => match (true) {
                    $value === null => '\\N',
                    is_bool($value) => $value ? 't' : 'f',
                    default => strtr((string) $value, self::ESCAPES),
                },
                $values,
            ),
        );
        $this->count++;
        if (count($this->rows) === self::BLOCK) {
            $this->flush();
        }
    }

    public function flush(): void
    {
        if ($this->rows !== []) {
            DB::connection()->getPdo()->pgsqlCopyFromArray($this->table, $this->rows, "\t", '\\\\N', implode(',', $this->columns));
            $this->rows = [];
        }
    }
}
