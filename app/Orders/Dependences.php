<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Data\Dependence;
use App\Orders\Data\DependencePage;
use App\Orders\Models\ChangeOrder;
use App\Tables\Quoted;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\OrderOfRelease;
use Orthotaxis\Core\Change\OrderState;

/** How open orders depend on each other: one uses what another releases for the first time, or both edit the same line. */
final readonly class Dependences
{
    /** A line of an open order names an item, or a revision of one, that nobody has released yet, and another open order will. */
    private const NEEDS = "
        SELECT DISTINCT o.number AS needs, other.number AS needed, i.number AS item
        FROM edits e JOIN works w ON w.id = e.work_id JOIN change_order_items oi ON oi.id = w.order_item_id JOIN change_orders o ON o.id = oi.order_id
        JOIN items i ON i.number = e.fields ->> 'component'
        JOIN change_order_items released ON released.item_id = i.id AND released.outcome = 'revise' AND released.order_id <> o.id
        JOIN change_orders other ON other.id = released.order_id AND other.state IN {open}
        WHERE e.withdrawn_at IS NULL AND o.state IN {open}
            AND NOT EXISTS (SELECT 1 FROM change_order_items own WHERE own.order_id = o.id AND own.item_id = i.id AND own.outcome = 'revise')
            AND NOT EXISTS (
                SELECT 1 FROM revisions r WHERE r.item_id = i.id AND r.status NOT IN ('in_work', 'in_review')
                    AND (coalesce(e.fields ->> 'revision', '') = '' OR r.code = e.fields ->> 'revision'))
        ORDER BY 1, 2, 3";

    private const SAME_LINES = "
        SELECT DISTINCT other.number AS order, other.title, other.state, i.number AS item, w.kind, w.plant, l.find, c.number AS component, p.name AS by
        FROM change_order_items oi JOIN works w ON w.order_item_id = oi.id JOIN edits e ON e.work_id = w.id AND e.withdrawn_at IS NULL
        JOIN items i ON i.id = oi.item_id
        JOIN change_order_items theirs ON theirs.item_id = oi.item_id AND theirs.order_id <> oi.order_id
        JOIN change_orders other ON other.id = theirs.order_id AND other.state IN {open}
        JOIN works v ON v.order_item_id = theirs.id AND v.kind = w.kind AND v.plant = w.plant
        JOIN edits f ON f.work_id = v.id AND f.withdrawn_at IS NULL AND f.part = e.part
        JOIN people p ON p.id = f.author_id
        LEFT JOIN structure_lines l ON l.content_id = w.base_id AND l.line_key::text = e.part LEFT JOIN items c ON c.id = l.component_id
        WHERE oi.order_id = ? AND w.kind IN ('engineering', 'manufacturing')
        ORDER BY 1, 4, 5, 6, 7";

    public function of(ChangeOrder $order): DependencePage
    {
        if (!$order->state->isOpen()) {
            return new DependencePage([], [], [], [], []);
        }
        $open = ['{open}' => Quoted::cases(OrderState::open())];
        $needs = $items = [];
        foreach (DB::select(strtr(self::NEEDS, $open)) as $row) {
            $needs[$row->needs][] = $row->needed;
            $items[$row->needs][$row->needed][] = $row->item;
        }
        $sequence = OrderOfRelease::of(
            $order->number,
            array_map(static fn(array $some): array => array_values(array_unique($some)), $needs),
        );
        $neededBy = array_filter(array_map(static fn(array $of): ?array => $of[$order->number] ?? null, $items));
        $titles = ChangeOrder::query()
            ->whereIn('number', [...array_keys($items[$order->number] ?? []), ...array_keys($neededBy)])
            ->get(['number', 'title', 'state'])
            ->keyBy('number');
        $told = static fn(array $of): array => array_values(
            array_map(
                static fn(array $some, string $number): Dependence => new Dependence(
                    $number,
                    $titles[$number]->title ?? '',
                    $titles[$number]->state->value ?? '',
                    array_values(array_unique($some)),
                ),
                $of,
                array_map(strval(...), array_keys($of)),
            ),
        );

        return new DependencePage(
            needs: $told($items[$order->number] ?? []),
            needed_by: $told($neededBy),
            before: $sequence->before,
            circle: $sequence->circle,
            same_lines: self::sameLines($order, $open),
        );
    }

    /**
     * @param  array<string, string>  $open
     * @return list<Dependence> other orders, each with the lines that both edit, and who does there
     */
    private static function sameLines(ChangeOrder $order, array $open): array
    {
        $lines = [];
        foreach (DB::select(strtr(self::SAME_LINES, $open), [$order->id]) as $row) {
            $lines[$row->order] ??= [$row->title, $row->state, []];
            $lines[$row->order][2][] = trim(
                $row->item .
                    ($row->plant === '' ? '' : " at {$row->plant}") .
                    ($row->find === null ? '' : ", find {$row->find} {$row->component}") .
                    ", by {$row->by}",
            );
        }

        return array_map(
            static fn(string $number, array $one): Dependence => new Dependence(
                $number,
                $one[0],
                $one[1],
                array_values(array_unique($one[2])),
            ),
            array_map(strval(...), array_keys($lines)),
            array_values($lines),
        );
    }
}
