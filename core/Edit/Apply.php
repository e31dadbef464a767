<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\LineReader;
use Orthotaxis\Core\Structure\Structure;

/** Base plus edits gives after. Nothing of the base is changed. */
final readonly class Apply
{
    /**
     * @param  iterable<Edit>  $edits  in the order they were made
     *
     * @throws Refusal of the first edit that does not fit
     */
    public static function all(Structure $base, iterable $edits): Structure
    {
        $after = $base;
        foreach ($edits as $edit) {
            $after = self::one($after, $edit);
        }

        return $after;
    }

    /** @throws Refusal when the edit does not fit the structure */
    public static function one(Structure $structure, Edit $edit): Structure
    {
        $line = $structure->line($edit->line);
        if ($edit->operation === EditOperation::Add) {
            return $line === null
                ? $structure->with((new LineReader)->read($edit->line, $edit->fields))
                : throw Refusal::at('line', 'This line is in the structure already.');
        }
        if ($line === null) {
            throw Refusal::at('line', 'This line is no longer in the structure: it was removed under this order.');
        }

        return match ($edit->operation) {
            EditOperation::Remove => $structure->without($edit->line),
            EditOperation::Replace => $structure->with(self::replaced($line, $edit)),
            EditOperation::Change => $structure->with(self::changed($line, $edit)),
        };
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
