<?php

declare(strict_types=1);

namespace App\Dossier\Proposals;

use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Orders\Models\WorkRecord;
use App\Orders\Subjects\NamedWork;
use App\Requests\Models\ChangeRequest;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\Outcome;

/**
 * What a request proposes, as edits of an order like any other. They start from the revision from which they were made: what was
 * released since is brought in where everything else is, with the conflicts side by side. The proposal stays as the board saw it.
 */
final readonly class ProposedEdits
{
    /** What the proposal names and edits, and the order does not name, or would leave as it is. */
    private const NAMED = <<<'SQL'
    INSERT INTO change_order_items (order_id, item_id, outcome, disposition)
    SELECT :order, p.item_id, p.outcome, p.disposition FROM change_order_items p
    WHERE p.order_id = :proposal AND EXISTS (SELECT FROM works w JOIN edits e ON e.work_id = w.id AND e.withdrawn_at IS NULL
        WHERE w.order_item_id = p.id)
    ORDER BY p.id
    ON CONFLICT (order_id, item_id) DO UPDATE
        SET outcome = CASE WHEN change_order_items.outcome = 'revise' THEN 'revise' ELSE excluded.outcome END
    SQL;

    /** The subjects that it edits; free: nothing has been edited of them under the order. */
    private const SUBJECTS = <<<'SQL'
    SELECT w.id AS proposed, n.id AS row, i.number, w.kind, w.plant, w.base_id, NOT EXISTS (
        SELECT FROM works t JOIN edits e ON e.work_id = t.id WHERE t.order_item_id = n.id AND (t.kind, t.plant) = (w.kind, w.plant)
    ) AS free
    FROM change_order_items p JOIN works w ON w.order_item_id = p.id JOIN items i ON i.id = p.item_id
    JOIN change_order_items n ON n.order_id = :order AND n.item_id = p.item_id
    WHERE p.order_id = :proposal AND EXISTS (SELECT FROM edits e WHERE e.work_id = w.id AND e.withdrawn_at IS NULL)
    ORDER BY p.id, w.id
    SQL;

    private const WORKS = <<<'SQL'
    INSERT INTO works (order_item_id, kind, plant, base_id)
    SELECT n.id, w.kind, w.plant, w.base_id FROM works w
    JOIN change_order_items p ON p.id = w.order_item_id JOIN change_order_items n ON n.order_id = :order AND n.item_id = p.item_id
    WHERE w.id = ANY (:proposed::bigint[])
    ON CONFLICT (order_item_id, kind, plant) DO UPDATE SET base_id = excluded.base_id
    SQL;

    /** One act stays one act, but another than that of the proposal: undone here, it stays there. */
    private const EDITS = <<<'SQL'
    INSERT INTO edits (work_id, number, operation, part, fields, author_id, made_at, version, act, stroke)
    SELECT t.id, e.number, e.operation, e.part, e.fields, e.author_id, e.made_at, e.version, e.act,
        md5(e.stroke::text || :order::text)::uuid
    FROM edits e JOIN works w ON w.id = e.work_id JOIN change_order_items p ON p.id = w.order_item_id
    JOIN change_order_items n ON n.order_id = :order AND n.item_id = p.item_id
    JOIN works t ON t.order_item_id = n.id AND (t.kind, t.plant) = (w.kind, w.plant)
    WHERE w.id = ANY (:proposed::bigint[]) AND e.withdrawn_at IS NULL
    ORDER BY e.id
    SQL;

    /**
     * What is edited already, by what another request proposes, stays; the order remembers what was left out so, to be carried over by
     * hand, line by line.
     *
     * @param  ChangeOrder  $order  held
     * @param  ChangeRequest  $request  held, and on the order
     */
    public static function into(ChangeOrder $order, ChangeRequest $request): void
    {
        $proposal = ChangeOrder::proposedBy($request);
        if ($proposal === null) {
            return;
        }
        $both = ['order' => $order->id, 'proposal' => $proposal->id];
        DB::insert(self::NAMED, $both);
        $free = $left = [];
        /** @var \stdClass $subject */
        foreach (DB::select(self::SUBJECTS, $both) as $subject) {
            if ($subject->free) {
                $free[] = $subject->proposed;
            } else {
                $left[] = (new NamedWork($order->number, $subject->number, $subject->kind, $subject->plant))->key();
            }
        }
        $what = ['order' => $order->id, 'proposed' => '{' . implode(',', $free) . '}'];
        DB::insert(self::WORKS, $what);
        DB::insert(self::EDITS, $what);
        $order->requests()->updateExistingPivot($request->id, ['left_out' => $left]);
    }

    /**
     * A request has left the order, which is being planned: what it holds are the proposals of those that stay, nothing else.
     *
     * @param  ChangeOrder  $order  held
     */
    public static function again(ChangeOrder $order): void
    {
        WorkRecord::query()->whereHas('row', static fn(Builder $row): Builder => $row->where('order_id', $order->id))->delete();
        foreach ($order->requests()->get() as $request) {
            self::into($order, $request);
        }
    }

    /** @return array<int, array{disposition: ?Disposition, outcome: Outcome}> what it says of the items whose lines it proposes, by item */
    public static function rows(ChangeRequest $request): array
    {
        $items = ChangeOrder::proposedBy($request)?->items()->whereHas('works.edits')->get() ?? new Collection();

        return $items
            ->keyBy('item_id')
            ->map(static fn(OrderItem $row): array => ['disposition' => $row->disposition, 'outcome' => $row->outcome])
            ->all();
    }
}
