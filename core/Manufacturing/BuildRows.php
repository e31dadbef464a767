<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Routing\Operation;
use Orthotaxis\Core\Routing\OperationField;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;

/** What a plant builds of an item as rows of a table: operations, then lines, then what is on record. BuildReader reads them again. */
final readonly class BuildRows
{
    /** @return list<array<string, string>> by column; what a row has nothing to say of is empty */
    public static function of(string $plant, string $parent, ManufacturingContent $content): array
    {
        $empty = array_fill_keys(array_column(BuildColumn::cases(), 'value'), '');
        $of = ['plant' => $plant, 'parent' => $parent];
        $rows = [];
        foreach ($content->routing as $operation) {
            $rows[] = [...$empty, ...$of, ...self::operation($operation), 'batch' => (string) $content->routing->batch];
        }
        foreach ($content->structure as $line) {
            $rows[] = [...$empty, ...$of, ...self::line($line)];
        }
        foreach ($content->records as $record) {
            $rows[] = [...$empty, ...$of, ...self::record($record)];
        }

        return $rows;
    }

    /** @return array<string, string> */
    private static function operation(Operation $operation): array
    {
        $says = ['record' => BuildRecord::Operation->value, 'key' => $operation->key];
        foreach (OperationField::cases() as $field) {
            $says[$field === OperationField::Number ? 'operation' : $field->value] = $operation->text($field);
        }

        return $says;
    }

    /** @return array<string, string> */
    private static function line(Line $line): array
    {
        $says = ['record' => BuildRecord::Line->value, 'key' => $line->key];
        foreach (LineField::cases() as $field) {
            $says[$field->value] = $line->text($field);
        }

        return $says;
    }

    /** @return array<string, string> */
    private static function record(OnRecord $record): array
    {
        $replaced =
            $record->by === null
                ? []
                : [
                    'component' => $record->by,
                    'quantity' => (string) $record->new,
                    'unit' => $record->unit->value ?? '',
                    'old_quantity' => (string) $record->old,
                ];

        return ['record' => BuildRecord::OnRecord->value, 'takes_over' => $record->line, 'notes' => $record->reason] + $replaced;
    }
}
