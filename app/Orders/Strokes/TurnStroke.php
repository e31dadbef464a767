<?php

declare(strict_types=1);

namespace App\Orders\Strokes;

use App\Orders\Actions\HeldWork;
use App\Orders\Events\StrokeRedone;
use App\Orders\Events\StrokeUndone;
use App\Orders\Models\EditRecord;
use App\Orders\Models\WorkRecord;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\People\Models\Person;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Collection as SupportCollection;
use Orthotaxis\Core\Refusal;

/** Takes back what was done to several subjects of an order at one stroke, at all of them or none, or does it again. The order is held. */
final readonly class TurnStroke
{
    /** @return list<string> numbers of the items that it was done to */
    public function back(Person $by, string $order, string $stroke): array
    {
        return $this->turn($by, $order, $stroke, true);
    }

    /** @return list<string> numbers of the items that it was done to */
    public function again(Person $by, string $order, string $stroke): array
    {
        return $this->turn($by, $order, $stroke, false);
    }

    /** @return list<string> */
    private function turn(Person $by, string $order, string $stroke, bool $back): array
    {
        $held = HeldWork::openOrder($order);
        $plans = OrderPolicy::refusal(OrderAct::Plan, $by, $held) === null;
        $ids = $items = [];
        $subjects = 0;
        foreach (self::works($order, $stroke) as $work) {
            $open = $back ? $work->holding() : $work->undone();
            $next = $back ? $open->last() : $open->first();
            if ($next?->stroke !== $stroke) {
                if ($back && !$open->contains('stroke', $stroke)) {
                    // Merging with what others released may have left nothing of it here.
                    continue;
                }
                throw Refusal::at(
                    'edits',
                    $back
                        ? "{$work->subject()} was edited after this was done to several at once: undo that first."
                        : "{$work->subject()} was edited since this was undone at several at once: do it anew.",
                );
            }
            $plans || HeldWork::mustEdit($by, $held, $work->subject());
            $subjects++;
            $items[$work->row->item->number] = true;
            array_push($ids, ...self::together($open, $next)->pluck('id')->all());
        }
        EditRecord::query()
            ->whereIntegerInRaw('id', $ids)
            ->update(['withdrawn_at' => $back ? EditRecord::moment() : null]);
        event(
            $back
                ? new StrokeUndone($by->login, $order, $stroke, subjects: $subjects, edits: count($ids))
                : new StrokeRedone($by->login, $order, $stroke, subjects: $subjects, edits: count($ids)),
        );

        return array_map(strval(...), array_keys($items));
    }

    /**
     * @param  SupportCollection<int, EditRecord>  $among
     * @return SupportCollection<int, EditRecord>
     */
    public static function together(SupportCollection $among, EditRecord $one): SupportCollection
    {
        return $one->act === null ? collect([$one]) : $among->where('act', $one->act);
    }

    /** @return Collection<int, WorkRecord> */
    private static function works(string $order, string $stroke): Collection
    {
        return WorkRecord::query()
            ->with(['edits', 'row.item'])
            ->whereHas('row.order', static fn(Builder $of): Builder => $of->where('number', $order))
            ->whereIn('id', EditRecord::query()->select('work_id')->where('stroke', $stroke))
            ->orderBy('id')
            ->get();
    }
}
