<?php

declare(strict_types=1);

namespace App\Orders\Duties;

use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\People\Models\SeparationOfDuties;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Rights\Duty;
use Orthotaxis\Core\Rights\Separation;

/** Who has done what of an order and of the requests in it, and what that keeps them from. */
final class Duties
{
    private const DONE = "
        SELECT author_id AS person, 'originate' AS duty FROM change_orders WHERE id = :id
        UNION SELECT editor_id, 'edit' FROM change_orders WHERE id = :id AND editor_id IS NOT NULL
        UNION SELECT e.author_id, 'edit' FROM edits e JOIN works w ON w.id = e.work_id JOIN change_order_items i ON i.id = w.order_item_id
            WHERE i.order_id = :id AND e.withdrawn_at IS NULL AND e.discarded_at IS NULL
        UNION SELECT t.holder_id, 'edit' FROM tasks t JOIN change_orders o ON o.number = t.change WHERE o.id = :id
            AND t.state IN ('claimed', 'done') AND EXISTS (SELECT FROM task_subjects s WHERE s.task_id = t.id)
        UNION SELECT person_id, 'waive' FROM order_waivers WHERE order_id = :id AND withdrawn_at IS NULL
        UNION SELECT person_id, 'sign' FROM signatures WHERE order_id = :id AND meaning = 'signed' AND NOT void
        UNION SELECT r.raised_by, 'request' FROM change_order_requests l JOIN change_requests r ON r.id = l.request_id WHERE l.order_id = :id
        UNION SELECT r.decided_by, 'decide' FROM change_order_requests l JOIN change_requests r ON r.id = l.request_id
            WHERE l.order_id = :id AND r.decided_by IS NOT NULL
        UNION SELECT s.person_id, 'decide' FROM change_order_requests l JOIN signatures s ON s.request_id = l.request_id
            WHERE l.order_id = :id AND s.meaning = 'signed' AND NOT s.void
        UNION SELECT p.id, 'release' FROM ledger l JOIN people p ON p.login = l.actor JOIN change_orders o ON o.number = l.subject
            WHERE o.id = :id AND l.act = 'order.released'";

    private ?Separation $rule = null;

    /** @return ?string what the person has done that keeps them from a duty; null when nothing does */
    public function refusal(Duty $wanted, Person $by, ChangeOrder $order): ?string
    {
        $bar = $this->barred($wanted, $order)[$by->id] ?? null;

        return $bar === null ? null : "You {$bar->does()}, so another person must {$wanted->task()}.";
    }

    /** @throws Refusal at the place */
    public function check(Duty $wanted, Person $by, ChangeOrder $order, string $place = 'order'): void
    {
        $refusal = $this->refusal($wanted, $by, $order);
        $refusal === null || throw Refusal::at($place, $refusal);
    }

    /** @return array<int, Duty> who may not, by id, with what keeps them from it */
    public function barred(Duty $wanted, ChangeOrder $order): array
    {
        $rule = $this->rule ??= SeparationOfDuties::query()->firstOrFail()->rule();
        if ($rule->kept($wanted) === []) {
            return [];
        }
        $done = [];
        foreach (DB::select(str_replace(':id', (string) $order->id, self::DONE)) as $row) {
            $done[(int) $row->person][] = Duty::from((string) $row->duty);
        }

        return array_filter(array_map(static fn(array $duties): ?Duty => $rule->bar($wanted, $duties), $done));
    }
}
