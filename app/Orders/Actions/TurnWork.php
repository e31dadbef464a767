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
        $some = self::together($work->holding(), $last);
        self::set($some, CarbonImmutable::now());
        event(
            new EditUndone($by->login, $work->row->order->number, (string) $work->subject(), $last->number, $this->inWords($work, $some)),
        );
    }

    private function again(Person $by, WorkRecord $work): void
    {
        $withdrawn = $work->edits->whereNotNull('withdrawn_at')->whereNull('discarded_at')->values();
        $first = $withdrawn->first() ?? throw Refusal::at('edits', 'There is nothing to redo.');
        $some = self::together($withdrawn, $first);
        self::set($some, null);
        event(
            new EditRedone($by->login, $work->row->order->number, (string) $work->subject(), $first->number, $this->inWords($work, $some)),
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
