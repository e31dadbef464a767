<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Engineering;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Comparison\HandedLine;
use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Edit\Apply;
use Orthotaxis\Core\Edit\Edits;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Structure\HasLines;
use Orthotaxis\Core\Structure\Structure;
use Orthotaxis\Core\Structure\StructureFaults;

/** What engineering declares of an item: the lines of its structure. */
final readonly class EngineeringContent implements Content, HasLines
{
    public function __construct(public Structure $structure = new Structure()) {}

    public function lines(): Structure
    {
        return $this->structure;
    }

    public function edited(iterable $edits): static
    {
        return new self(
            Apply::all(
                $this->structure,
                (static function () use ($edits): \Generator {
                    foreach ($edits as $edit) {
                        yield $edit instanceof LineEdit ? $edit : throw new \LogicException("{$edit->name()} is no edit of a line.");
                    }
                })(),
            ),
        );
    }

    public function faults(): array
    {
        return StructureFaults::of($this->structure);
    }

    public function since(Content $before): Comparison
    {
        return Comparison::of(
            $before instanceof self ? $before->structure : throw new \LogicException('Structures are compared with structures.'),
            $this->structure,
        );
    }

    public function editsTo(Content $wanted, ?array $parts = null): array
    {
        return Edits::between(
            $wanted instanceof self
                ? Comparison::ofChanges($this->structure, $wanted->structure, $parts)
                : throw new \LogicException('A structure becomes a structure.'),
        );
    }

    public function renamedIn(Content $newer): array
    {
        // A line has another name only where one of the same name is missing on either side.
        return $newer instanceof self &&
            array_diff_key($this->structure->lines, $newer->structure->lines) !== [] &&
            array_diff_key($newer->structure->lines, $this->structure->lines) !== []
            ? Edits::renamed($newer->since($this))
            : [];
    }

    public function called(string $part): string
    {
        return $this->structure->called($part);
    }

    public function says(string $part): array
    {
        return $this->structure->line($part)?->texts() ?? [];
    }

    public function on(Day $day): static
    {
        return new self($this->structure->on($day));
    }

    public function handedOver(Content $before): array
    {
        return array_map(HandedLine::of(...), $this->since($before)->differences);
    }

    /** A field of a line where it says something. */
    public function told(): array
    {
        $lines = [];
        foreach ($this->structure as $line) {
            $lines[] = array_filter($line->texts(), static fn(string $text): bool => $text !== '');
        }

        return $lines;
    }
}
