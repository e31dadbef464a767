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
        foreach ($values as &$value) {
            if ($value === null) {
                $value = '\\N';
            } elseif (is_bool($value)) {
                $value = $value ? 't' : 'f';
            } elseif (is_string($value) && strpbrk($value, "\\\t\n\r") !== false) {
                $value = strtr($value, self::ESCAPES);
            }
        }
        $this->rows[] = implode("\t", $values);
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
