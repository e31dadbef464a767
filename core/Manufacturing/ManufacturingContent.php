<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Edit\Draft;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\Structure;
use Orthotaxis\Core\Structure\StructureFaults;

/** What a plant builds of an item: the lines of its structure, and what is on record about engineering lines it does not take over. */
final readonly class ManufacturingContent implements Content
{
    /** @var array<string, OnRecord> by engineering line */
    public array $records;

    /** @param  iterable<OnRecord>  $records */
    public function __construct(public Structure $structure = new Structure(), iterable $records = [])
    {
        $byLine = [];
        foreach ($records as $record) {
            $byLine[$record->line] = $record;
        }
        ksort($byLine, SORT_STRING);
        $this->records = $byLine;
    }

    public function edited(iterable $edits): static
    {
        $draft = new Draft($this->structure);
        $records = $this->records;
        foreach ($edits as $edit) {
            if ($edit instanceof LineEdit) {
                $draft->make($edit);
            } elseif ($edit instanceof RecordEdit) {
                $records[$edit->part()] = $edit->apply($records[$edit->part()] ?? null);
            } else {
                throw new \LogicException("{$edit->name()} is no edit of what a plant builds.");
            }
        }

        return new self($draft->structure(), array_filter($records));
    }

    public function faults(): array
    {
        return StructureFaults::of($this->structure);
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

        return new ManufacturingChanges(Comparison::of($was->structure, $this->structure), $records);
    }

    public function on(Day $day): static
    {
        return new self($this->structure->on($day), $this->records);
    }

    /** A field where it says something. */
    public function told(): array
    {
        $lines = $records = [];
        foreach ($this->structure as $line) {
            $fields = [];
            foreach (LineField::cases() as $field) {
                $fields[$field->value] = $line->text($field);
            }
            $lines[] = array_filter($fields, static fn(string $text): bool => $text !== '');
        }
        foreach ($this->records as $line => $record) {
            $records[$line] = array_filter([
                'by' => $record->by ?? '',
                'new' => $record->by === null ? '' : "{$record->new} " . ($record->unit->value ?? ''),
                'old' => $record->by === null ? '' : (string) $record->old,
                'reason' => $record->reason,
            ]);
        }

        return ['lines' => $lines, 'records' => $records];
    }
}
