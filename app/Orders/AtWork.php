<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Data\AtWorkPage;
use App\Orders\Data\AtWorkRow;
use App\Orders\Models\ChangeOrder;
use App\Orders\Subjects\NamedWork;
use App\People\Models\Person;
use App\Tables\Quoted;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\OrderState;

/** Who else edits an order now, or the items that it names under another one: seen as it happens, long before anything collides. */
final readonly class AtWork
{
    /** Somebody who did nothing for so long is not at it any more. */
    public const MINUTES = 10;

    private const STATE = <<<'SQL'
    SELECT max(e.id) AS last, count(e.id) AS edits, count(e.withdrawn_at) AS undone, max(e.withdrawn_at) AS at
    FROM change_order_items oi JOIN works w ON w.order_item_id = oi.id JOIN edits e ON e.work_id = w.id
    WHERE oi.order_id = ? AND e.author_id <> ?
    SQL;

    private const OTHERS = <<<'SQL'
    SELECT p.name, o.number, i.number AS item, w.kind, w.plant, max(greatest(e.made_at, e.withdrawn_at)) AS at
    FROM change_order_items mine
    JOIN change_order_items oi ON oi.item_id = mine.item_id
    JOIN change_orders o ON o.id = oi.order_id AND (o.id = mine.order_id OR o.state IN {editing})
    JOIN works w ON w.order_item_id = oi.id JOIN edits e ON e.work_id = w.id AND greatest(e.made_at, e.withdrawn_at) > :since
    JOIN items i ON i.id = oi.item_id JOIN people p ON p.id = e.author_id
    WHERE mine.order_id = :order AND e.author_id <> :me
    GROUP BY p.name, o.number, i.number, w.kind, w.plant
    ORDER BY at DESC, item, kind, plant LIMIT 20
    SQL;

    public function of(Person $by, ChangeOrder $order): AtWorkPage
    {
        $state = DB::selectOne(self::STATE, [$order->id, $by->id]);
        $others = DB::select(strtr(self::OTHERS, ['{editing}' => Quoted::cases(OrderState::editing())]), [
            'order' => $order->id,
            'me' => $by->id,
            'since' => CarbonImmutable::now()->subMinutes(self::MINUTES),
        ]);

        return new AtWorkPage(
            state: implode(' ', (array) $state),
            others: array_values(
                array_map(static function (\stdClass $row): AtWorkRow {
                    $named = new NamedWork($row->number, $row->item, $row->kind, $row->plant);

                    return new AtWorkRow(
                        $row->name,
                        $row->number,
                        $row->item,
                        $named->work(),
                        CarbonImmutable::parse($row->at)->toIso8601String(),
                    );
                }, $others),
            ),
        );
    }
}
