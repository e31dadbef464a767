<?php

declare(strict_types=1);

namespace App\Dossier\Sheet;

use App\Orders\Models\ChangeOrder;
use App\Orders\NewLines;
use App\Orders\Sheet\Data\SheetChange;
use App\Orders\Sheet\SheetColumns;
use App\Orders\Strokes\HeldSubjects;
use App\Orders\Strokes\MakeStroke;
use App\Orders\Strokes\SubjectEdits;
use App\Orders\Subjects\NamedWork;
use App\Orders\WorkContents;
use App\People\Models\Person;
use Orthotaxis\Core\Edit\AddLine;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Edit\RemoveLine;
use Orthotaxis\Core\Edit\ReplaceComponent;
use Orthotaxis\Core\Engineering\EngineeringContent;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\HasLines;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\Structure;

/** Does to lines what the rows of a sheet say, in one act. A row names its line by find number, by component where that is not enough. */
final readonly class EditFromSheet
{
    public function __construct(private MakeStroke $strokes, private WorkContents $works) {}

    /**
     * @param  non-empty-array<string, non-empty-array<int, RowAct>>  $acts  by subject and row
     * @return list<SheetChange>
     *
     * @throws BadCells
     */
    public function of(Person $by, string $number, array $acts): array
    {
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();
        $subjects = [];
        foreach (array_keys($acts) as $key) {
            [$item, $work] = explode(' ', $key, 2);
            $subjects[$key] = NamedWork::of($number, $item, $work);
        }
        try {
            $works = HeldSubjects::of($by, $order, array_values($subjects), true);
        } catch (Refusal $refusal) {
            throw new BadCells(self::ofItems($refusal, $acts));
        }
        $contents = $this->works->afterAll(array_values($works));
        $all = $rows = $before = $faults = [];
        foreach ($acts as $key => $some) {
            $work = $works[$subjects[$key]->subject()];
            $content = $contents[$work->id];
            $before[$key] = $content instanceof HasLines ? $content->lines() : new Structure();
            if ($subjects[$key]->plant !== '' && $work->base_id === null) {
                $faults[array_key_first($some)][
                    SheetColumns::STRUCTURE
                ] = "{$subjects[$key]->plant} does not build {$subjects[$key]->item} yet: begin that on the dossier of the order.";

                continue;
            }
            $edits = $at = [];
            foreach ($some as $row => $asked) {
                try {
                    $edits[] = self::edit($before[$key], $asked);
                    $at[] = $row;
                } catch (Refusal $refusal) {
                    $faults[$row] = $refusal->reasons;
                }
            }
            if ($edits !== []) {
                $all[$key] = new SubjectEdits($work, NewLines::completed($edits));
                $rows[] = $at;
            }
        }
        if ($all !== []) {
            try {
                $this->strokes->of($by, $order, array_values($all), 'Order raised from a sheet', static function (
                    int $of,
                    int $edit,
                    string $field,
                    string $reason,
                ) use ($rows, &$faults): array {
                    $faults[$rows[$of][$edit]][$field] ??= $reason;

                    return ["row {$rows[$of][$edit]}, {$field}" => $reason];
                });
            } catch (Refusal $refusal) {
                $faults === [] && throw $refusal;
            }
        }
        $faults === [] || throw new BadCells($faults);

        return self::changes($all, $before);
    }

    /** @throws Refusal at the column that does not name a line */
    private static function edit(Structure $lines, RowAct $asked): LineEdit
    {
        $fields = $asked->fields;
        if ($asked->act === 'add') {
            return new AddLine('', $fields);
        }
        $line = self::named($lines, $fields);
        if ($asked->act === 'remove') {
            return new RemoveLine($line->key, []);
        }
        unset($fields[LineField::Find->value]);
        $isOther = ($fields[LineField::Component->value] ?? $line->component) !== $line->component;
        if (!$isOther) {
            unset($fields[LineField::Component->value]);
        }
        if ($fields === []) {
            throw Refusal::at(OrderSheetColumns::ACT, 'Nothing is said of what changes: fill in the cells that are to be otherwise.');
        }

        return $isOther ? new ReplaceComponent($line->key, $fields) : new ChangeLine($line->key, $fields);
    }

    /** @param  array<value-of<LineField>, string>  $fields */
    private static function named(Structure $lines, array $fields): Line
    {
        $find = $fields[LineField::Find->value] ?? '';
        $component = $fields[LineField::Component->value] ?? '';
        $there = array_values(
            array_filter(
                $lines->lines,
                static fn(Line $line): bool => $find === '' ? $line->component === $component : (string) $line->find === $find,
            ),
        );
        if (count($there) > 1) {
            $there = array_values(array_filter($there, static fn(Line $line): bool => $line->component === $component)) ?: $there;
        }

        return match (true) {
            $find === '' && $component === '' => throw Refusal::at('find', 'Name the line by its find number.'),
            $there === [] => throw Refusal::at($find === '' ? 'component' : 'find', 'No line has it.'),
            count($there) > 1 => throw Refusal::at(
                $find === '' ? 'find' : 'component',
                count($there) . ' lines have it: name the one by find number and component.',
            ),
            default => $there[0],
        };
    }

    /**
     * Why items cannot be edited, at the first row of each.
     *
     * @param  non-empty-array<string, non-empty-array<int, mixed>>  $acts
     * @return non-empty-array<int, array<string, string>>
     */
    private static function ofItems(Refusal $refusal, array $acts): array
    {
        $faults = [];
        foreach ($acts as $key => $rows) {
            $item = explode(' ', $key)[0];
            if (isset($refusal->reasons["items.{$item}"])) {
                $faults[array_key_first($rows)][SheetColumns::PARENT] = $refusal->reasons["items.{$item}"];
            }
        }

        return $faults === [] ? throw $refusal : $faults;
    }

    /**
     * @param  array<string, SubjectEdits>  $all
     * @param  array<string, Structure>  $before
     * @return list<SheetChange>
     */
    private static function changes(array $all, array $before): array
    {
        $changes = [];
        foreach ($all as $key => $one) {
            $was = new EngineeringContent($before[$key]);
            foreach ($was->edited($one->edits)->since($was)->changes() as $difference) {
                $changes[] = SheetChange::of($key, $difference);
            }
        }

        return $changes;
    }
}
