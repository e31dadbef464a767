<?php

declare(strict_types=1);

use App\Ledger\Ledger;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

// Many people saving at once, each an act of twenty milliseconds: one alone, then fifty, with the acts written down at the end
// of the transaction as the product does it, and with the head of the ledger taken first as it once did.
//   saving.php JSON

const SAVERS = 50;
const ACTS = 6;
const WORK = 'SELECT pg_sleep(0.02)';

[, $json] = $argv;
require dirname(__DIR__) . '/vendor/autoload.php';

/** @return list<float> milliseconds of each act, of so many processes that begin together */
function saved(int $savers, bool $collected): array
{
    $begin = microtime(true) + 1.5 + $savers * 0.15;
    $pipes = [];
    for ($saver = 0; $saver < $savers; $saver++) {
        $pair = stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, STREAM_IPPROTO_IP) ?: throw new RuntimeException('No pipe.');
        if (pcntl_fork() === 0) {
            fwrite($pair[1], json_encode(saver("saver {$saver}", $begin, $collected), JSON_THROW_ON_ERROR));
            exit(0);
        }
        fclose($pair[1]);
        $pipes[] = $pair[0];
    }
    $times = array_merge(...array_map(fn($pipe): array => json_decode((string) stream_get_contents($pipe), true) ?? [], $pipes));
    while (pcntl_wait($status) > 0);

    return count($times) === $savers * ACTS ? $times : throw new RuntimeException('Not every act was saved.');
}

/** @return list<float> */
function saver(string $name, float $begin, bool $collected): array
{
    $app = require dirname(__DIR__) . '/bootstrap/app.php';
    $app->make(Kernel::class)->bootstrap();
    $ledger = $app->make(Ledger::class);
    DB::select('SELECT 1');
    time_sleep_until(max($begin, microtime(true) + 0.001));
    $times = [];
    for ($act = 0; $act < ACTS; $act++) {
        $started = hrtime(true);
        $collected
            ? $ledger->together(function () use ($ledger, $name): void {
                $ledger->record($name, 'bench.saved', 'bench');
                DB::select(WORK);
            })
            : DB::transaction(function () use ($ledger, $name): void {
                $ledger->record($name, 'bench.saved', 'bench');
                DB::select(WORK);
            });
        $times[] = (hrtime(true) - $started) / 1e6;
    }

    return $times;
}

$rows = [];
foreach ([['one', 1, true], ['fifty', SAVERS, true], ['fifty, head first', SAVERS, false]] as [$name, $savers, $collected]) {
    $times = saved($savers, $collected);
    sort($times);
    $rows[] = [
        'name' => $name,
        'median_ms' => round($times[intdiv(count($times), 2)], 1),
        'worst_ms' => round(end($times), 1),
        'acts' => count($times),
    ];
}
$alone = $rows[0]['median_ms'];
$rows = array_map(fn(array $row): array => [...$row, 'ratio' => round($row['median_ms'] / $alone, 2)], $rows);
if ($json === '1') {
    echo json_encode(['saving' => $rows], JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR), "\n";
    exit();
}
foreach ($rows as $row) {
    printf(
        "%-20s median %7.1f ms, worst %7.1f ms of %3d acts, %.1f× one alone\n",
        $row['name'],
        $row['median_ms'],
        $row['worst_ms'],
        $row['acts'],
        $row['ratio'],
    );
}
