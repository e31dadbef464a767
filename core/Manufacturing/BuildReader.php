<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Routing\Operation;
use Orthotaxis\Core\Routing\OperationField;
use Orthotaxis\Core\Routing\OperationReader;
use Orthotaxis\Core\Routing\Routing;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\LineReader;
use Orthotaxis\Core\Structure\Structure;

/** Reads what a plant builds of an item from the rows of a file, and says of every cell why it cannot be. */
final class BuildReader
{
    /** @var array<int, Operation> by row */
    private array $operations = [];

    /** @var array<int, Line> by row */
    private array $lines = [];

    /** @var array<int, OnRecord> by row */
    private array $records = [];

    /** @var array<int, array<string, string>> by row and column */
    private array $faults = [];

    private Quantity $batch;

    /**
     * @param  array<int, array<string, string>>  $rows  of one plant and parent, by the numbers that they have in the file
     * @param  \Closure(string): string  $key  the identity of what names this one: of what names none a new one
     * @param  ManufacturingContent  $was  what was built before: what the rows have no column for stays as it was there
     */
    public function __construct(array $rows, \Closure $key, private ManufacturingContent $was = new ManufacturingContent())
    {
        $this->batch = $was->routing->batch;
        $said = null;
        foreach ($rows as $number => $row) {
            $record = BuildRecord::tryFrom($row['record'] ?? '');
            try {
                match ($record) {
                    BuildRecord::Operation => ($this->operations[$number] = $this->operation($row, $key($row['key'] ?? ''))),
                    BuildRecord::Line => ($this->lines[$number] = $this->line($row, $key($row['key'] ?? ''))),
                    BuildRecord::OnRecord => ($this->records[$number] = self::record($row)),
                    null => $this->fault($number, 'record', 'A row is an operation, a line or on_record.'),
                };
                $batch = trim($row['batch'] ?? '');
                if ($batch !== '' && $said !== null && $said !== $batch) {
                    $this->fault($number, 'batch', "The batch is {$said} in a row above.");
                }
                if ($batch !== '' && $said === null) {
                    $said = $batch;
                    $this->batch = Quantity::parse($batch, 'batch');
                    $this->batch->isPositive() || throw Refusal::at('batch', 'A batch has more than nothing in it.');
                }
            } catch (Refusal $refusal) {
                foreach ($refusal->reasons as $column => $reason) {
                    $this->fault($number, $column, $reason);
                }
            }
        }
        $this->holdTogether();
    }

    /** @return array<int, Operation> by row */
    public function operations(): array
    {
        return $this->operations;
    }

    /** @return array<int, Line> by row */
    public function lines(): array
    {
        return $this->lines;
    }

    /** @return array<int, array<string, string>> reasons by row and column; none where the rows can be */
    public function faults(): array
    {
        return $this->faults;
    }

    /** What the rows say, where nothing is wrong with any of them. */
    public function content(): ManufacturingContent
    {
        return new ManufacturingContent(new Structure($this->lines), $this->records, new Routing($this->operations, $this->batch));
    }

    /** What rows cannot be beside each other. */
    private function holdTogether(): void
    {
        $this->once($this->operations, 'operation', static fn(Operation $one): string => (string) $one->number);
        $this->once($this->operations, 'key', static fn(Operation $one): string => $one->key);
        $this->once($this->lines, 'find', static fn(Line $one): string => (string) $one->find);
        $this->once($this->lines, 'key', static fn(Line $one): string => $one->key);
        $this->once($this->records, 'takes_over', static fn(OnRecord $one): string => $one->line);
        $numbers = array_map(static fn(Operation $one): int => $one->number, $this->operations);
        foreach ($numbers === [] ? [] : $this->lines as $row => $line) {
            if ($line->operation !== null && !in_array($line->operation, $numbers, true)) {
                $this->fault($row, 'operation', "There is no operation {$line->operation} in the file.");
            }
        }
    }

    /**
     * @template T
     *
     * @param  array<int, T>  $some  by row
     * @param  \Closure(T): string  $name
     */
    private function once(array $some, string $column, \Closure $name): void
    {
        $first = [];
        foreach ($some as $row => $one) {
            $said = $name($one);
            if (isset($first[$said])) {
                $this->fault($row, $column, "This stands in row {$first[$said]} already.");
            }
            $first[$said] ??= $row;
        }
    }

    private function fault(int $row, string $column, string $reason): void
    {
        $this->faults[$row][$column] ??= $reason;
    }

    /** @param  array<string, string>  $row */
    private function operation(array $row, string $key): Operation
    {
        $fields = ['number' => $row['operation'] ?? ''];
        foreach (OperationField::cases() as $field) {
            if ($field !== OperationField::Number && isset($row[$field->value])) {
                $fields[$field->value] = $row[$field->value];
            }
        }
        try {
            return (new OperationReader())->read($key, $fields, $this->was->routing->operations[$key] ?? null);
        } catch (Refusal $refusal) {
            $reasons = $refusal->reasons;
            throw Refusal::because(
                isset($reasons['number']) ? ['operation' => $reasons['number']] + array_diff_key($reasons, ['number' => 1]) : $reasons,
            );
        }
    }

    /** @param  array<string, string>  $row */
    private function line(array $row, string $key): Line
    {
        /** @var array<value-of<LineField>, string> $fields */
        $fields = array_intersect_key($row, array_flip(array_column(LineField::cases(), 'value')));

        return (new LineReader())->read($key, $fields, $this->was->structure->line($key));
    }

    /** @param  array<string, string>  $row */
    private static function record(array $row): OnRecord
    {
        $line = trim($row['takes_over'] ?? '');
        if ($line === '') {
            throw Refusal::at('takes_over', 'Name the engineering line by its key.');
        }
        $fields = ['by' => 'component', 'new' => 'quantity', 'unit' => 'unit', 'old' => 'old_quantity', 'reason' => 'notes'];
        try {
            return (new PutOnRecord($line, array_map(static fn(string $column): string => $row[$column] ?? '', $fields)))->apply(null);
        } catch (Refusal $refusal) {
            $reasons = [];
            foreach ($refusal->reasons as $field => $reason) {
                $reasons[$fields[$field] ?? 'quantity'] = $reason;
            }
            throw Refusal::because($reasons);
        }
    }
}
