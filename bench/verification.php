<?php

declare(strict_types=1);

use App\Days\Today;
use App\Verification\Actions\AskVerification;
use App\Verification\Actions\VerifyPlanning;
use App\Verification\Models\PlanningDifference;
use App\Verification\Models\Verification;
use App\Verification\OurCopy;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Symfony\Component\Process\Process;

// All that planning has compared with what holds, by digests and then row by row, against comm, a C program that compares two sorted
// files of the same rows.
//   verification.php JSON FOLDER

/** One row in so many is another in planning. */
const ONE_IN = 1_000;

[, $json, $folder] = $argv;
require dirname(__DIR__) . '/vendor/autoload.php';
$app = require dirname(__DIR__) . '/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
require __DIR__ . '/median.php';

$planning = Http::withToken(config()->string('orthotaxis.planning.token'))
    ->baseUrl(config()->string('orthotaxis.planning.url'))
    ->timeout(600);
$today = (string) Today::day();
$planning->post('/load', ['today' => $today, 'items' => []])->throw();
[$here, $there] = [fopen("{$folder}/here.txt", 'wb'), fopen("{$folder}/there.txt", 'wb')];
$rows = $other = 0;
foreach (DB::table('items')->orderBy('number')->pluck('number')->chunk(2_000) as $items) {
    $text = app(OurCopy::class)->of($items->values()->all(), $today);
    if ($text === '') {
        continue;
    }
    $told = [];
    foreach (explode("\n", $text) as $row) {
        $changed = ++$rows % ONE_IN === 0 && str_contains($row, '"quantity": "');
        $other += $changed ? 1 : 0;
        $told[] = $changed ? str_replace('"quantity": "', '"quantity": "9', $row) : $row;
    }
    fwrite($here, "{$text}\n");
    fwrite($there, implode("\n", $told) . "\n");
    $planning->post('/load', ['today' => $today, 'items' => [], 'more' => true, 'copy' => implode("\n", $told)])->throw();
}
fclose($here);
fclose($there);
foreach (['here', 'there'] as $side) {
    (new Process(['sort', '-o', "{$side}.txt", "{$side}.txt"], $folder, ['LC_ALL' => 'C'], timeout: 600))->mustRun();
}

// As databases do by themselves after a minute.
$tidied = DB::connectUsing(
    'planning',
    ['database' => (string) getenv('PLANNING_DATABASE')] + config()->array('database.connections.pgsql'),
);
$tidied->unprepared('VACUUM ANALYZE');

/** @param  Closure(): mixed  $work */
function milliseconds(Closure $work): float
{
    $started = hrtime(true);
    $work();

    return (hrtime(true) - $started) / 1e6;
}

// Turn by turn, as a machine is quicker at one time than at another.
$compared = static fn(): float => milliseconds(
    static fn() => (new Process(
        ['sh', '-c', 'comm -3 here.txt there.txt > differing.txt'],
        $folder,
        ['LC_ALL' => 'C'],
        timeout: 600,
    ))->mustRun(),
);
DB::table('verifications')
    ->where('state', 'waiting')
    ->update(['state' => 'cancelled']);
config(['queue.default' => 'null']);
$verify = static function (): void {
    app(AskVerification::class)->everything();
    app(VerifyPlanning::class)((int) Verification::query()->max('id'));
};
memory_reset_peak_usage();
// The first one reckons the digests of all that is released; each night those of what was released that day.
DB::table('content_digests')->delete();
$first = milliseconds($verify);
DB::unprepared('VACUUM ANALYZE content_digests');
$tidied->unprepared('VACUUM ANALYZE kept_revision');
$c = $took = [];
for ($turn = 0; $turn < 5; $turn++) {
    $c[] = $compared();
    $took[] = milliseconds($verify);
}
[$c, $took] = [median($c), median($took)];
$run = Verification::query()->orderByDesc('id')->firstOrFail();
$report = [
    'rows' => $run->compared,
    'differing' => $run->differing,
    'expected' => $other,
    'first_ms' => round($first),
    'verified_ms' => round($took),
    'comm_ms' => round($c),
    'times_comm' => round($took / $c, 1),
    'peak_mb' => round(memory_get_peak_usage(true) / 1e6),
];
PlanningDifference::query()->delete();
if ($run->differing !== $other || substr_count((string) file_get_contents("{$folder}/differing.txt"), "\n") !== 2 * $other) {
    fwrite(STDERR, "They do not agree on what differs: {$run->differing} where {$other} do, {$run->state->value} {$run->fault}.\n");
    exit(1);
}
// One report is given as JSON, of this and of what follows it.
file_put_contents("{$folder}/verification.json", json_encode($report, JSON_THROW_ON_ERROR));
if ($json === '1') {
    exit();
}
printf(
    "verification     %s rows compared with planning's copy in %.1f s (%.1f s the first time), %d MB, %d differ; two sorted files in C %.2f s, %.1f×\n",
    number_format($report['rows']),
    $report['verified_ms'] / 1e3,
    $report['first_ms'] / 1e3,
    $report['peak_mb'],
    $report['differing'],
    $report['comm_ms'] / 1e3,
    $report['times_comm'],
);
