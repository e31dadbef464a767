<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Comparison\DifferenceKind;
use Orthotaxis\Core\Structure\LineField;

/** What would have to be done to one structure so that it reads like another. */
final readonly class Edits
{
    /**
     * The edits that make the left side of a comparison read like the right. A line that stayed keeps its identity; one that
     * came has the identity it has on the right.
     *
     * @return list<LineEdit>
     */
    public static function between(Comparison $comparison): array
    {
        $edits = [];
        foreach ($comparison->changes() as $difference) {
            $before = $difference->before;
            $after = $difference->after;
            if ($after === null) {
                $edits[] = new RemoveLine($before->key ?? '');

                continue;
            }
            $replaced = $difference->kind === DifferenceKind::Replaced;
            // A replacement that names no revision drops the one of the old component, also where both have the same letter.
            $named =
                $before === null ? LineField::cases() : ($replaced ? [...$difference->fields, LineField::Revision] : $difference->fields);
            $fields = [];
            foreach ($named as $field) {
                $fields[$field->value] = $after->text($field);
            }
            $edits[] = match (true) {
                $before === null => new AddLine($after->key, $fields),
                $replaced => new ReplaceComponent($before->key, $fields),
                default => new ChangeLine($before->key, $fields),
            };
        }

        return $edits;
    }

    /** @return array<string, string> lines that the right side calls otherwise: key there, by key on the left */
    public static function renamed(Comparison $comparison): array
    {
        $names = [];
        foreach ($comparison->differences as $difference) {
            if ($difference->before !== null && $difference->after !== null && $difference->before->key !== $difference->after->key) {
                $names[$difference->before->key] = $difference->after->key;
            }
        }

        return $names;
    }
}
