<?php

declare(strict_types=1);

/*
 * Answers one question as a request does, in a process of its own: ours.php KIND ROUNDS ANSWER-FILE ITEM [ITEM]
 * with KIND u (where-used), r (reach), d (summed explosion) or c (comparison). Everything is opened anew in each round, as PHP does
 * for each request; the first round also compiles the lists of the index. Prints milliseconds of each round and peak memory.
 */

use App\Days\Today;
use App\Structures\Compare\IndexSide;
use App\Structures\Index\StructureIndex;
use App\Structures\StructureView;
use Illuminate\Contracts\Console\Kernel;
use Orthotaxis\Core\Adjacency\Explosion;
use Orthotaxis\Core\Adjacency\WhereUsed;
use Orthotaxis\Core\Comparison\DeepComparison;
use Orthotaxis\Core\Impact\Reach;

require dirname(__DIR__) . '/vendor/autoload.php';
$app = require dirname(__DIR__) . '/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

[, $kind, $rounds, $file] = $argv;
$items = array_map(intval(...), array_slice($argv, 4));
$day = Today::day();
DB::select('SELECT 1');
// What a worker has loaded already when the question comes: its classes, not the lists.
array_map(class_exists(...), [
    Explosion::class,
    WhereUsed::class,
    Reach::class,
    DeepComparison::class,
    IndexSide::class,
    StructureIndex::class,
]);

$times = [];
for ($round = 0; $round < (int) $rounds; $round++) {
    $started = hrtime(true);
    $index = StructureIndex::open();
    $at = array_map($index->positions->of(...), $items);
    $answer = match ($kind) {
        'u' => WhereUsed::of($index->adjacency, $at[0], $day->number()),
        'r' => $index->reach($items, $day),
        'd' => Explosion::of($index->adjacency, $at[0], $day->number()),
        default => DeepComparison::of(
            new IndexSide($index, new StructureView(), $day),
            $at[0],
            new IndexSide($index, new StructureView(), $day),
            $at[1],
            moves: false,
        ),
    };
    $totals = $kind === 'd' ? $answer->totals() : null;
    $times[] = (hrtime(true) - $started) / 1e6;
    $peak = memory_get_peak_usage(true);
    if ($round === 0) {
        $values = [];
        if ($answer instanceof DeepComparison) {
            foreach ($answer->parents as $parent) {
                foreach ($parent->differences as $difference) {
                    $values[] = ($difference->before->key ?? '-') . ' ' . ($difference->after->key ?? '-');
                }
            }
        } elseif ($answer instanceof Reach) {
            foreach (array_filter($answer->levels) as $position => $level) {
                $values[] = $index->positions->item($position) . ' ' . $level;
            }
        } elseif ($answer instanceof WhereUsed) {
            foreach ($answer->parents as $position) {
                $values[] = $index->positions->item($position) . ' ' . $answer->quantity($position)->millionths;
            }
        } else {
            foreach ($totals as $position => $millionths) {
                $values[] = $index->positions->item($position) . ' ' . $millionths;
            }
        }
        sort($values);
        file_put_contents($file, implode("\n", $values));
    }
    unset($answer, $totals, $index);
}
echo json_encode(['times' => $times, 'peak' => $peak]);
