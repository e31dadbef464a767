<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\EditGuard;
use App\Orders\Models\WorkRecord;
use App\Orders\NewLines;
use App\Orders\Strokes\LineRefusals;
use App\Orders\Strokes\SubjectEdits;
use App\People\Models\Person;
use App\Structures\StructureReader;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Edit\Apply;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Edit\Edits;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\Structure;

/** The only door to a released structure: edits under an order that is open for revision, by the person named on it. */
final readonly class EditStructure
{
    public function __construct(private StructureReader $structures, private LineRefusals $refusals, private Ledger $ledger) {}

    /** @param  int  $seen  the number of the newest edit that was on screen */
    public function make(Person $by, string $number, string $itemNumber, LineEdit $edit, int $seen): void
    {
        $this->ledger->together(
            fn() => $this->write(HeldWork::forEditor($by, $number, $itemNumber), $by, [$edit], $seen, self::atField(...)),
        );
    }

    /**
     * Makes several edits, all of them or none: refused with the place of every edit that cannot be so, which is its place in
     * the list and its field.
     *
     * @param  list<LineEdit>  $edits  of lines by their keys; of new ones with an empty key
     * @param  int  $seen  the number of the newest edit that was on screen
     */
    public function makeSeveral(Person $by, string $number, string $itemNumber, array $edits, int $seen): void
    {
        $this->ledger->together(
            fn() => $this->write(
                HeldWork::forEditor($by, $number, $itemNumber),
                $by,
                $edits,
                $seen,
                static fn(int $at, string $field, string $reason): array => ["edits.{$at}.{$field}" => $reason],
            ),
        );
    }

    /** Lets a line go to another revision of its component. Whoever plans the order may decide that, not only who edits. */
    public function adopt(Person $by, string $number, string $itemNumber, string $line, string $revision): void
    {
        $this->ledger->together(function () use ($by, $number, $itemNumber, $line, $revision): void {
            $work = HeldWork::forPlanner($number, $itemNumber);
            $edit = new ChangeLine($line, [LineField::Revision->value => $revision]);
            $this->write($work, $by, [$edit], (int) $work->edits->max('number'), self::atField(...));
        });
    }

    /**
     * All of them or none, of work that is held.
     *
     * @param  list<LineEdit>  $edits
     *
     * @throws Refusal at the line and its field
     */
    public function keep(WorkRecord $work, Person $by, array $edits): void
    {
        $now = Apply::all($this->structures->ofContent($work->base_id), $work->lineEdits());
        $seen = (int) $work->edits->max('number');
        $this->write($work, $by, $edits, $seen, static function (int $at, string $field, string $reason) use ($edits, $now): array {
            $find = $edits[$at]->fields()[LineField::Find->value] ?? ($now->line($edits[$at]->part())->find ?? 0);

            return ["line {$find}, {$field}" => "Line {$find}, {$field}: {$reason}"];
        });
    }

    /**
     * All of them or none; each is judged by what the ones before it left.
     *
     * @param  list<LineEdit>  $edits
     * @param  \Closure(int, string, string): array<string, string>  $told  where and how a reason is told: which edit, its field, why
     */
    private function write(WorkRecord $work, Person $by, array $edits, int $seen, \Closure $told): void
    {
        if ($edits === []) {
            return;
        }
        $edits = NewLines::completed($edits);
        $unseen = EditGuard::unseen($work, $seen);
        $refused =
            $this->refusals->of(
                [new SubjectEdits($work, $edits)],
                static fn(LineEdit $edit, ?Line $was) => EditGuard::refuseWhatOthersChanged($edit, $unseen[$edit->part()] ?? [], $was),
            )[0] ?? [];
        $reasons = [];
        foreach ($refused as $at => $refusal) {
            foreach ($refusal->reasons as $field => $reason) {
                $reasons += $told($at, $field, $reason);
            }
        }
        if ($reasons !== []) {
            throw Refusal::because($reasons);
        }
        KeepEdits::of($work, $by, $edits);
    }

    /** @return array<string, string> */
    private static function atField(int $at, string $field, string $reason): array
    {
        return [$field => $reason];
    }

    /**
     * Makes the lines of an item what they are to be, all of it or nothing: one edit for each line that differs.
     *
     * @param  int  $seen  the number of the newest edit that the lines were written from
     * @return int how many edits it took
     */
    public function makeAll(Person $by, string $number, string $itemNumber, Structure $wanted, int $seen): int
    {
        return $this->ledger->together(function () use ($by, $number, $itemNumber, $wanted, $seen): int {
            $work = HeldWork::forEditor($by, $number, $itemNumber);
            $now = Apply::all($this->structures->ofContent($work->base_id), $work->lineEdits());
            $edits = Edits::between(Comparison::of($now, $wanted));
            $this->write($work, $by, $edits, $seen, static function (int $at, string $field, string $reason) use (
                $edits,
                $wanted,
                $now,
            ): array {
                $find = ($wanted->line($edits[$at]->part()) ?? $now->line($edits[$at]->part()))->find ?? 0;

                return ["line {$find}, {$field}" => "Line {$find}, {$field}: {$reason}"];
            });

            return count($edits);
        });
    }
}
