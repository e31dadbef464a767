<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\LineReader;
use Orthotaxis\Core\Structure\Structure;

/** A structure while edits are made to it, one after another. Its lines are put in order once, when it is done. */
final class Draft
{
    /** @var array<string, Line> by key */
    private array $lines;

    public function __construct(Structure $base)
    {
        $this->lines = $base->lines;
    }

    public function line(string $key): ?Line
    {
        return $this->lines[$key] ?? null;
    }

    /**
     * @return ?Line as it reads afterwards; null when it was removed
     *
     * @throws Refusal when the edit does not fit; nothing is changed then
     */
    public function make(Edit $edit): ?Line
    {
        $line = $this->line($edit->line);
        if ($edit->operation === EditOperation::Add) {
            return $this->lines[$edit->line] =
                $line === null
                    ? (new LineReader())->read($edit->line, $edit->fields)
                    : throw Refusal::at('line', 'This line is in the structure already.');
        }
        if ($line === null) {
            throw Refusal::at('line', 'This line is no longer in the structure: it was removed under this order.');
        }
        if ($edit->operation === EditOperation::Remove) {
            unset($this->lines[$edit->line]);

            return null;
        }

        return $this->lines[$edit->line] =
            $edit->operation === EditOperation::Replace ? self::replaced($line, $edit) : self::changed($line, $edit);
    }

    public function structure(): Structure
    {
        return new Structure($this->lines);
    }

    private static function replaced(Line $line, Edit $edit): Line
    {
        // A revision that the line named was one of the old component.
        $after = $line->with($edit->fields + [LineField::Revision->value => '']);

        return $after->component === $line->component
            ? throw Refusal::at('component', "Line {$line->find} has {$line->component} already. Name another component.")
            : $after;
    }

    private static function changed(Line $line, Edit $edit): Line
    {
        if (isset($edit->fields[LineField::Component->value])) {
            throw Refusal::at('component', 'Another component is a replacement, not a change of the line.');
        }
        $after = $line->with($edit->fields);
        foreach (LineField::cases() as $field) {
            if ($after->text($field) !== $line->text($field)) {
                return $after;
            }
        }

        throw Refusal::at('line', 'This changes nothing: the line reads so already.');
    }
}
