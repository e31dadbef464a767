<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\Events\IterationKept;
use App\Orders\Events\WentBackToIteration;
use App\Orders\Models\EditRecord;
use App\Orders\Models\Iteration;
use App\Orders\Models\WorkRecord;
use App\Orders\Subjects\NamedWork;
use App\Orders\Subjects\SubjectEditors;
use App\Orders\WorkContents;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Refusal;

/** Keeps the work on a coming revision as it is now, so that one can come back to it. */
final readonly class KeepIteration
{
    public function __construct(private SubjectEditors $editors, private WorkContents $works, private Ledger $ledger) {}

    /** Refused when nothing was done since the last one. */
    public function keep(Person $by, NamedWork $named, string $note): void
    {
        $this->ledger->together(function () use ($by, $named, $note): void {
            $work = $this->editors->of($named->kind)->hold($by, $named, null);
            if (!self::isNew($work)) {
                throw Refusal::at('note', 'Nothing was changed since the last iteration.');
            }
            event(new IterationKept($by->login, $named->order, $named->subject(), self::of($work, $by, $note)->number, $note));
        });
    }

    /**
     * Goes back to how the subject was then. What was done since is not lost: each part that differs is one edit more, and all of them are
     * one step to undo.
     */
    public function goBack(Person $by, NamedWork $named, int $iteration, int $seen): void
    {
        $this->ledger->together(function () use ($by, $named, $iteration, $seen): void {
            $editor = $this->editors->of($named->kind);
            $work = $editor->hold($by, $named, $seen);
            $edits = $this->works->after($work)->editsTo($this->works->kept($work, $iteration));
            if ($edits === []) {
                throw Refusal::at('iteration', "It reads as iteration {$iteration} already.");
            }
            $editor->keep($work, $by, $edits);
            event(new WentBackToIteration($by->login, $named->order, $named->subject(), $iteration));
        });
    }

    /** Keeps the work as it is, when there was any since the last time. */
    public static function ifChanged(WorkRecord $work, Person $by, string $note): void
    {
        if (self::isNew($work)) {
            self::of($work, $by, $note);
        }
    }

    private static function isNew(WorkRecord $work): bool
    {
        $last = $work->iterations()->first();

        return $last === null || $last->edits !== self::held($work) || $last->base_id !== $work->base_id;
    }

    private static function of(WorkRecord $work, Person $by, string $note): Iteration
    {
        return $work->iterations()->create([
            'number' => (int) $work->iterations()->max('number') + 1,
            'note' => $note,
            'base_id' => $work->base_id,
            'edits' => self::held($work),
            'person_id' => $by->id,
            'saved_at' => CarbonImmutable::now(),
        ]);
    }

    /** @return list<int> the numbers of the edits that hold now */
    private static function held(WorkRecord $work): array
    {
        return $work->holding()->map(static fn(EditRecord $edit): int => $edit->number)->values()->all();
    }
}
