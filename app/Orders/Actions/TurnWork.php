<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Orders\Events\EditRedone;
use App\Orders\Events\EditUndone;
use App\Orders\Models\WorkRecord;
use App\Orders\WorkContents;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Refusal;

/** Takes the last edit of a subject back, or makes it again. Nothing is deleted: an edit that is taken back stays on record. */
final readonly class TurnWork
{
    public function __construct(private WorkContents $works) {}

    /** @param  WorkRecord  $work  held, with its edits */
    public function undo(Person $by, WorkRecord $work): void
    {
        $last = $work->holding()->last() ?? throw Refusal::at('edits', 'There is nothing to undo.');
        $last->update(['withdrawn_at' => CarbonImmutable::now()]);
        event(
            new EditUndone(
                $by->login,
                $work->row->order->number,
                (string) $work->subject(),
                $last->number,
                $this->works->edit($work, $last)->inWords(),
            ),
        );
    }

    /** @param  WorkRecord  $work  held, with its edits */
    public function redo(Person $by, WorkRecord $work): void
    {
        $first =
            $work->edits->whereNotNull('withdrawn_at')->whereNull('discarded_at')->first() ??
            throw Refusal::at('edits', 'There is nothing to redo.');
        $first->update(['withdrawn_at' => null]);
        event(
            new EditRedone(
                $by->login,
                $work->row->order->number,
                (string) $work->subject(),
                $first->number,
                $this->works->edit($work, $first)->inWords(),
            ),
        );
    }
}
