<?php

declare(strict_types=1);

namespace App\Orders\Sheet;

use App\Orders\Worksheet\SubjectLines;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;

/** The columns of the lines of an order as a sheet: see docs/formats.md. */
final readonly class SheetColumns
{
    public const PARENT = 'parent';

    /** "engineering", or "manufacturing:Weir". */
    public const STRUCTURE = 'structure';

    /** The identity of a line; empty in a row that is new. */
    public const LINE = 'line';

    /** Which sheet it is: what it is merged against. */
    public const SHEET = 'sheet';

    /** What a line takes over is said on its own page. */
    private const LEFT_OUT = [LineField::TakesOver];

    /** @return list<string> */
    public static function all(): array
    {
        return [self::PARENT, self::STRUCTURE, ...self::fields(), self::LINE, self::SHEET];
    }

    /** @return list<string> without these a file cannot be read */
    public static function needed(): array
    {
        return [
            self::PARENT,
            self::STRUCTURE,
            LineField::Find->value,
            LineField::Component->value,
            LineField::Quantity->value,
            LineField::Unit->value,
            self::LINE,
            self::SHEET,
        ];
    }

    /**
     * What a row says of its line. A column that the file does not have says nothing.
     *
     * @param  array<string, string>  $row  by column
     * @return array<value-of<LineField>, string>
     */
    public static function fieldsOf(array $row): array
    {
        return array_intersect_key($row, array_flip(self::fields()));
    }

    /** @return list<string> cells of a row */
    public static function row(string $parent, string $structure, Line $line, string $sheet): array
    {
        return [
            $parent,
            $structure,
            ...array_map(static fn(string $field): string => $line->text(LineField::from($field)), self::fields()),
            $line->key,
            $sheet,
        ];
    }

    /**
     * What columns may say, as far as that is one of a few.
     *
     * @param  non-empty-list<SubjectLines>  $subjects
     * @return non-empty-array<string, list<string>>
     */
    public static function lists(array $subjects): array
    {
        $of = static fn(\Closure $read): array => array_values(array_unique(array_map($read, $subjects)));
        $components = [];
        foreach ($subjects as $subject) {
            foreach ($subject->after as $line) {
                $components[$line->component] = true;
            }
        }
        ksort($components, SORT_STRING);

        return [
            self::PARENT => $of(static fn(SubjectLines $one): string => $one->named->item),
            self::STRUCTURE => $of(static fn(SubjectLines $one): string => $one->named->work()),
            LineField::Component->value => array_map(strval(...), array_keys($components)),
            LineField::Unit->value => array_column(Unit::cases(), 'value'),
            LineField::NotModelled->value => ['yes'],
            LineField::Phantom->value => ['yes'],
            LineField::ByProduct->value => ['yes'],
        ];
    }

    /** @return list<value-of<LineField>> */
    public static function fields(): array
    {
        return array_column(
            array_filter(LineField::cases(), static fn(LineField $field): bool => !in_array($field, self::LEFT_OUT, true)),
            'value',
        );
    }
}
