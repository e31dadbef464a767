<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\LineReader;

/** A new line. */
final readonly class AddLine implements LineEdit
{
    use OfLine;

    public function operation(): EditOperation
    {
        return EditOperation::Add;
    }

    public function apply(?Line $line): Line
    {
        return $line === null
            ? (new LineReader())->read($this->line, $this->fields)
            : throw Refusal::at('line', 'This line is in the structure already.');
    }

    public function inWords(): string
    {
        return 'New line ' . trim(($this->fields[LineField::Find->value] ?? '') . ' ' . ($this->fields[LineField::Component->value] ?? ''));
    }
}
