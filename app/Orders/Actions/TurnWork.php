<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\Events\EditRedone;
use App\Orders\Events\EditUndone;
use App\Orders\Models\EditRecord;
use App\Orders\Models\WorkRecord;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\Orders\Strokes\TurnStroke;
use App\Orders\Subjects\NamedWork;
use App\Orders\Subjects\SubjectEditors;
use App\Orders\WorkContents;
use App\People\Models\Person;
use Illuminate\Database\Query\Expression;
use Illuminate\Support\Collection;
use Orthotaxis\Core\Refusal;

/**
 * Takes back what was done last to a subject, or does it again: what was done at one stroke, a paste of fifty lines or a component
 * replaced in forty parents, as one. Nothing is deleted: an edit that is taken back stays on record.
 */
final readonly class TurnWork
{
    public function __construct(
        private SubjectEditors $editors,
        private WorkContents $works,
        private TurnStroke $strokes,
        private Ledger $ledger,
    ) {}

    /** @return list<string> numbers of the items that it was done to */
    public function undo(Person $by, NamedWork $named): array
    {
        return $this->ledger->together(function () use ($by, $named): array {
            $work = $this->editors->of($named->kind)->hold($by, $named, null);
            $last = $work->holding()->last() ?? throw Refusal::at('edits', 'There is nothing to undo.');
            if ($last->stroke !== null) {
                return $this->strokes->back($by, $named->order, $last->stroke);
            }
            $some = TurnStroke::together($work->holding(), $last);
            self::set($some, EditRecord::moment());
            event(new EditUndone($by->login, $named->order, (string) $work->subject(), $last->number, $this->inWords($work, $some)));

            return [$named->item];
        });
    }

    /** @return list<string> numbers of the items that it was done to */
    public function redo(Person $by, NamedWork $named): array
    {
        return $this->ledger->together(function () use ($by, $named): array {
            $work = $this->editors->of($named->kind)->hold($by, $named, null);
            $first = $work->undone()->first() ?? throw Refusal::at('edits', 'There is nothing to redo.');
            if ($first->stroke !== null) {
                return $this->strokes->again($by, $named->order, $first->stroke);
            }
            $some = TurnStroke::together($work->undone(), $first);
            self::set($some, null);
            event(new EditRedone($by->login, $named->order, (string) $work->subject(), $first->number, $this->inWords($work, $some)));

            return [$named->item];
        });
    }

    /** The whole of what was done at one stroke, by who edits the order or plans it. */
    public function undoStroke(Person $by, string $number, string $stroke): void
    {
        $this->ledger->together(function () use ($by, $number, $stroke): void {
            $order = HeldWork::openOrder($number);
            OrderPolicy::refusal(OrderAct::Plan, $by, $order) === null || OrderPolicy::check(OrderAct::Revise, $by, $order, 'editor');
            $this->strokes->back($by, $number, $stroke);
        });
    }

    /**
     * @param  Collection<int, EditRecord>  $some
     * @param  ?Expression<'clock_timestamp()'>  $withdrawn
     */
    private static function set(Collection $some, ?Expression $withdrawn): void
    {
        EditRecord::query()
            ->whereIn('id', $some->pluck('id'))
            ->update(['withdrawn_at' => $withdrawn]);
    }

    /** @param  Collection<int, EditRecord>  $some */
    private function inWords(WorkRecord $work, Collection $some): string
    {
        $first = $some->firstOrFail();

        return $this->works->edit($work, $first)->inWords() .
            ($some->count() === 1 ? '' : ", and {$some->count()} edits in all made together");
    }
}
