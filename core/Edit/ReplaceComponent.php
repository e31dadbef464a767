<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;

/** Another component takes its place; other fields may change with it. */
final readonly class ReplaceComponent implements LineEdit
{
    use OfLine;

    public function operation(): EditOperation
    {
        return EditOperation::Replace;
    }

    public function apply(?Line $line): Line
    {
        $line = self::present($line);
        // A revision that the line named was one of the old component.
        $after = $line->with($this->fields + [LineField::Revision->value => '']);

        return $after->component === $line->component
            ? throw Refusal::at('component', "Line {$line->find} has {$line->component} already. Name another component.")
            : $after;
    }

    public function inWords(): string
    {
        return 'Replaced by ' . ($this->fields[LineField::Component->value] ?? '');
    }
}
