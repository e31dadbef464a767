<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Comparison\HandedLine;
use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Content\HandedPart;
use Orthotaxis\Core\Edit\Edits;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Routing\HandedOperation;
use Orthotaxis\Core\Routing\OperationField;
use Orthotaxis\Core\Routing\Routing;
use Orthotaxis\Core\Routing\RoutingComparison;
use Orthotaxis\Core\Routing\SetBatch;
use Orthotaxis\Core\Structure\HasLines;
use Orthotaxis\Core\Structure\Structure;
use Orthotaxis\Core\Structure\StructureFaults;

/**
 * What a plant builds of an item: the lines of its structure, the operations at which they are consumed, and what is on record about
 * engineering lines that it does not take over.
 *
 * A plant whose routing is kept elsewhere has no operations here; the lines then name operations of that other routing. Once it has
 * one, every line is at an operation that there is, or at none.
 */
final readonly class ManufacturingContent implements Content, HasLines
{
    /** @var array<string, OnRecord> by engineering line */
    public array $records;

    /** @param  iterable<OnRecord>  $records */
    public function __construct(
        public Structure $structure = new Structure(),
        iterable $records = [],
        public Routing $routing = new Routing(),
    ) {
        $byLine = [];
        foreach ($records as $record) {
            $byLine[$record->line] = $record;
        }
        ksort($byLine, SORT_STRING);
        $this->records = $byLine;
    }

    public function lines(): Structure
    {
        return $this->structure;
    }

    public function edited(iterable $edits): static
    {
        $draft = new ManufacturingDraft($this);
        foreach ($edits as $edit) {
            $draft->make($edit);
        }

        return $draft->content();
    }

    public function faults(): array
    {
        $faults = StructureFaults::of($this->structure);
        foreach (count($this->routing) === 0 ? [] : $this->structure as $line) {
            if ($line->operation !== null && $this->routing->numbered($line->operation) === null) {
                $faults[] = "find number {$line->find}: there is no operation {$line->operation}.";
            }
        }

        return $faults;
    }

    public function since(Content $before): ManufacturingChanges
    {
        $was = $before instanceof self ? $before : throw new \LogicException('What plants build is compared with what plants build.');
        $records = [];
        foreach ($this->records + $was->records as $line => $_) {
            if (($this->records[$line] ?? null) != ($was->records[$line] ?? null)) {
                $records[$line] = [$was->records[$line] ?? null, $this->records[$line] ?? null];
            }
        }

        return new ManufacturingChanges(
            Comparison::of($was->structure, $this->structure),
            $records,
            RoutingComparison::of($was->routing, $this->routing),
        );
    }

    public function editsTo(Content $wanted, ?array $parts = null): array
    {
        return BuildEdits::between(
            $this,
            $wanted instanceof self ? $wanted : throw new \LogicException('What is built becomes what is built.'),
        );
    }

    public function renamedIn(Content $newer): array
    {
        if (!($newer instanceof self)) {
            return [];
        }
        $names = Edits::renamed(Comparison::of($this->structure, $newer->structure));
        foreach (RoutingComparison::of($this->routing, $newer->routing)->operations as $one) {
            if ($one->before !== null && $one->after !== null && $one->before->key !== $one->after->key) {
                $names[$one->before->key] = $one->after->key;
            }
        }

        return $names;
    }

    public function called(string $part): string
    {
        $operation = $this->routing->operations[$part] ?? null;

        return match (true) {
            $operation !== null => "operation {$operation->number} {$operation->title}",
            $this->structure->line($part) === null => $part === SetBatch::PART ? 'the batch' : 'what is on record',
            default => $this->structure->called($part),
        };
    }

    public function says(string $part): array
    {
        $operation = $this->routing->operations[$part] ?? null;

        return match (true) {
            $operation !== null => $operation->texts(),
            $part === SetBatch::PART => [SetBatch::PART => (string) $this->routing->batch],
            isset($this->records[$part]) => PutOnRecord::saying($this->records[$part])->fields(),
            default => $this->structure->line($part)?->texts() ?? [],
        };
    }

    public function on(Day $day): static
    {
        return new self($this->structure->on($day), $this->records, $this->routing);
    }

    /** First how many are made at once, then operations, then lines; what is on record about engineering is not for planning. */
    public function handedOver(Content $before): array
    {
        $changes = $this->since($before);

        return [
            ...count($this->routing) === 0 ? [] : [new HandedPart(null, ['batch' => (string) $this->routing->batch])],
            ...array_map(HandedOperation::of(...), $changes->routing->operations),
            ...array_map(HandedLine::of(...), $changes->lines->differences),
        ];
    }

    /** A field where it says something. */
    public function told(): array
    {
        $lines = $records = [];
        foreach ($this->structure as $line) {
            $lines[] = array_filter($line->texts(), static fn(string $text): bool => $text !== '');
        }
        foreach ($this->records as $line => $record) {
            $records[$line] = array_filter([
                'by' => $record->by ?? '',
                'new' => $record->by === null ? '' : "{$record->new} " . ($record->unit->value ?? ''),
                'old' => $record->by === null ? '' : (string) $record->old,
                'reason' => $record->reason,
            ]);
        }

        return ['lines' => $lines, 'records' => $records] + $this->routingTold();
    }

    /** @return array<string, mixed> nothing where there is no routing, so that what was signed before there were any stays signed */
    private function routingTold(): array
    {
        $operations = [];
        foreach ($this->routing as $operation) {
            $fields = [];
            foreach (OperationField::cases() as $field) {
                $fields[$field->value] = $operation->text($field);
            }
            $operations[] = array_filter($fields, static fn(string $text): bool => $text !== '');
        }

        return $operations === [] && $this->routing->batch->equals(Quantity::one())
            ? []
            : ['operations' => $operations, 'batch' => (string) $this->routing->batch];
    }
}
