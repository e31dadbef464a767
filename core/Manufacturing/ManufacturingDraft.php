<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Edit\Draft;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Routing\Operation;
use Orthotaxis\Core\Routing\OperationEdit;
use Orthotaxis\Core\Routing\Routing;
use Orthotaxis\Core\Routing\SetBatch;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;

/** What a plant builds while edits are made to it, one after another. */
final class ManufacturingDraft
{
    private Draft $lines;

    /** @var array<string, OnRecord> by engineering line */
    private array $records;

    /** @var array<string, Operation> by key */
    private array $operations;

    private Quantity $batch;

    public function __construct(ManufacturingContent $base)
    {
        $this->lines = new Draft($base->structure);
        $this->records = $base->records;
        $this->operations = $base->routing->operations;
        $this->batch = $base->routing->batch;
    }

    /** @throws Refusal when the edit does not fit */
    public function make(Edit $edit): void
    {
        match (true) {
            $edit instanceof LineEdit => $this->editLine($edit),
            $edit instanceof OperationEdit => $this->editOperation($edit),
            $edit instanceof RecordEdit => ($this->records = array_filter(
                [$edit->part() => $edit->apply($this->records[$edit->part()] ?? null)] + $this->records,
            )),
            $edit instanceof SetBatch => ($this->batch = $edit->apply($this->batch)),
            default => throw new \LogicException("{$edit->name()} is no edit of what a plant builds."),
        };
    }

    public function line(string $key): ?Line
    {
        return $this->lines->line($key);
    }

    public function operation(string $key): ?Operation
    {
        return $this->operations[$key] ?? null;
    }

    public function content(): ManufacturingContent
    {
        return new ManufacturingContent($this->lines->structure(), $this->records, new Routing($this->operations, $this->batch));
    }

    private function editLine(LineEdit $edit): void
    {
        $after = $this->lines->make($edit);
        if (isset($edit->fields()[LineField::Operation->value]) && $after?->operation !== null) {
            $this->mustBeThere($after->operation);
        }
    }

    private function editOperation(OperationEdit $edit): void
    {
        $was = $this->operations[$edit->part()] ?? null;
        $after = $edit->apply($was);
        if ($after === null) {
            $this->refuseToTakeFromUnder($was->number ?? 0);
            unset($this->operations[$edit->part()]);

            return;
        }
        foreach ($this->operations as $key => $other) {
            if ($other->number === $after->number && $key !== $edit->part()) {
                throw Refusal::at('number', "Operation {$after->number} is there already: {$other->title}.");
            }
        }
        $this->operations[$edit->part()] = $after;
        if ($was !== null && $was->number !== $after->number) {
            foreach ($this->lines->structure() as $line) {
                if ($line->operation === $was->number) {
                    $this->lines->make(new ChangeLine($line->key, [LineField::Operation->value => (string) $after->number]));
                }
            }
        }
    }

    private function mustBeThere(int $number): void
    {
        foreach ($this->operations as $operation) {
            if ($operation->number === $number) {
                return;
            }
        }
        if ($this->operations !== []) {
            $numbers = array_map(
                static fn(Operation $one): string => (string) $one->number,
                array_values((new Routing($this->operations))->operations),
            );
            throw Refusal::at('operation', "There is no operation {$number}. There are " . implode(', ', $numbers) . '.');
        }
    }

    private function refuseToTakeFromUnder(int $number): void
    {
        $components = [];
        foreach ($this->lines->structure() as $line) {
            if ($line->operation === $number) {
                $components[] = $line->component;
            }
        }
        if ($components !== []) {
            throw Refusal::at(
                'operation',
                "Operation {$number} consumes " . implode(', ', $components) . ': move them to another operation first, or take them out.',
            );
        }
    }
}
