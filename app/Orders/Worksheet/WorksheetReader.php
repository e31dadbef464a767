<?php

declare(strict_types=1);

namespace App\Orders\Worksheet;

use App\Orders\Models\ChangeOrder;
use App\Orders\OrderPolicy;
use App\Orders\Worksheet\Data\NamedComponent;
use App\Orders\Worksheet\Data\WorksheetPage;
use App\Orders\Worksheet\Data\WorksheetRow;
use App\Orders\Worksheet\Data\WorksheetSubject;
use App\People\Models\Person;
use Illuminate\Support\Facades\DB;

/** Puts the lines of subjects of an order into one table, each as it was and as it is to be, a part at a time. */
final readonly class WorksheetReader
{
    /** From the order to its edits by arrays, so that the way there does not depend on what the database believes to be many. */
    private const TURNS = <<<'SQL'
    WITH of AS MATERIALIZED (
        SELECT ARRAY(SELECT id FROM works WHERE order_item_id = ANY (ARRAY(SELECT id FROM change_order_items WHERE order_id = ?))) AS works
    )
    SELECT
        EXISTS (
            SELECT FROM edits e
            WHERE e.work_id = ANY (of.works) AND (e.author_id = ? OR ? AND e.task_id IS NULL) AND e.withdrawn_at IS NULL
        ) AS undo,
        EXISTS (
            SELECT FROM edits e
            WHERE e.work_id = ANY (of.works) AND (e.author_id = ? OR ? AND e.task_id IS NULL)
                AND e.withdrawn_at IS NOT NULL AND e.discarded_at IS NULL
        ) AS redo
    FROM of
    SQL;

    public function __construct(private SubjectsOfOrder $subjects) {}

    public function of(Person $by, ChangeOrder $order, WorksheetPart $part): WorksheetPage
    {
        $order->load(['items' => static fn($items) => $items->whereIntegerInRaw('id', $part->rows)]);
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
            $shown[] = new WorksheetSubject(
                item: $subject->named->item,
                work: $subject->named->work(),
                seen: $subject->seen(),
                moved_on: $subject->movedOn,
                may_edit: OrderPolicy::mayEdit($by, $order, $subject->named->edited()),
            );
        }
        $isEditor = $order->editor_id === $by->id;
        $turns = DB::selectOne(self::TURNS, [$order->id, $by->id, $isEditor, $by->id, $isEditor]);

        return new WorksheetPage(
            order: $order->number,
            order_title: $order->title,
            state: $order->state->value,
            is_open: $order->state->isAhead(),
            may_edit: OrderPolicy::mayEdit($by, $order),
            can_undo: $turns->undo,
            can_redo: $turns->redo,
            subjects: $shown,
            items: self::named(array_map(strval(...), array_keys($numbers))),
            rows: $rows,
            next: $part->next,
            items_in_all: $part->items,
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
