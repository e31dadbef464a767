<?php

declare(strict_types=1);

/*
 * Measures the release of an order of many items and lines, in one transaction, beside the same rows written into the same tables by COPY.
 * Everything is taken back at the end. Called by bin/bench: releasing.php JSON(0|1) FOLDER
 */

use App\Orders\Actions\MoveOrder;
use App\Orders\Actions\SignOrder;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Orders\Subjects\NamedWork;
use App\Orders\Worksheet\EditWorksheet;
use App\People\Models\Person;
use App\Releases\Actions\ReleaseOrder;
use App\Structures\Index\StructureIndex;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Adjacency\Adjacency;
use Orthotaxis\Core\Approval\Digest;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Edit\AddLine;

const RELEASED_ITEMS = 500;
const LINES_OF_EACH = 40;
const RELEASED_ORDER = 'ECO-BENCH-R';
const TURNS = 3;

ini_set('memory_limit', '3G');
require dirname(__DIR__) . '/vendor/autoload.php';
$app = require dirname(__DIR__) . '/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
require __DIR__ . '/median.php';
[, $json, $folder] = $argv;

/** @return array{float, mixed} milliseconds, and the answer */
function timed(Closure $do): array
{
    $started = hrtime(true);
    $answer = $do();

    return [(hrtime(true) - $started) / 1e6, $answer];
}

/** @return list<stdClass> items in force that no plant builds, so many lines of each */
function itemsToRelease(): array
{
    return DB::select(
        "SELECT i.id, i.number, c.id AS content, (SELECT count(*) FROM structure_lines l WHERE l.content_id = c.id) AS lines
        FROM contents c JOIN items i ON i.id = c.item_id
        WHERE c.kind = 'engineering' AND c.status = 'released' AND c.effective_from <= current_date AND i.standard_cost IS NOT NULL
        AND EXISTS (SELECT 1 FROM structure_lines l WHERE l.content_id = c.id)
        AND NOT EXISTS (SELECT 1 FROM contents m WHERE m.item_id = i.id AND m.kind = 'manufacturing')
        AND NOT EXISTS (SELECT 1 FROM change_order_items o WHERE o.item_id = i.id)
        ORDER BY i.id LIMIT ?",
        [RELEASED_ITEMS],
    );
}

/** @return list<stdClass> what has no lines itself, in pieces */
function leaves(): array
{
    return DB::select(
        "SELECT i.number FROM items i JOIN contents c ON c.item_id = i.id AND c.kind = 'engineering' AND c.status = 'released'
        WHERE i.unit = 'pc' AND c.effective_from <= current_date AND i.standard_cost IS NOT NULL
        AND NOT EXISTS (SELECT 1 FROM structure_lines l WHERE l.content_id = c.id) ORDER BY i.id DESC LIMIT ?",
        [LINES_OF_EACH],
    );
}

DB::beginTransaction();
$person = static fn(string $login, string $role): Person => Person::query()->create([
    'login' => $login,
    'name' => 'Bench',
    'email' => "{$login}@quillback.example",
    'password' => 'bench-secret',
    'roles' => [$role],
    'active' => true,
]);
[$planner, $editor, $signer] = [
    $person('bench.planner', 'coordinator'),
    $person('bench.editor', 'design_engineer'),
    $person('bench.signer', 'board_member'),
];
$order = ChangeOrder::query()->create([
    'number' => RELEASED_ORDER,
    'title' => 'Bench',
    'description' => '',
    'priority' => 'normal',
    'state' => 'revising',
    'author_id' => $planner->id,
    'editor_id' => $editor->id,
    'signer_id' => $signer->id,
    'effective_on' => now()->addDays(30)->toDateString(),
    'raised_at' => now(),
]);
$items = itemsToRelease();
foreach ($items as $item) {
    $order
        ->items()
        ->create(['item_id' => $item->id, 'outcome' => 'revise', 'disposition' => 'use_up'])
        ->workOn($item->content);
}
$leaves = leaves();
$edits = $seen = [];
$lines = 0;
foreach ($items as $item) {
    $named = NamedWork::of(RELEASED_ORDER, $item->number, Subject::ENGINEERING);
    $seen[$named->subject()] = PHP_INT_MAX;
    for ($more = 0; $more < max(1, LINES_OF_EACH - $item->lines); $more++) {
        $fields = ['find' => (string) (5_000 + 10 * $more), 'component' => $leaves[$more]->number, 'quantity' => '2', 'unit' => 'pc'];
        $edits[] = ['subject' => $named, 'edit' => new AddLine('', $fields)];
    }
    $lines += $item->lines + $more;
}
app(EditWorksheet::class)->make($editor, RELEASED_ORDER, $edits, $seen);
$version = static fn(): int => (int) ChangeOrder::query()
    ->where('number', RELEASED_ORDER)
    ->value('version');
app(MoveOrder::class)->submit($editor, RELEASED_ORDER, $version());
$core = app(OrderReader::class)->toCore(
    ChangeOrder::query()
        ->where('number', RELEASED_ORDER)
        ->firstOrFail(),
);
app(SignOrder::class)->sign($signer, RELEASED_ORDER, 'bench-secret', Digest::of($core));
unset($core, $edits);
// A process that serves has long compiled the lists of the index.
$index = StructureIndex::open();
for ($block = 0; $block <= $index->adjacency->size >> Adjacency::BLOCK; $block++) {
    $index->lists->up($block);
    $index->lists->down($block);
}
unset($index);
/** Milliseconds of one release; it is still there, to be taken back. */
$release = static function () use ($planner, $version): float {
    gc_collect_cycles();
    memory_reset_peak_usage();
    DB::beginTransaction();

    return timed(static fn() => app(ReleaseOrder::class)->release($planner, RELEASED_ORDER, $version()))[0];
};
$releaseTimes = [$release()];
$peakMb = round(memory_get_peak_usage(true) / 1e6);

// The same rows into the same tables by COPY, with all that these hold them to: revisions as they begin, their lines, the hand-over, its
// entries and files.
$pdo = DB::connection()->getPdo();
$contents = "SELECT id FROM contents WHERE order_id = {$order->id}";
$handovers = "SELECT id FROM handovers WHERE order_id = {$order->id}";
$written = [
    'contents' => "id IN ({$contents})",
    'structure_lines' => "content_id IN ({$contents})",
    'handovers' => "id IN ({$handovers})",
    'handover_entries' => "handover_id IN ({$handovers})",
    'handover_files' => "handover_id IN ({$handovers})",
];
$rows = $columns = [];
foreach ($written as $table => $where) {
    $columns[$table] = DB::scalar(
        "SELECT string_agg(quote_ident(column_name), ', ' ORDER BY ordinal_position) FROM information_schema.columns
        WHERE table_name = ? AND is_generated = 'NEVER'",
        [$table],
    );
    DB::statement("CREATE TEMPORARY TABLE written_{$table} AS SELECT {$columns[$table]} FROM {$table} WHERE {$where}");
    $table === 'contents' && DB::statement("UPDATE written_contents SET status = 'in_work'");
    $rows[$table] = $pdo->pgsqlCopyToArray("written_{$table}");
}
DB::rollBack();
// Turn by turn, as a machine is quicker at one time than at another.
$copyTimes = [];
for ($turn = 0; $turn < TURNS; $turn++) {
    DB::beginTransaction();
    [$copyTimes[]] = timed(static function () use ($pdo, $rows, $columns): void {
        foreach ($rows as $table => $some) {
            $pdo->pgsqlCopyFromArray($table, $some, fields: $columns[$table]);
        }
    });
    DB::rollBack();
    $releaseTimes[] = $release();
    DB::rollBack();
}
DB::rollBack();
[$releaseMs, $copyMs] = [median($releaseTimes), median($copyTimes)];
$report = [
    'items' => count($items),
    'lines' => $lines,
    'rows' => array_sum(array_map(count(...), $rows)),
    'release_ms' => round($releaseMs, 1),
    'release_mb' => $peakMb,
    'copy_ms' => round($copyMs, 1),
    'times_copy' => round($releaseMs / $copyMs, 1),
];
file_put_contents("{$folder}/releasing.json", json_encode($report, JSON_THROW_ON_ERROR));
if ($json !== '1') {
    printf(
        "release          %s items, %s lines in %.0f ms, %d MB; the same %s rows by COPY %.0f ms, %.1f×\n",
        number_format($report['items']),
        number_format($report['lines']),
        $report['release_ms'],
        $report['release_mb'],
        number_format($report['rows']),
        $report['copy_ms'],
        $report['times_copy'],
    );
}
