<?php

declare(strict_types=1);

/*
 * What bin/torture runs against the product that it has started: rounds of bad requests, broken files and kills, in an order and
 * with a content that its seed says, until its time is over. TORTURE_URL, TORTURE_WEB, TORTURE_WORKERS and TORTURE_PLANNING say where
 * and whom.
 */

use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Torture\BadRequests;
use Tests\Torture\BrokenFiles;
use Tests\Torture\Client;
use Tests\Torture\Database;
use Tests\Torture\Kills;
use Tests\Torture\Processes;
use Tests\Torture\Releases;
use Tests\Torture\Rush;

require dirname(__DIR__, 2) . '/vendor/autoload.php';

$begin = time();
$options = getopt('', ['seconds:', 'rounds:', 'seed:', 'json', 'only:', 'many:']);
$seconds = (int) ($options['seconds'] ?? 60);
$seed = (int) ($options['seed'] ?? random_int(1, 999_999));
$people = [];
foreach (['mira.okafor', 'jonas.weir', 'edda.roth', 'helen.marsh', 'clara.fenn', 'ivo.tanner', 'vera.stone'] as $login) {
    $people[$login] = new Client((string) getenv('TORTURE_URL'), $login);
}
$database = new Database((string) getenv('DB_DATABASE'));
$processes = new Processes(
    (int) getenv('TORTURE_WEB'),
    array_map(intval(...), explode(',', (string) getenv('TORTURE_WORKERS'))),
    (int) getenv('TORTURE_PLANNING'),
);
$kills = new Kills($people, $database, new Database((string) getenv('PLANNING_DATABASE')), $processes, date('Y-m-d', time() + 30 * 86_400));
$kinds = [
    'requests' => (new BadRequests($people))->round(...),
    'files' => (new BrokenFiles($people, $database))->round(...),
    'saving' => $kills->saving(...),
    'releasing' => $kills->releasing(...),
    'handing over' => $kills->handingOver(...),
    'importing' => $kills->importing(...),
    'release' => (new Releases($people, $database, $processes, $kills))->round(...),
    'rushing' => (new Rush((string) getenv('TORTURE_URL'), $people, $database, $kills, (int) ($options['many'] ?? 200)))->round(...),
];
// Requests and files are cheap: there are more of them.
$order = [
    'requests',
    'files',
    'rushing',
    'saving',
    'files',
    'requests',
    'releasing',
    'files',
    'saving',
    'requests',
    'importing',
    'files',
    'requests',
    'files',
    'handing over',
];
if (isset($options['only'])) {
    $order = explode(',', (string) $options['only']);
}

$report = [
    'seed' => $seed,
    'tried' => 0,
    'failed' => 0,
    'kinds' => array_fill_keys(array_unique($order), ['tried' => 0, 'failed' => 0]),
    'failures' => [],
];
$note = static function (string $kind, int $round, string $what, ?string $fault) use (&$report): void {
    $report['tried']++;
    $report['kinds'][$kind]['tried']++;
    if ($fault !== null) {
        $report['failed']++;
        $report['kinds'][$kind]['failed']++;
        $report['failures'][] = ['kind' => $kind, 'round' => $round, 'what' => mb_scrub($what), 'why' => mb_scrub($fault)];
        fwrite(STDERR, mb_scrub("{$kind}, round {$round}: {$what}: {$fault}\n"));
    }
};
// So many rounds, or as many as fit into the time. Whoever has seen enough is told what was found until then.
$stopped = false;
pcntl_async_signals(true);
foreach ([SIGINT, SIGTERM] as $signal) {
    pcntl_signal($signal, static function () use (&$stopped): void {
        $stopped = true;
    });
}
$rounds = isset($options['rounds']) ? (int) $options['rounds'] : null;
$goesOn = static fn(int $round, float $until): bool => $rounds === null ? microtime(true) < $until : $round < $rounds;
for ($round = 0, $until = microtime(true) + $seconds; !$stopped && $goesOn($round, $until); $round++) {
    if ($rounds !== null && $round > 0 && $round % 50 === 0) {
        fwrite(STDERR, "{$round} of {$rounds} rounds, {$report['failed']} of {$report['tried']} failed\n");
    }
    $kind = $order[$round % count($order)];
    try {
        foreach ($kinds[$kind](new Randomizer(new Mt19937($seed * 100_003 + $round))) as [$what, $fault]) {
            $note($kind, $round, $what, $fault);
        }
    } catch (RuntimeException $fault) {
        $note($kind, $round, 'what it begins with', $fault->getMessage());
    }
}

$report['kinds']['ledger'] = ['tried' => 0, 'failed' => 0];
exec('php artisan ledger:verify 2>&1', $said, $status);
$note('ledger', $round, 'its chain and its anchors', $status === 0 ? null : implode(' ', $said));
$left = array_filter(
    glob(sys_get_temp_dir() . '/orthotaxis-*') ?: [],
    static fn(string $path): bool => !str_ends_with($path, '.sock') && filemtime($path) >= $begin,
);
// A worker that is killed leaves the folder of what it was at; the scheduler sweeps it away.
$worked = 3 * (($report['kinds']['handing over']['tried'] ?? 0) + ($report['kinds']['release']['tried'] ?? 0));
$killed = 3 * (($report['kinds']['importing']['tried'] ?? 0) + $worked) + 10;
$report['kinds']['left behind'] = ['tried' => 0, 'failed' => 0];
$note('left behind', $round, 'temporary files', count($left) <= $killed ? null : count($left) . ' of them');

if (isset($options['json'])) {
    echo json_encode($report, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES), "\n";
} else {
    echo "Seed {$seed}: {$report['tried']} tried, {$report['failed']} failed\n";
    foreach ($report['kinds'] as $kind => $of) {
        echo "  {$kind}: {$of['tried']} tried, {$of['failed']} failed\n";
    }
}
exit($report['failed'] === 0 ? 0 : 1);
