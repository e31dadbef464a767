<?php

declare(strict_types=1);

namespace App\Imports;

use App\Tables\CopyInto;
use Illuminate\Support\Facades\DB;

/**
 * The rows of a file laid down in a temporary table of the database while they are checked, so that what has to be held
 * against each other does not fill the memory of the process. The table ends with the connection.
 */
final class Staging
{
    private ?CopyInto $copy = null;

    private bool $analysed = false;

    /** @param  array<string, string>  $columns  name => type; the first is the row of the file, "row integer" */
    public function __construct(public readonly string $table, private readonly array $columns) {}

    /** @param  list<string|int|bool|null>  $values  in the order of the columns */
    public function row(array $values): void
    {
        if ($this->copy === null) {
            DB::statement("DROP TABLE IF EXISTS pg_temp.{$this->table}");
            $columns = array_map(
                static fn(string $name, string $type): string => "{$name} {$type}",
                array_keys($this->columns),
                $this->columns,
            );
            DB::statement("CREATE TEMPORARY TABLE {$this->table} (" . implode(', ', $columns) . ')');
            $this->copy = new CopyInto($this->table, array_keys($this->columns));
        }
        $this->copy->row($values);
        $this->analysed = false;
    }

    public function count(): int
    {
        return $this->copy->count ?? 0;
    }

    /** To be asked once all rows are in, and before the table is read. False when there is none, as no row came. */
    public function filled(): bool
    {
        if ($this->copy !== null && !$this->analysed) {
            $this->copy->flush();
            DB::statement("ANALYZE {$this->table}");
            $this->analysed = true;
        }

        return $this->copy !== null;
    }

    /**
     * Every row that says again what an earlier one said.
     *
     * @param  list<string>  $columns  which may not say the same together
     * @param  \Closure(\stdClass): string  $say  given the row, with "before" the one that said it first
     */
    public function refuseRepeated(array $columns, string $where, string $column, \Closure $say, Faults $faults): void
    {
        $same = implode(', ', $columns);
        $rows = "SELECT *, lag(row) OVER (PARTITION BY {$same} ORDER BY row) AS before FROM {$this->table} WHERE {$where}";
        $this->refuse("SELECT * FROM ({$rows}) AS all_rows WHERE before IS NOT NULL", $column, $say, $faults);
    }

    /**
     * Every row that a query finds wrong.
     *
     * @param  string  $wrong  a query that gives "row" and whatever else is told
     * @param  \Closure(\stdClass): string  $say
     */
    public function refuse(string $wrong, string $column, \Closure $say, Faults $faults): void
    {
        if (!$this->filled()) {
            return;
        }
        $rows = DB::select("SELECT *, count(*) OVER () AS faults FROM ({$wrong}) AS wrong ORDER BY row LIMIT ?", [Faults::KEPT]);
        foreach ($rows as $row) {
            $faults->add($row->row, $column, $say($row));
        }
        $faults->count += ($rows[0]->faults ?? 0) - count($rows);
    }
}
