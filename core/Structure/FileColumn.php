<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Structure;

/** The columns of a structure as a table that people edit outside: see docs/formats.md. */
enum FileColumn: string
{
    case Parent = 'parent';
    case Find = 'find';
    case Component = 'component';
    case Quantity = 'quantity';
    case Unit = 'unit';
    case Designators = 'designators';
    case Notes = 'notes';
    case NotModelled = 'not_modelled';
    case Phantom = 'phantom';
    case FirstDay = 'first_day';
    case LastDay = 'last_day';
    case Revision = 'revision';
    case ParentRevision = 'parent_revision';
    case Line = 'line';

    /** @return list<self> without these a file cannot be read */
    public static function needed(): array
    {
        return [self::Parent, self::Find, self::Component, self::Quantity, self::Unit];
    }

    /** @return list<self> of a table that is about one parent, in its coming revision */
    public static function ofOneParent(): array
    {
        return array_values(array_filter(self::cases(), static fn(self $column): bool => $column !== self::ParentRevision));
    }

    /** The field of a line that it holds; null for what is not one. */
    public function field(): ?LineField
    {
        return match ($this) {
            self::Parent, self::ParentRevision, self::Line => null,
            self::Find => LineField::Find,
            self::Component => LineField::Component,
            self::Revision => LineField::Revision,
            self::Quantity => LineField::Quantity,
            self::Unit => LineField::Unit,
            self::Designators => LineField::Designators,
            self::Notes => LineField::Notes,
            self::NotModelled => LineField::NotModelled,
            self::Phantom => LineField::Phantom,
            self::FirstDay => LineField::FirstDay,
            self::LastDay => LineField::LastDay,
        };
    }

    /**
     * What a row says of its line, in the fields of a line. A column that the file does not have says nothing.
     *
     * @param  array<string, string>  $row  by column
     * @return array<value-of<LineField>, string>
     */
    public static function fieldsOf(array $row): array
    {
        $fields = [];
        foreach (self::cases() as $column) {
            $field = $column->field();
            if ($field !== null && isset($row[$column->value])) {
                $fields[$field->value] = $row[$column->value];
            }
        }

        return $fields;
    }
}
