<?php

declare(strict_types=1);

namespace Tests\Core\Support;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Content\Changes;
use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Content\HandedPart;
use Orthotaxis\Core\Content\PartAction;

/** The smallest content there is: a sentence. */
final readonly class Noted implements Changes, Content
{
    public function __construct(public string $text, private int $differs = 0) {}

    public function edited(iterable $edits): static
    {
        $text = $this->text;
        foreach ($edits as $edit) {
            $text = $edit->fields()['text'] ?? $text;
        }

        return new self($text);
    }

    public function faults(): array
    {
        return $this->text === '' ? ['It says nothing.'] : [];
    }

    public function since(Content $before): Changes
    {
        return new self($this->text, $before instanceof self && $before->text === $this->text ? 0 : 1);
    }

    public function editsTo(Content $wanted, ?array $parts = null): array
    {
        return $wanted instanceof self && $wanted->text !== $this->text ? [new Note($wanted->text)] : [];
    }

    public function renamedIn(Content $newer): array
    {
        return [];
    }

    public function called(string $part): string
    {
        return 'the sentence';
    }

    public function says(string $part): array
    {
        return ['text' => $this->text];
    }

    public function parts(): array
    {
        return $this->differs === 0 ? [] : [['text', 'text']];
    }

    public function on(Day $day): static
    {
        return $this;
    }

    public function handedOver(Content $before): array
    {
        return [new HandedPart(PartAction::Change, ['notes' => $this->text])];
    }

    public function told(): array
    {
        return [$this->text];
    }

    public function count(): int
    {
        return $this->differs;
    }
}
