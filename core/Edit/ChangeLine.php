<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;

/** Fields change; the component stays. */
final readonly class ChangeLine implements LineEdit
{
    use OfLine;

    public function operation(): EditOperation
    {
        return EditOperation::Change;
    }

    public function apply(?Line $line): Line
    {
        $line = self::present($line);
        if (isset($this->fields[LineField::Component->value])) {
            throw Refusal::at('component', 'Another component is a replacement, not a change of the line.');
        }
        $after = $line->with($this->fields);

        return $after->differsFrom($line) === [] ? throw Refusal::at('line', 'This changes nothing: the line reads so already.') : $after;
    }

    public function without(array $fields): ?self
    {
        $left = array_diff_key($this->fields, array_flip($fields));

        return $left === [] ? null : new self($this->line, $left);
    }

    public function inWords(): string
    {
        $said = [];
        foreach ($this->fields as $field => $text) {
            $said[] = LineField::from($field)->inWords() . ($text === '' ? ' emptied' : " {$text}");
        }

        return ucfirst(implode(', ', $said));
    }
}
