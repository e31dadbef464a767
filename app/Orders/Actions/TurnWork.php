<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\Events\EditRedone;
use App\Orders\Events\EditUndone;
use App\Orders\Models\EditRecord;
use App\Orders\Models\WorkRecord;
use App\Orders\Subjects\NamedWork;
use App\Orders\Subjects\SubjectEditors;
use App\Orders\WorkContents;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Orthotaxis\Core\Refusal;

/**
 * Takes back what was done last to a subject, or does it again: what was done at one stroke, a paste of fifty lines or all that follows
 * from engineering, as one. Nothing is deleted: an edit that is taken back stays on record.
 */
final readonly class TurnWork
{
    public function __construct(private SubjectEditors $editors, private WorkContents $works, private Ledger $ledger) {}

    public function undo(Person $by, NamedWork $named): void
    {
        $this->ledger->together(fn() => $this->back($by, $this->editors->of($named->kind)->hold($by, $named, null)));
    }

    public function redo(Person $by, NamedWork $named): void
    {
        $this->ledger->together(fn() => $this->again($by, $this->editors->of($named->kind)->hold($by, $named, null)));
    }

    private function back(Person $by, WorkRecord $work): void
    {
        $last = $work->holding()->last() ?? throw Refusal::at('edits', 'There is nothing to undo.');
        $now = CarbonImmutable::now();
        foreach ([$work, ...self::others($work, $last)] as $one) {
            $holding = $one->holding();
            $newest = $one === $work ? $last : $holding->last();
            if ($one !== $work && !$holding->contains('stroke', $last->stroke)) {
                continue;
            }
            if ($newest === null || $newest->stroke !== $last->stroke) {
                throw Refusal::at('edits', "{$one->subject()} was edited after this was done to both: undo that first.");
            }
            $some = self::together($holding, $newest);
            self::set($some, $now);
            event(
                new EditUndone(
                    $by->login,
                    $work->row->order->number,
                    (string) $one->subject(),
                    $newest->number,
                    $this->inWords($one, $some),
                ),
            );
        }
    }

    private function again(Person $by, WorkRecord $work): void
    {
        $withdrawn = self::withdrawn($work);
        $first = $withdrawn->first() ?? throw Refusal::at('edits', 'There is nothing to redo.');
        foreach ([$work, ...self::others($work, $first)] as $one) {
            $next = self::withdrawn($one)->first();
            if ($next === null || $next->stroke !== $first->stroke) {
                throw Refusal::at('edits', "{$one->subject()} was edited since this was undone at both: do it anew.");
            }
            $some = self::together(self::withdrawn($one), $next);
            self::set($some, null);
            event(
                new EditRedone($by->login, $work->row->order->number, (string) $one->subject(), $next->number, $this->inWords($one, $some)),
            );
        }
    }

    /** @return Collection<int, EditRecord> what was undone and can be done again */
    private static function withdrawn(WorkRecord $work): Collection
    {
        return $work->edits->whereNotNull('withdrawn_at')->whereNull('discarded_at')->values();
    }

    /** @return list<WorkRecord> other subjects to which it was done at the same stroke; the order is held, and they with it */
    private static function others(WorkRecord $work, EditRecord $edit): array
    {
        return $edit->stroke === null
            ? []
            : array_values(
                WorkRecord::query()
                    ->with(['edits', 'row.item'])
                    ->whereKeyNot($work->id)
                    ->whereHas('edits', static fn($edits) => $edits->where('stroke', $edit->stroke))
                    ->orderBy('id')
                    ->get()
                    ->all(),
            );
    }

    /**
     * @param  Collection<int, EditRecord>  $among
     * @return Collection<int, EditRecord>
     */
    private static function together(Collection $among, EditRecord $one): Collection
    {
        return $one->act === null ? collect([$one]) : $among->where('act', $one->act);
    }

    /** @param  Collection<int, EditRecord>  $some  set in one statement, and as they are held here */
    private static function set(Collection $some, ?CarbonImmutable $withdrawn): void
    {
        EditRecord::query()
            ->whereIn('id', $some->pluck('id'))
            ->update(['withdrawn_at' => $withdrawn]);
        $some->each(static fn(EditRecord $edit) => $edit->forceFill(['withdrawn_at' => $withdrawn])->syncOriginal());
    }

    /** @param  Collection<int, EditRecord>  $some */
    private function inWords(WorkRecord $work, Collection $some): string
    {
        $first = $some->firstOrFail();

        return $this->works->edit($work, $first)->inWords() .
            ($some->count() === 1 ? '' : ", and {$some->count()} edits in all made together");
    }
}
