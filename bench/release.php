<?php

declare(strict_types=1);

use App\FollowThrough\Actions\ReadOldDocuments;
use App\FollowThrough\Models\OldDocument;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;

// What comes after a release: documents in planning that name what an order replaced, read and kept, against the same rows copied in
// the database, and the first page of them, against an empty route.
//   release.php JSON ADDRESS FOLDER, which has the reports of verification.php and releasing.php

const DOCUMENTS = 50_000;

[, $json, $address, $folder] = $argv;
require dirname(__DIR__) . '/vendor/autoload.php';
$app = require dirname(__DIR__) . '/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
require __DIR__ . '/Pages.php';
require __DIR__ . '/measurer.php';

/** An order that takes an item to another revision, released; made of what is there. */
function releasedOrder(): ChangeOrder
{
    $number = 'ECO-BENCH';
    $known = ChangeOrder::query()->where('number', $number)->first();
    if ($known !== null) {
        return $known;
    }
    $item = DB::selectOne("SELECT item_id, id FROM revisions WHERE status = 'released' AND effective_from < current_date - 10 LIMIT 1");
    $author = Person::query()->where('login', 'bench')->firstOrFail()->id;
    $order = DB::table('change_orders')->insertGetId([
        'number' => $number,
        'title' => 'Measured',
        'priority' => 'normal',
        'state' => 'signed',
        'author_id' => $author,
        'raised_at' => now(),
    ]);
    DB::table('change_order_items')->insert([
        'order_id' => $order,
        'item_id' => $item->item_id,
        'outcome' => 'revise',
        'disposition' => 'use_up',
    ]);
    $next = DB::table('revisions')->insertGetId([
        'item_id' => $item->item_id,
        'code' => 'BENCH',
        'status' => 'in_work',
        'order_id' => $order,
    ]);
    DB::table('revisions')
        ->where('id', $next)
        ->update(['status' => 'in_review']);
    DB::table('revisions')
        ->where('id', $item->id)
        ->update(['status' => 'superseded', 'effective_to' => now()->subDays(3)->toDateString()]);
    DB::table('revisions')
        ->where('id', $next)
        ->update(['status' => 'released', 'effective_from' => now()->subDays(3)->toDateString(), 'released_at' => now()]);
    DB::table('change_orders')
        ->where('id', $order)
        ->update(['state' => 'released', 'released_at' => now()]);

    return ChangeOrder::query()->findOrFail($order);
}

measurer(bin2hex(random_bytes(12)));
$order = DB::transaction(releasedOrder(...));
$replaced = DB::selectOne(
    "SELECT i.number, i.unit, p.code FROM change_order_items oi JOIN items i ON i.id = oi.item_id
        JOIN revisions p ON p.item_id = i.id AND p.status = 'superseded'
    WHERE oi.order_id = ? ORDER BY p.effective_from DESC LIMIT 1",
    [$order->id],
);
$told = [];
for ($at = 0; $at < DOCUMENTS; $at++) {
    $told[] = [
        'kind' => ['stock', 'purchase_order', 'sales_order', 'work_order'][$at % 4],
        'document' => sprintf('D-%06d', $at),
        'item' => $replaced->number,
        'revision' => $replaced->code,
        'quantity' => (string) (($at % 90) + 1),
        'unit' => $replaced->unit,
        'unit_value' => '12.50',
        'due' => now()
            ->addDays($at % 200)
            ->toDateString(),
        'place' => 'Bench',
        'status' => 'open',
    ];
}
Http::fake(['*/supply' => Http::response(['rows' => $told])]);
OldDocument::query()->where('order_id', $order->id)->delete();
DB::table('old_document_readings')->updateOrInsert(['order_id' => $order->id], ['asked_at' => now(), 'read_at' => null, 'times' => 0]);
$times = [];
foreach (['first', 'again'] as $which) {
    $started = hrtime(true);
    app(ReadOldDocuments::class)($order->id);
    $times[$which] = (hrtime(true) - $started) / 1e6;
}
// As the database does by itself after a minute.
DB::unprepared('VACUUM ANALYZE old_documents');
$kept = OldDocument::holding($order->id)->count();
$copied = median(
    array_map(static function () use ($order): float {
        DB::statement('CREATE TEMPORARY TABLE copied (LIKE old_documents)');
        $started = hrtime(true);
        DB::statement('INSERT INTO copied SELECT * FROM old_documents WHERE order_id = ?', [$order->id]);
        $took = (hrtime(true) - $started) / 1e6;
        DB::statement('DROP TABLE copied');

        return $took;
    }, range(1, 5)),
);
[$page] = (new Pages($address))->measure(['first page' => "/api/orders/{$order->number}/old-documents"]);
$report = [
    'release' => json_decode((string) file_get_contents("{$folder}/releasing.json"), true, flags: JSON_THROW_ON_ERROR),
    'verification' => json_decode((string) file_get_contents("{$folder}/verification.json"), true, flags: JSON_THROW_ON_ERROR),
    'documents' => $kept,
    'read_ms' => round($times['first'], 1),
    'read_again_ms' => round($times['again'], 1),
    'copied_ms' => round($copied, 1),
    'page_ms' => $page['ms'],
    'empty_route_ms' => $page['empty_route_ms'],
    'times_empty_route' => round($page['ms'] / $page['empty_route_ms'], 2),
    'peak_mb' => round(memory_get_peak_usage(true) / 1e6),
];
if ($json === '1') {
    echo json_encode($report, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT), "\n";
    exit();
}
printf(
    "follow-through   %s documents: read and kept in %.0f ms, again in %.0f ms; the same rows copied in the database %.0f ms\n",
    number_format($report['documents']),
    $report['read_ms'],
    $report['read_again_ms'],
    $report['copied_ms'],
);
printf(
    "first page       %.1f ms, empty route %.1f ms, %.1f×\n",
    $report['page_ms'],
    $report['empty_route_ms'],
    $report['times_empty_route'],
);
