<?php

declare(strict_types=1);

/*
 * Reach of the most shared item against the same by recursive SQL. Called by bin/bench, which has set the database up:
 * reach.php FOLDER. Prints one question as JSON.
 */

use Illuminate\Contracts\Console\Kernel;

require dirname(__DIR__) . '/vendor/autoload.php';
require __DIR__ . '/sql.php';
$app = require dirname(__DIR__) . '/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
[, $folder] = $argv;

/** @param  list<float>  $times */
function middleOf(array $times): float
{
    sort($times);

    return $times[intdiv(count($times), 2)];
}

$shared = (int) DB::scalar(
    'SELECT component_id FROM structure_lines GROUP BY component_id ORDER BY count(*) DESC, component_id DESC LIMIT 1',
);
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
                'r',
                '11',
                "{$folder}/reach",
                (string) $shared,
            ]),
        ),
    ),
    true,
    flags: JSON_THROW_ON_ERROR,
);
$times = [];
for ($round = 0; $round < 3; $round++) {
    $started = hrtime(true);
    $rows = DB::select(RecursiveSql::reach($shared));
    $times[] = (hrtime(true) - $started) / 1e6;
}
$fromSql = array_map(static fn(stdClass $row): string => "{$row->item} {$row->quantity}", $rows);
sort($fromSql);
echo json_encode(
    [
        'name' => 'reach of the most shared item',
        'rows' => count($fromSql),
        'ours_first_ms' => round($own['times'][0], 3),
        'ours_ms' => round(middleOf(array_slice($own['times'], 1)), 3),
        'sql_ms' => round(middleOf($times), 3),
        'equal' => $fromSql === array_values(array_filter(explode("\n", (string) file_get_contents("{$folder}/reach")))),
        'peak_mb' => round($own['peak'] / 1e6, 1),
    ],
    JSON_UNESCAPED_UNICODE,
);
