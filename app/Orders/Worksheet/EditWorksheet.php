<?php

declare(strict_types=1);

namespace App\Orders\Worksheet;

use App\Http\Stale;
use App\Ledger\Ledger;
use App\Orders\Actions\HeldWork;
use App\Orders\Models\EditRecord;
use App\Orders\Models\WorkRecord;
use App\Orders\NewLines;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\Orders\Strokes\HeldSubjects;
use App\Orders\Strokes\MakeStroke;
use App\Orders\Strokes\SubjectEdits;
use App\Orders\Subjects\NamedWork;
use App\Orders\WorkContents;
use App\People\Models\Person;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Refusal;

/** Edits lines of many subjects of an order in one act: all of it or nothing, and one undo. */
final readonly class EditWorksheet
{
    public function __construct(private MakeStroke $strokes, private WorkContents $works, private Ledger $ledger) {}

    /**
     * @param  non-empty-list<array{subject: NamedWork, edit: LineEdit}>  $edits  of new lines with an empty key
     * @param  array<string, int>  $seen  the number of the newest edit that was on screen, by subject
     * @return string the stroke
     *
     * @throws Stale when somebody has changed one of the lines meanwhile, in the same place
     * @throws Refusal with every edit that cannot be so: nothing is done then
     */
    public function make(Person $by, string $number, array $edits, array $seen): string
    {
        return $this->ledger->together(function () use ($by, $number, $edits, $seen): string {
            $order = HeldWork::openOrder($number);
            OrderPolicy::check(OrderAct::Revise, $by, $order, 'editor');
            $completed = NewLines::completed(array_map(static fn(array $one): LineEdit => $one['edit'], $edits));
            $subjects = $places = $ofSubject = [];
            foreach ($edits as $at => ['subject' => $named]) {
                $subjects[$named->subject()] = $named;
                $places[$named->subject()][] = $at;
                $ofSubject[$named->subject()][] = $completed[$at];
            }
            $works = HeldSubjects::of($by, $order, array_values($subjects), false);
            $all = [];
            foreach ($ofSubject as $subject => $some) {
                $this->refuseWhatOthersChanged($works[$subject], $some, $seen[$subject] ?? 0);
                $all[] = new SubjectEdits($works[$subject], $some);
            }
            $names = array_keys($ofSubject);

            return $this->strokes->of(
                $by,
                $order,
                $all,
                self::inWords($completed),
                static fn(int $of, int $edit, string $field, string $reason): array => [
                    "edits.{$places[$names[$of]][$edit]}.{$field}" => $reason,
                ],
            );
        });
    }

    /**
     * @param  list<LineEdit>  $edits
     *
     * @throws Stale
     */
    private function refuseWhatOthersChanged(WorkRecord $work, array $edits, int $seen): void
    {
        $unseen = $work->holding()->filter(static fn(EditRecord $one): bool => $one->number > $seen)->groupBy('part');
        foreach ($edits as $edit) {
            foreach ($unseen[$edit->part()] ?? [] as $other) {
                if ($edit->conflictsWith($this->works->edit($work, $other)) !== []) {
                    throw new Stale(
                        "{$other->author->name} changed a line of {$work->subject()} meanwhile. Nothing was saved; look at it again.",
                    );
                }
            }
        }
    }

    /** @param  non-empty-list<LineEdit>  $edits */
    private static function inWords(array $edits): string
    {
        return count($edits) === 1 ? $edits[0]->inWords() : sprintf('%d lines edited together', count($edits));
    }
}
