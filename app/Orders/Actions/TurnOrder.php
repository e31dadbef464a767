<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\Models\EditRecord;
use App\Orders\Models\OrderItem;
use App\Orders\Subjects\NamedWork;
use App\People\Models\Person;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Refusal;

/**
 * Takes back what was done last under an order, to whichever of its subjects, or does again what was taken back last: whoever edits the
 * order, of all that is under no task; others, of what they did themselves.
 */
final readonly class TurnOrder
{
    public function __construct(private TurnWork $turn, private Ledger $ledger) {}

    /** @return list<string> numbers of the items that it was done to */
    public function undo(Person $by, string $number): array
    {
        return $this->ledger->together(function () use ($by, $number): array {
            $last =
                self::edits($by, $number)->whereNull('withdrawn_at')->orderByDesc('id')->first() ??
                throw Refusal::at('edits', 'There is nothing to undo.');

            $named = self::named($number, $last);
            self::mustBeLast($last, $named);

            return $this->turn->undo($by, $named);
        });
    }

    /** @return list<string> numbers of the items that it was done to */
    public function redo(Person $by, string $number): array
    {
        return $this->ledger->together(function () use ($by, $number): array {
            $undone = self::edits($by, $number)->whereNotNull('withdrawn_at')->whereNull('discarded_at');
            $next = $undone->orderByDesc('withdrawn_at')->orderBy('id')->first() ?? throw Refusal::at('edits', 'There is nothing to redo.');

            return $this->turn->redo($by, self::named($number, $next));
        });
    }

    /** @throws Refusal when somebody else has edited the subject since */
    private static function mustBeLast(EditRecord $mine, NamedWork $named): void
    {
        $others = EditRecord::query()
            ->with('author')
            ->where('work_id', $mine->work_id)
            ->whereNull('withdrawn_at')
            ->where('number', '>', $mine->number)
            ->where('author_id', '!=', $mine->author_id)
            ->first();
        $others === null || throw Refusal::at('edits', "{$others->author->name} has edited {$named->subject()} after you.");
    }

    /** @return Builder<EditRecord> */
    private static function edits(Person $by, string $number): Builder
    {
        $isEditor = HeldWork::openOrder($number)->editor_id === $by->id;

        return EditRecord::query()
            ->where(
                static fn(Builder $any): Builder => $any
                    ->where('author_id', $by->id)
                    ->orWhere(static fn(Builder $own): Builder => $own->whereRaw('?', [$isEditor])->whereNull('task_id')),
            )
            ->whereHas('work.row.order', static fn(Builder $order): Builder => $order->where('number', $number));
    }

    private static function named(string $number, EditRecord $edit): NamedWork
    {
        $work = $edit->work;
        $row = OrderItem::query()->with('item')->findOrFail($work->order_item_id);

        return new NamedWork($number, $row->item->number, $work->kind, $work->plant);
    }
}
