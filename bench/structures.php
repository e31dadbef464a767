<?php

declare(strict_types=1);

/*
 * Measures the structure index against recursive SQL and against C, and the pages against an empty authenticated route.
 * Called by bin/bench, which has set everything up: structures.php LINES JSON(0|1) FOLDER C-PROGRAM ADDRESS
 */

use App\Days\Today;
use App\Structures\Index\IndexFolder;
use App\Structures\Index\LineRows;
use App\Structures\Index\StructureIndex;
use App\Structures\StructureView;
use Illuminate\Contracts\Console\Kernel;

ini_set('memory_limit', '3G');
require dirname(__DIR__) . '/vendor/autoload.php';
require __DIR__ . '/sql.php';
require __DIR__ . '/Pages.php';
require __DIR__ . '/measurer.php';
$app = require dirname(__DIR__) . '/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
[, $lines, $json, $folder, $program, $address] = $argv;

function say(string $words): void
{
    fwrite(STDERR, $words . "\n");
}

$index = StructureIndex::open();
$items = new class ($index) {
    public function __construct(public StructureIndex $index) {}

    /** @return array{u: int, n: int} an item used as often as that share of all items */
    public function usedAt(float $share): array
    {
        $row = DB::selectOne(
            'SELECT component_id, n FROM (SELECT component_id, count(*) AS n, row_number() OVER (ORDER BY count(*), component_id) AS at, count(*) OVER () AS all
            FROM structure_lines GROUP BY component_id) x WHERE at = GREATEST(1, round(?::numeric * x.all))',
            [$share],
        );

        return ['u' => $row->component_id, 'n' => $row->n];
    }
};
$id = fn(string $number): int => (int) DB::scalar('SELECT id FROM items WHERE number = ?', [$number]);
[$rare, $typical, $shared] = [$items->usedAt(0.02), $items->usedAt(0.5), $items->usedAt(1.0)];
[$top, $left, $right] = [$id('G-0000000'), $id('PAIR-A'), $id('PAIR-B')];
$questions = [
    ['where-used, all levels, rare item', 'u', [$rare['u']], RecursiveSql::whereUsed($rare['u'])],
    ['where-used, all levels, typical item', 'u', [$typical['u']], RecursiveSql::whereUsed($typical['u'])],
    ['where-used, all levels, most shared item', 'u', [$shared['u']], RecursiveSql::whereUsed($shared['u'])],
    ['summed explosion of a top product', 'd', [$top], RecursiveSql::explosion($top)],
    ['comparison of two structures, all levels', 'c', [$left, $right], RecursiveSql::comparison($left, $right)],
];

say('Writing the arrays for C');
$edges = fopen("{$folder}/edges.bin", 'wb');
$full = fopen("{$folder}/lines.bin", 'wb');
$rows = [];
DB::transaction(function () use (&$rows, $index): void {
    foreach ((new LineRows())->all(new StructureView()) as $row) {
        $parent = $index->positions->of($row['parent']);
        $rows[$parent][] =
            pack('q4', $parent, $index->positions->of($row['component']), $row['quantity'], $row['span']) .
            pack('q5', $row['identity'], $row['digest'], $row['line'], 0, 0);
    }
});
/** @var array<int, array{int, string}> $byLine line => find number, identity in words */
$byLine = [];
foreach (DB::cursor('SELECT id, find, line_key FROM structure_lines') as $row) {
    $byLine[$row->id] = [$row->find, $row->line_key];
}
ksort($rows);
foreach ($rows as $own) {
    foreach ($own as $packed) {
        [, $parent, $component, , , $identity, $digest, $line] = array_values([0, ...unpack('q9', $packed)]);
        fwrite($edges, substr($packed, 0, 32));
        fwrite($full, pack('q7', $parent, $component, $identity, $digest, $line, $byLine[$line][0], 0));
    }
}
fclose($edges);
fclose($full);
unset($rows);

say('Asking C');
$size = $index->adjacency->size;
$arguments = array_map(fn(array $q): string => $q[1] . implode(',', array_map($index->positions->of(...), $q[2])), $questions);
exec(
    implode(' ', array_map(escapeshellarg(...), [$program, $folder, (string) Today::day()->number(), (string) $size, '9', ...$arguments])),
    $output,
    $status,
);
if ($status !== 0) {
    throw new RuntimeException('The C program failed.');
}
$c = [];
foreach ($output as $line) {
    [$question, $time] = explode(' ', $line);
    $c[(int) $question][] = (float) $time;
}

$answers = [];
$peak = 0;
foreach ($questions as $at => [$name, $kind, $asked, $sql]) {
    say($name);
    $own = json_decode(
        (string) shell_exec(
            implode(
                ' ',
                array_map(escapeshellarg(...), [
                    PHP_BINARY,
                    '-d',
                    'memory_limit=256M',
                    '-d',
                    'opcache.enable_cli=1',
                    '-d',
                    'opcache.memory_consumption=512',
                    '-d',
                    'opcache.file_update_protection=0',
                    __DIR__ . '/ours.php',
                    $kind,
                    '11',
                    "{$folder}/ours-{$at}",
                    ...array_map(strval(...), $asked),
                ]),
            ),
        ),
        true,
        flags: JSON_THROW_ON_ERROR,
    );
    $peak = max($peak, $own['peak']);
    $sqlTimes = [];
    for ($round = 0; $round < 3; $round++) {
        $started = hrtime(true);
        $result = DB::select($sql);
        $sqlTimes[] = (hrtime(true) - $started) / 1e6;
    }
    $fromSql = array_map(fn(stdClass $row): string => ($row->item ?? '-') . ' ' . ($row->quantity ?? '-'), $result);
    $values = array_values((array) unpack('q*', (string) file_get_contents("{$folder}/answer-{$at}.bin")));
    $fromC = [];
    if ($kind === 'c') {
        foreach (array_chunk($values, 2) as [$a, $b]) {
            $fromC[] = ($byLine[$a][1] ?? '-') . ' ' . ($byLine[$b][1] ?? '-');
        }
    } else {
        foreach ($values as $position => $millionths) {
            if ($millionths !== 0 && $index->positions->item($position) !== $asked[0]) {
                $fromC[] = $index->positions->item($position) . ' ' . $millionths;
            }
        }
    }
    sort($fromSql);
    sort($fromC);
    $fromUs = array_values(array_filter(explode("\n", (string) file_get_contents("{$folder}/ours-{$at}"))));
    $answers[] = [
        'name' => $name,
        'rows' => count($fromUs),
        'ours_first_ms' => round($own['times'][0], 3),
        'ours_ms' => round(median(array_slice($own['times'], 1)), 3),
        'sql_ms' => round(median($sqlTimes), 3),
        'c_ms' => round(median($c[$at]), 4),
        'equal' => $fromUs === $fromSql && $fromUs === $fromC,
    ];
}
$product = (string) DB::scalar('SELECT number FROM items WHERE id = ?', [$top]);
$assembly = (string) DB::scalar(
    "SELECT number FROM items WHERE kind = 'assembly' AND number LIKE 'G-%' ORDER BY id OFFSET (SELECT count(*) / 10 FROM items) LIMIT 1",
);
$number = fn(array $item): string => (string) DB::scalar('SELECT number FROM items WHERE id = ?', [$item['u']]);
say('Pages');
measurer(bin2hex(random_bytes(12)));
$asking = new Pages($address);
$pages = $asking->measure([
    'structure page of a product' => "/api/items/{$product}/structure",
    'expand an assembly' => "/api/items/{$assembly}/structure",
    'item page' => "/api/items/{$product}",
    'where-used, typical' => "/api/items/{$number($typical)}/where-used",
    'where-used, most shared' => "/api/items/{$number($shared)}/where-used",
    'search by words' => '/api/items?words=assembly+123',
    'search by part of a number' => '/api/items?words=00123',
]);
say('A new version of the index');
shell_exec(escapeshellarg(PHP_BINARY) . ' -d memory_limit=3G artisan structures:index');
$usedIn = "/api/items/{$number($shared)}/where-used";
$asking->once($usedIn);
for ($waited = 0, $lists = new IndexFolder(new StructureView()); $lists->offered() !== null && $waited < 600; $waited++) {
    usleep(100_000);
}
$first = $asking->once($usedIn);
$switched = ['first_ms' => round($first, 2), 'again_ms' => round(median(array_map(fn(): float => $asking->once($usedIn), range(1, 7))), 2)];
$peak = max($peak, ...array_column($pages, 'peak'));
$report = [
    'lines' => (int) DB::scalar('SELECT count(*) FROM structure_lines'),
    'questions' => $answers,
    'pages' => array_map(fn(array $page): array => array_diff_key($page, ['peak' => 1]), $pages),
    'new_index' => $switched,
    'peak_mb' => round($peak / 1e6, 1),
];
if ($json === '1') {
    echo json_encode($report, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE), "\n";
    exit();
}
printf(
    "\n%s lines\n%-44s %8s %9s %9s %10s %9s %8s %7s  %s\n",
    number_format($report['lines']),
    '',
    'rows',
    'first ms',
    'ours ms',
    'SQL ms',
    'C ms',
    'SQL/ours',
    'ours/C',
    'equal',
);
foreach ($answers as $a) {
    printf(
        "%-44s %8d %9.2f %9.2f %10.1f %9.3f %7.1f× %6.1f×  %s\n",
        $a['name'],
        $a['rows'],
        $a['ours_first_ms'],
        $a['ours_ms'],
        $a['sql_ms'],
        $a['c_ms'],
        $a['sql_ms'] / $a['ours_ms'],
        $a['ours_ms'] / $a['c_ms'],
        $a['equal'] ? 'yes' : 'NO',
    );
}
printf("\n%-44s %9s %9s %7s\n", 'page', 'ms', 'empty ms', 'ratio');
foreach ($report['pages'] as $p) {
    printf("%-44s %9.2f %9.2f %6.1f×\n", $p['name'], $p['ms'], $p['empty_route_ms'], $p['ms'] / $p['empty_route_ms']);
}
printf(
    "\nfirst question to a new version of the index: %.2f ms, the same again: %.2f ms, %.1f×\n",
    $switched['first_ms'],
    $switched['again_ms'],
    $switched['first_ms'] / $switched['again_ms'],
);
printf("\npeak memory of a worker: %.1f MB\n", $report['peak_mb']);
