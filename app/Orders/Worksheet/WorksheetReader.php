<?php

declare(strict_types=1);

namespace App\Orders\Worksheet;

use App\Orders\Models\ChangeOrder;
use App\Orders\Models\EditRecord;
use App\Orders\OrderPolicy;
use App\Orders\Worksheet\Data\NamedComponent;
use App\Orders\Worksheet\Data\WorksheetPage;
use App\Orders\Worksheet\Data\WorksheetRow;
use App\Orders\Worksheet\Data\WorksheetSubject;
use App\People\Models\Person;
use Illuminate\Support\Facades\DB;

/** Puts the lines of all subjects of an order into one table, each as it was and as it is to be. */
final readonly class WorksheetReader
{
    public function __construct(private SubjectsOfOrder $subjects) {}

    public function of(Person $by, ChangeOrder $order): WorksheetPage
    {
        $subjects = $this->subjects->of($order);
        $rows = $numbers = $shown = [];
        foreach ($subjects as $at => $subject) {
            $last = $subject->work?->holding()->keyBy('part') ?? collect();
            foreach ($subject->changes()->differences as $difference) {
                $line = $difference->after ?? $difference->before;
                $rows[] = WorksheetRow::of($at, $difference, $last[$line->key ?? ''] ?? null);
                $numbers[$line->component ?? ''] = $numbers[$difference->before->component ?? ''] = true;
            }
            $numbers[$subject->named->item] = true;
            $shown[] = new WorksheetSubject($subject->named->item, $subject->named->work(), $subject->seen(), $subject->movedOn);
        }
        $edits = EditRecord::query()->whereHas('work.row', static fn($row) => $row->where('order_id', $order->id));

        return new WorksheetPage(
            order: $order->number,
            order_title: $order->title,
            state: $order->state->value,
            is_open: $order->state->isAhead(),
            may_edit: OrderPolicy::mayEdit($by, $order),
            can_undo: $edits->clone()->whereNull('withdrawn_at')->exists(),
            can_redo: $edits->whereNotNull('withdrawn_at')->whereNull('discarded_at')->exists(),
            subjects: $shown,
            items: self::named(array_map(strval(...), array_keys($numbers))),
            rows: $rows,
        );
    }

    /**
     * @param  list<string>  $numbers  more of them than one question takes values
     * @return list<NamedComponent> by number
     */
    private static function named(array $numbers): array
    {
        return array_values(
            array_map(
                static fn(\stdClass $item): NamedComponent => new NamedComponent($item->number, $item->title, $item->unit),
                DB::select(
                    'SELECT number, title, unit FROM items WHERE number IN (SELECT jsonb_array_elements_text(?::jsonb)) ORDER BY number',
                    [json_encode($numbers, JSON_THROW_ON_ERROR)],
                ),
            ),
        );
    }
}
