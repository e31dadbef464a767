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

/** Takes back what was done last under an order, to whichever of its subjects, or does again what was taken back last. */
final readonly class TurnOrder
{
    public function __construct(private TurnWork $turn, private Ledger $ledger) {}

    /** @return list<string> numbers of the items that it was done to */
    public function undo(Person $by, string $number): array
    {
        return $this->ledger->together(function () use ($by, $number): array {
            $last =
                self::edits($number)->whereNull('withdrawn_at')->orderByDesc('id')->first() ??
                throw Refusal::at('edits', 'There is nothing to undo.');

            return $this->turn->undo($by, self::named($number, $last));
        });
    }

    /** @return list<string> numbers of the items that it was done to */
    public function redo(Person $by, string $number): array
    {
        return $this->ledger->together(function () use ($by, $number): array {
            $undone = self::edits($number)->whereNotNull('withdrawn_at')->whereNull('discarded_at');
            $next = $undone->orderByDesc('withdrawn_at')->orderBy('id')->first() ?? throw Refusal::at('edits', 'There is nothing to redo.');

            return $this->turn->redo($by, self::named($number, $next));
        });
    }

    /** @return Builder<EditRecord> */
    private static function edits(string $number): Builder
    {
        HeldWork::openOrder($number);

        return EditRecord::query()->whereHas('work.row.order', static fn(Builder $order): Builder => $order->where('number', $number));
    }

    private static function named(string $number, EditRecord $edit): NamedWork
    {
        $work = $edit->work;
        $row = OrderItem::query()->with('item')->findOrFail($work->order_item_id);

        return new NamedWork($number, $row->item->number, $work->kind, $work->plant);
    }
}
