<?php

declare(strict_types=1);

/*
 * Measures a component replaced in thousands of parents (seen, done, undone) and the worksheet of it, beside what SQL takes to find the
 * lines and to write as many edits; everything is taken back at the end. Then merging and carrying over, against C.
 * The worksheet is opened over HTTP as well, against an empty authenticated route, and scrolled in a browser.
 * Called by bin/bench: orders.php LINES JSON(0|1) FOLDER PROGRAM ADDRESS
 */

use App\Orders\Actions\EditStructure;
use App\Orders\Actions\TurnWork;
use App\Orders\ConsequenceReader;
use App\Orders\JudgedOrders;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Orders\Replacing\AskedReplacement;
use App\Orders\Replacing\ReplaceComponent;
use App\Orders\Replacing\ReplacementReader;
use App\Orders\Replacing\UseFilter;
use App\Orders\Subjects\NamedWork;
use App\Orders\Worksheet\Data\WorksheetPage;
use App\Orders\Worksheet\EditWorksheet;
use App\Orders\Worksheet\WorksheetPart;
use App\Orders\Worksheet\WorksheetReader;
use App\People\Models\Person;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Quantity\Quantity;

require __DIR__ . '/merging.php';
require __DIR__ . '/worksheet.php';

const PARENTS = 5_000;
const ORDER = 'ECO-BENCH-EDITED';
const KEYSTROKES = 15;

ini_set('memory_limit', '3G');
require dirname(__DIR__) . '/vendor/autoload.php';
$app = require dirname(__DIR__) . '/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
[, $lines, $json, $folder, $program, $address] = $argv;
// First, while nothing else fills the memory, and the database has nothing to clear away.
$merging = merging($folder, $program);
[$sheet, $scrolled] = worksheet($address);

/** @return array{float, mixed} milliseconds, and the answer; as for a process that serves, nothing is left of the request before */
function once(Closure $do): array
{
    gc_collect_cycles();
    $started = hrtime(true);
    $answer = $do();

    return [(hrtime(true) - $started) / 1e6, $answer];
}

/** The component whose number of parents is nearest to what is asked for; the whole data set may have none with so many. */
$component = DB::selectOne(
    "SELECT l.component_id AS id, i.number, i.unit, count(DISTINCT c.item_id) AS parents
    FROM structure_lines l JOIN contents c ON c.id = l.content_id JOIN items i ON i.id = l.component_id
    WHERE c.kind = 'engineering' AND c.status = 'released' GROUP BY 1, 2, 3 ORDER BY abs(count(DISTINCT c.item_id) - ?), 1 LIMIT 1",
    [PARENTS],
);
$new = DB::scalar(
    "SELECT i.number FROM items i JOIN revisions r ON r.item_id = i.id AND r.status = 'released' WHERE i.unit = ? AND i.id <> ?
    AND NOT EXISTS (SELECT 1 FROM structure_lines l WHERE l.content_id = r.id) ORDER BY i.number DESC LIMIT 1",
    [$component->unit, $component->id],
);

// The same lines for C, by parent.
$uses = fopen("{$folder}/uses.bin", 'wb');
foreach (
    DB::cursor(
        "SELECT c.item_id AS parent, l.component_id AS component, least(l.quantity, 2000000000) AS quantity
        FROM structure_lines l JOIN contents c ON c.id = l.content_id
        WHERE c.kind IN ('engineering', 'manufacturing') AND c.status = 'released' ORDER BY c.item_id",
    )
    as $use
) {
    fwrite($uses, pack('lll', $use->parent, $use->component, $use->quantity));
}
fclose($uses);
$newId = DB::scalar('SELECT id FROM items WHERE number = ?', [$new]);
exec(implode(' ', array_map(escapeshellarg(...), [$program, $folder, '5', (string) $component->id, (string) $newId])), $said, $status);
$status === 0 || throw new RuntimeException('The C program failed.');
$c = [];
foreach ($said as $one) {
    [$what, $ms, $count] = explode(' ', $one);
    $c[$what]['ms'][] = (float) $ms;
    $c[$what]['lines'] = (int) $count;
}

// As the database does by itself after a minute: what was measured before, and taken back, is still in its tables.
DB::unprepared('VACUUM ANALYZE edits');
DB::unprepared('VACUUM ANALYZE works');
DB::unprepared('VACUUM ANALYZE change_order_items');
DB::beginTransaction();
$person = static fn(string $login, string $role): Person => Person::query()->create([
    'login' => $login,
    'name' => 'Bench',
    'email' => "{$login}@quillback.example",
    'password' => bin2hex(random_bytes(12)),
    'roles' => [$role],
    'active' => true,
]);
[$planner, $editor] = [$person('bench.planner', 'coordinator'), $person('bench.editor', 'design_engineer')];
ChangeOrder::query()->create([
    'number' => ORDER,
    'title' => 'Bench',
    'description' => '',
    'priority' => 'normal',
    'state' => 'revising',
    'author_id' => $planner->id,
    'editor_id' => $editor->id,
    'raised_at' => now(),
]);
$order = static fn(): ChangeOrder => ChangeOrder::query()
    ->with('items')
    ->where('number', ORDER)
    ->firstOrFail();
$ask = static fn(ChangeOrder $of): AskedReplacement => AskedReplacement::read($of, $component->number, $new, '');
$look = static fn() => app(ReplacementReader::class)->of($planner, $order(), $ask($order()), new UseFilter());
$look();
[$previewMs, $page] = once($look);
$chosen = [];
foreach ($page->rows as $row) {
    if ($row->fault === null) {
        $chosen[] = ['item' => $row->item->number, 'work' => $row->work, 'line' => $row->before->key];
    }
}
// Two hundred edits in a hundred parents: the component replaced there, and the quantity of another line changed, the last of them as one
// types it. What all of the order means is asked after that.
$parents = array_fill_keys(array_slice(array_values(array_unique(array_column($chosen, 'item'))), 0, 100), true);
$some = [];
foreach ($chosen as $line) {
    $some[$line['item']] ??= $line;
}
$strokes = [app(ReplaceComponent::class)->in($planner, ORDER, $ask, array_values(array_intersect_key($some, $parents)))];
$others = [];
foreach (app(OrderReader::class)->toCore($order())->items as $item) {
    foreach ($item->before() as $line) {
        if ($line->component !== $component->number) {
            $others[] = [
                'subject' => NamedWork::of(ORDER, $item->number, Subject::ENGINEERING),
                'edit' => new ChangeLine($line->key, ['quantity' => (string) $line->quantity->plus($line->quantity)]),
                'line' => $line->key,
                'quantity' => $line->quantity,
            ];
            break;
        }
    }
}
$typed = array_pop($others);
$seen = array_fill_keys(array_map(static fn(array $one): string => $one['subject']->subject(), $others), PHP_INT_MAX);
$strokes[] = app(EditWorksheet::class)->make($editor, ORDER, $others, $seen);
DB::unprepared('ANALYZE edits, works, change_order_items');
$means = static fn() => app(ConsequenceReader::class)->read($under = $order(), app(JudgedOrders::class)->of($under));
// As somebody types on: what a process that serves goes through often, it has long compiled.
$typedTimes = $meansTimes = [];
for ($key = 0; $key < KEYSTROKES; $key++) {
    $quantity = Quantity::ofMillionths($typed['quantity']->millionths * ($key + 2));
    $edit = new ChangeLine($typed['line'], ['quantity' => (string) $quantity]);
    [$typedTimes[]] = once(static fn() => app(EditStructure::class)->make($editor, ORDER, $typed['subject']->item, $edit, PHP_INT_MAX));
    [$meansTimes[], $consequences] = once($means);
}
[$typedMs, $consequencesMs] = [median($typedTimes), median($meansTimes)];
for ($key = 0; $key < KEYSTROKES; $key++) {
    app(TurnWork::class)->undo($editor, NamedWork::of(ORDER, $typed['subject']->item, Subject::ENGINEERING));
}
foreach (array_reverse($strokes) as $one) {
    app(TurnWork::class)->undoStroke($planner, ORDER, $one);
}
[$applyMs, $stroke] = once(static fn(): string => app(ReplaceComponent::class)->in($planner, ORDER, $ask, $chosen));
$read = static function (int $from) use ($editor, $order): WorksheetPage {
    $of = $order();

    return app(WorksheetReader::class)->of($editor, $of, WorksheetPart::from($of, $from));
};
$all = static function () use ($read): array {
    for ($rows = [], $from = 0; $from !== null; $from = $part->next) {
        $part = $read($from);
        array_push($rows, ...$part->rows);
    }

    return $rows;
};
$read(0);
[$openMs] = once(static fn() => $read(0));
[$worksheetMs, $worksheet] = once($all);
$replaced = count(array_filter($worksheet, static fn($row): bool => $row->mark === 'replaced'));
[$undoMs] = once(static fn() => app(TurnWork::class)->undoStroke($planner, ORDER, $stroke));
$left = count($all());

// The same in SQL: the lines found, and as many edits written, without a question asked about any of them.
$work = DB::scalar(
    'SELECT min(w.id) FROM works w JOIN change_order_items i ON i.id = w.order_item_id JOIN change_orders o ON o.id = i.order_id WHERE o.number = ?',
    [ORDER],
);
[$sqlMs, $written] = once(
    static fn(): int => DB::affectingStatement(
        "INSERT INTO edits (work_id, number, act, operation, version, part, fields, author_id, made_at)
        SELECT ?, 100 + row_number() OVER (), 100, 'replace', 1, l.line_key, jsonb_build_object('component', ?::text), ?, now()
        FROM structure_lines l JOIN contents c ON c.id = l.content_id
        WHERE l.component_id = ? AND c.kind IN ('engineering', 'manufacturing') AND c.status = 'released'",
        [$work, $new, $editor->id, $component->id],
    ),
);
DB::rollBack();

$report = [
    'replacement' => [
        'parents' => (int) $component->parents,
        'lines' => count($chosen),
        'preview_ms' => round($previewMs, 1),
        'apply_ms' => round($applyMs, 1),
        'undo_ms' => round($undoMs, 1),
        'sql_ms' => round($sqlMs, 1),
        'c_seen_ms' => round(median($c['seen']['ms']), 3),
        'c_replaced_ms' => round(median($c['replaced']['ms']), 3),
        'equal' => $written === count($page->rows) && $replaced === count($chosen) && $c['seen']['lines'] === count($chosen),
    ],
    'worksheet' => [
        'rows' => count($worksheet),
        'opens_ms' => round($openMs, 1),
        'ms' => round($worksheetMs, 1),
        'equal' => $left === count($worksheet),
        'page_ms' => $sheet['ms'],
        'empty_route_ms' => $sheet['empty_route_ms'],
    ],
    'scrolling' => $scrolled,
    'consequences' => [
        'edits' => $consequences->lines,
        'parents' => count($parents),
        'products' => count($consequences->products),
        'saved_ms' => round($typedMs, 1),
        'ms' => round($consequencesMs, 1),
    ],
    ...$merging,
];
if ($json === '1') {
    echo json_encode($report, JSON_PRETTY_PRINT), "\n";
    exit();
}
$one = $report['replacement'];
printf(
    "replacement      %s lines of %s parents: seen %.0f ms (C %.2f ms), done %.0f ms, undone %.0f ms; SQL writes as many edits in %.0f ms, %.1f×, C in %.3f ms, answers equal: %s\n",
    number_format($one['lines']),
    number_format($one['parents']),
    $one['preview_ms'],
    $one['c_seen_ms'],
    $one['apply_ms'],
    $one['undo_ms'],
    $one['sql_ms'],
    $one['apply_ms'] / $one['sql_ms'],
    $one['c_replaced_ms'],
    $one['equal'] ? 'yes' : 'NO',
);
printf(
    "worksheet        %s rows: there after %.0f ms, all of it after %.0f ms; of %s rows over HTTP %.1f ms, empty route %.1f ms, %.1f×\n",
    number_format($report['worksheet']['rows']),
    $report['worksheet']['opens_ms'],
    $report['worksheet']['ms'],
    number_format(SHEET_ROWS),
    $report['worksheet']['page_ms'],
    $report['worksheet']['empty_route_ms'],
    $report['worksheet']['page_ms'] / $report['worksheet']['empty_route_ms'],
);
$one = $report['scrolling'];
printf(
    'scrolling        %d rounds in which the machine was ours, of %d tried: %d frames, worst %.1f ms, %d over 33 ms (of all tried %d); ' .
        "an empty box was clean in %d of the same\n",
    $one['rounds'],
    $one['tried'],
    $one['frames'],
    $one['worst_ms'],
    $one['over'],
    $one['over_of_all'],
    $one['idle_clean_rounds'],
);
printf(
    "consequences     %d edits in %d parents, %d products: %.0f ms, after %.0f ms in which the last was saved\n",
    $report['consequences']['edits'],
    $report['consequences']['parents'],
    $report['consequences']['products'],
    $report['consequences']['ms'],
    $report['consequences']['saved_ms'],
);
foreach (['merge' => 'parents', 'transfer' => 'siblings'] as $name => $of) {
    $one = $report[$name];
    printf(
        "%-16s %s edits, %s %s: %.1f ms, C %.2f ms, %.1f×, answers equal: %s\n",
        $name,
        number_format($one['edits']),
        number_format($one[$of]),
        $of,
        $one['ours_ms'],
        $one['c_ms'],
        $one['times_c'],
        $one['equal'] ? 'yes' : 'NO',
    );
}
