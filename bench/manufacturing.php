<?php

declare(strict_types=1);

/*
 * Measures accountability and the roll-up with routings against C, the roll-up against SQL too, and the page of accountability against an
 * empty authenticated route. Called by bin/bench, which has set everything up: manufacturing.php LINES JSON(0|1) FOLDER C-PROGRAM ADDRESS
 */

use App\Days\Today;
use App\Structures\Index\LineRows;
use App\Structures\Index\StructureIndex;
use App\Structures\StructureView;
use Illuminate\Contracts\Console\Kernel;
use Orthotaxis\Core\Manufacturing\Accountability;
use Orthotaxis\Core\Manufacturing\Accounted;
use Orthotaxis\Core\Manufacturing\BuiltRollUp;
use Orthotaxis\Core\Quantity\Minutes;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Routing\Operation;
use Orthotaxis\Core\Routing\Routing;
use Orthotaxis\Core\Routing\RoutingCost;
use Orthotaxis\Core\Routing\UnitWork;

ini_set('memory_limit', '3G');
require dirname(__DIR__) . '/vendor/autoload.php';
require __DIR__ . '/sql.php';
require __DIR__ . '/Pages.php';
require __DIR__ . '/measurer.php';
require __DIR__ . '/Builds.php';
$app = require dirname(__DIR__) . '/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
[, $lines, $json, $folder, $program, $address] = $argv;
const ROUNDS = 9;

/** @return array{float, mixed} milliseconds, the middle of several rounds, and the answer */
function timed(Closure $ask, int $rounds = ROUNDS): array
{
    $times = [];
    for ($round = 0; $round < $rounds; $round++) {
        $answer = null;
        $started = hrtime(true);
        $answer = $ask();
        $times[] = (hrtime(true) - $started) / 1e6;
    }

    return [median($times), $answer];
}

// Accountability: 50,000 engineering lines on the full set.
$builds = Builds::of(max(1_000, intdiv((int) $lines, 20)));
$builds->write("{$folder}/account.txt");
[$accountMs, $of] = timed(fn(): Accountability => Accountability::of($builds->engineering, $builds->built, $builds->below));
$open = array_map(
    static fn(Accounted $one): string => $one->line->key . ' ' . Quantity::parse((string) $one->rest)->millionths,
    $of->open(),
);
$counts = [count($builds->engineering), $builds->count()];
unset($of, $builds);

// Roll-up: what is made takes one of 64 routings, what is bought has a cost.
$index = StructureIndex::open();
$top = $index->positions->of((int) DB::scalar("SELECT id FROM items WHERE number = 'G-0000000'"));
$size = $index->adjacency->size;
$routings = array_map(
    static fn(int $at): UnitWork => UnitWork::of(
        RoutingCost::of(
            new Routing(
                [
                    new Operation(
                        'in',
                        number: 10,
                        title: 'Make',
                        workCentre: 'A',
                        setUp: new Minutes(1_000 * $at),
                        run: new Minutes(250 * $at),
                    ),
                    new Operation('out', number: 20, title: 'Paint', supplier: 'S', cost: Money::ofTenThousandths(31 * $at), leadTime: 2),
                ],
                Quantity::ofMillionths(10 * Quantity::ONE),
            ),
            ['A' => Money::ofTenThousandths(480_000)],
        ),
    ),
    range(0, 63),
);
$costs = $leads = $works = [];
$edges = fopen("{$folder}/edges.bin", 'wb');
$parents = $rows = [];
DB::transaction(function () use (&$rows, &$parents, $index): void {
    foreach ((new LineRows())->all(new StructureView()) as $row) {
        $parent = $index->positions->of($row['parent']);
        $parents[$parent] = true;
        $rows[$parent] =
            ($rows[$parent] ?? '') . pack('q4', $parent, $index->positions->of($row['component']), $row['quantity'], $row['span']);
    }
});
ksort($rows);
array_map(static fn(string $own) => fwrite($edges, $own), $rows);
fclose($edges);
unset($rows);
$binary = fopen("{$folder}/works.bin", 'wb');
for ($position = 0; $position < $size; $position++) {
    $costs[$position] = 1 + (($position * 37) % 50_000);
    $leads[$position] = $position % 30;
    $work = isset($parents[$position]) ? ($works[$position] = $routings[$position % 64]) : null;
    fwrite($binary, pack('q5', $costs[$position], $leads[$position], $work?->labour ?? -1, $work?->setUp ?? 0, $work?->subcontract ?? 0));
}
fclose($binary);
$day = Today::day();
[$rollUpMs, [$up, $work]] = timed(static function () use ($index, $top, $day, $costs, $leads, $works): array {
    $up = BuiltRollUp::of($index->adjacency, $top, $day->number(), $costs, $leads, $works);

    return [$up, $up->work()];
});
$sums = [$up->material->cost, $work->labour, $work->setUp, $work->subcontract, $up->material->lead];
unset($up);

exec(
    implode(
        ' ',
        array_map(escapeshellarg(...), [$program, $folder, (string) $day->number(), (string) $size, (string) $top, (string) ROUNDS]),
    ),
    $output,
    $status,
);
$c = ['walked' => [0.0]];
foreach ($status === 0 ? $output : throw new RuntimeException('The C program failed.') as $said) {
    [$what, $value] = explode(' ', $said);
    $c[$what][] = (float) $value;
}

// The same sums in SQL; the longest chain is not asked of it.
DB::statement(
    'CREATE TEMPORARY TABLE bench_works (item bigint PRIMARY KEY, cost bigint, labour bigint, set_up bigint, subcontract bigint)',
);
for ($position = 0; $position < $size; $position += 5_000) {
    $values = [];
    for ($at = $position; $at < min($size, $position + 5_000); $at++) {
        $work = $works[$at] ?? null;
        $values[] = sprintf(
            '(%d,%s,%d,%d,%d)',
            $index->positions->item($at),
            $work === null ? $costs[$at] : 'NULL',
            $work?->labour ?? 0,
            $work?->setUp ?? 0,
            $work?->subcontract ?? 0,
        );
    }
    DB::statement('INSERT INTO bench_works VALUES ' . implode(',', $values) . ' ON CONFLICT DO NOTHING');
}
DB::statement('ANALYZE bench_works');
$item = $index->positions->item($top);
$explosion = RecursiveSql::explosion($item);
$part = static fn(string $one): string => "sum(round({$one} * quantity / 1000000.0))::bigint";
[$sqlMs, $fromSql] = timed(
    fn(): array => (array) DB::selectOne(
        "SELECT {$part('cost')} AS cost, {$part('labour')} AS labour, {$part('set_up')} AS set_up, {$part('subcontract')} AS subcontract
        FROM (SELECT {$item}::bigint AS item, 1000000::bigint AS quantity UNION ALL ({$explosion})) totals JOIN bench_works USING (item)",
    ),
    3,
);

measurer(bin2hex(random_bytes(12)));
$pages = (new Pages($address))->measure(['accountability of 2,000 lines' => '/api/items/BUILT-2000/accountability?plant=Bench']);

$report = [
    'accountability' => [
        'lines' => $counts,
        'ours_ms' => round($accountMs, 2),
        'c_ms' => round(median($c['account']), 3),
        'equal' => sorted($open) === sorted(file("{$folder}/account.c", FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: []),
    ],
    'roll_up' => [
        'lines' => (int) $c['walked'][1],
        'ours_ms' => round($rollUpMs, 2),
        'c_ms' => round(median($c['rollup']), 3),
        'sql_ms' => round($sqlMs, 1),
        'equal' => implode(' ', $sums) === file_get_contents("{$folder}/rollup.c") && array_values($fromSql) === array_slice($sums, 0, 4),
    ],
    'pages' => array_map(static fn(array $page): array => array_diff_key($page, ['peak' => 1]), $pages),
];
if ($json === '1') {
    echo json_encode($report, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE), "\n";
    exit();
}
foreach (['accountability', 'roll_up'] as $name) {
    $one = $report[$name];
    printf(
        "%-16s %s lines: ours %.1f ms, C %.2f ms, %.1f×%s, answers equal: %s\n",
        $name,
        implode(' against ', array_map(number_format(...), (array) $one['lines'])),
        $one['ours_ms'],
        $one['c_ms'],
        $one['ours_ms'] / $one['c_ms'],
        isset($one['sql_ms']) ? sprintf(', SQL %.0f ms, %.0f× ours', $one['sql_ms'], $one['sql_ms'] / $one['ours_ms']) : '',
        $one['equal'] ? 'yes' : 'NO',
    );
}
foreach ($report['pages'] as $page) {
    printf(
        "%s: %.2f ms, empty route %.2f ms, %.1f×\n",
        $page['name'],
        $page['ms'],
        $page['empty_route_ms'],
        $page['ms'] / $page['empty_route_ms'],
    );
}

/**
 * @param  list<string>  $lines
 * @return list<string>
 */
function sorted(array $lines): array
{
    sort($lines);

    return $lines;
}
