<?php

declare(strict_types=1);

namespace App\Structures\Actions;

use App\People\Models\Person;
use App\Structures\Models\ComparisonFile;
use App\Tables\SheetReader;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\FileColumn;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineReader;

/** Keeps the structures of a file so that they can be compared with ours. It is checked whole first. */
final readonly class BringComparisonFile
{
    private const MOST = 20_000;

    /** @throws Refusal naming each row that cannot be read */
    public function __invoke(Person $by, string $path, string $name): ComparisonFile
    {
        $lines = $faults = [];
        $count = 0;
        foreach (
            (new SheetReader(
                $path,
                array_column(FileColumn::cases(), 'value'),
                array_column(FileColumn::needed(), 'value'),
                self::MOST + 5_000,
            ))->rows()
            as $number => $row
        ) {
            if (++$count > self::MOST) {
                throw Refusal::at('file', 'More than ' . self::MOST . ' lines are too many to compare from a file.');
            }
            $fields = FileColumn::fieldsOf($row);
            try {
                (new LineReader())->read('', $fields);
            } catch (Refusal $refusal) {
                $faults["row {$number}"] = "Row {$number}: " . implode(' ', $refusal->reasons);
            }
            if ($row['parent'] === '') {
                $faults["row {$number}"] = "Row {$number}: name the parent.";
            }
            $revision = $row[FileColumn::ParentRevision->value] ?? '';
            $lines[$revision === '' ? $row['parent'] : Line::pinned($row['parent'], $revision)][] =
                $fields + (Str::isUuid($row['line'] ?? '') ? ['line' => $row['line']] : []);
        }
        if ($lines === []) {
            throw Refusal::at('file', 'The file has no lines.');
        }
        if ($faults !== []) {
            throw Refusal::at(
                'file',
                implode(' ', array_slice($faults, 0, 10)) . (count($faults) > 10 ? ' And ' . (count($faults) - 10) . ' more.' : ''),
            );
        }

        return ComparisonFile::query()->create([
            'name' => mb_substr($name, 0, 200),
            'lines' => $lines,
            'person_id' => $by->id,
            'brought_at' => CarbonImmutable::now(),
        ]);
    }
}
