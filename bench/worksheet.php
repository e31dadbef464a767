<?php

declare(strict_types=1);

use App\Orders\Models\ChangeOrder;
use Illuminate\Support\Facades\DB;

require __DIR__ . '/Pages.php';
require __DIR__ . '/Processors.php';
require __DIR__ . '/Scrolling.php';
require __DIR__ . '/measurer.php';

const SHEET_ORDER = 'ECO-BENCH-SHEET';
const SHEET_ROWS = 20_000;

/**
 * The worksheet of an order with so many lines in all that it changes, without a person who edits it: opened over HTTP, and scrolled in a
 * browser. The order is deleted again.
 *
 * @return array{array{name: string, ms: float, empty_route_ms: float, peak: int}, array{tried: int, over_of_all: int, rounds: int,
 *     frames: int, worst_ms: float, over: int, idle_clean_rounds: int}}
 */
function worksheet(string $address): array
{
    $away = static function (): void {
        $left = ChangeOrder::query()
            ->where('number', SHEET_ORDER)
            ->first();
        DB::table('change_order_items')->where('order_id', $left?->id)->delete();
        $left?->delete();
    };
    // Of a run that was broken off.
    $away();
    DB::transaction(static function (): void {
        $order = ChangeOrder::query()->create([
            'number' => SHEET_ORDER,
            'title' => 'Bench',
            'description' => '',
            'priority' => 'normal',
            'state' => 'revising',
            'author_id' => DB::scalar('SELECT min(id) FROM people'),
            'raised_at' => now(),
        ]);
        DB::statement(
            "INSERT INTO change_order_items (order_id, item_id, outcome)
            SELECT ?, item_id, 'revise' FROM (
                SELECT c.item_id, sum(count(*)) OVER (ORDER BY c.item_id) AS so_far
                FROM contents c JOIN structure_lines l ON l.content_id = c.id
                WHERE c.kind = 'engineering' AND c.status = 'released' GROUP BY c.item_id
            ) a WHERE so_far <= ?",
            [$order->id, SHEET_ROWS],
        );
    });
    try {
        $password = bin2hex(random_bytes(12));
        $reader = measurer($password);
        [$sheet] = (new Pages($address))->measure(['worksheet' => '/api/orders/' . SHEET_ORDER . '/worksheet']);

        return [$sheet, (new Scrolling($address, $reader->login, $password))->measure('/orders/' . SHEET_ORDER . '/worksheet')];
    } finally {
        $away();
    }
}
