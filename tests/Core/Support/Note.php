<?php

declare(strict_types=1);

namespace Tests\Core\Support;

use Orthotaxis\Core\Content\Edit;

/** Another sentence takes its place. */
final readonly class Note implements Edit
{
    public function __construct(private string $text) {}

    public function name(): string
    {
        return 'note';
    }

    public function version(): int
    {
        return 1;
    }

    public function part(): string
    {
        return 'text';
    }

    public function fields(): array
    {
        return ['text' => $this->text];
    }

    public function of(string $part): self
    {
        return $this;
    }

    public function without(array $fields): null
    {
        return null;
    }

    public function touches(): array
    {
        return ['text'];
    }

    public function conflictsWith(Edit $other): array
    {
        return array_values(array_intersect($this->touches(), $other->touches()));
    }

    public function inWords(): string
    {
        return "Reads {$this->text}";
    }
}
