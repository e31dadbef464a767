<?php

declare(strict_types=1);

/*
 * Measures the three-way merge of edits over many parents, and the transfer of edits to siblings, against a C program over arrays that is
 * given the same. From a fixed seed; needs no database. Required by bench/orders.php.
 */

use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Content\Choice;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Content\Merge;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Engineering\EngineeringContent;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineReader;
use Orthotaxis\Core\Structure\Structure;
use Orthotaxis\Core\Transfer\Fit;
use Orthotaxis\Core\Transfer\Transfer;
use Random\Engine\Mt19937;
use Random\Randomizer;

require_once __DIR__ . '/median.php';

const MERGED_PARENTS = 1_000;
const EDITS_A_PARENT = 5;
const LINES_A_PARENT = 60;
const CARRIED = 500;
const SIBLINGS = 10;
const LINES_AT_HOME = 2_000;
// Turn by turn, as a machine is quicker at one time than at another.
const MERGE_TURNS = 5;
const ROUNDS_A_TURN = 9;

/** @param  array<string, string>  $fields */
function benchLine(string $key, int $find, string $component, string $quantity, array $fields = []): Line
{
    return (new LineReader())->read(
        $key,
        ['find' => (string) $find, 'component' => $component, 'quantity' => $quantity, 'unit' => 'pc'] + $fields,
    );
}

/** @return list<array{EngineeringContent, EngineeringContent, list<ChangeLine>}> base, newer, my edits of each parent; in a file too */
function mergeCases(string $folder): array
{
    $random = new Randomizer(new Mt19937(14));
    $file = fopen("{$folder}/merge.txt", 'wb');
    $cases = [];
    for ($parent = 0; $parent < MERGED_PARENTS; $parent++) {
        fwrite($file, "P\n");
        $base = $newer = [];
        for ($at = 0; $at < LINES_A_PARENT; $at++) {
            $key = sprintf('01a2%08d-%04d-7000-8000-%012d', $parent, $at, $at);
            $base[$key] = benchLine($key, 10 + 10 * $at, "600-{$at}", (string) $random->getInt(1, 9), ['notes' => "n{$at}"]);
            fwrite($file, "B {$key} {$base[$key]->quantity} {$base[$key]->notes}\n");
        }
        foreach ($base as $key => $line) {
            if ($random->getInt(0, 59) === 0) {
                continue;
            }
            // Read apart, as they are from storage: not the same in memory.
            $newer[$key] = match ($random->getInt(0, 9)) {
                0 => $line->with(['quantity' => (string) $random->getInt(1, 9)]),
                1 => $line->with(['notes' => "w{$random->getInt(1, 3)}"]),
                default => clone $line,
            };
            fwrite($file, "N {$key} {$newer[$key]->quantity} {$newer[$key]->notes}\n");
        }
        $mine = $said = [];
        while (count($mine) < EDITS_A_PARENT) {
            $key = (string) $random->pickArrayKeys($base, 1)[0];
            [$field, $value] =
                $random->getInt(0, 1) === 0 ? ['quantity', (string) $random->getInt(10, 19)] : ['notes', "w{$random->getInt(1, 3)}"];
            // What changes nothing is no edit.
            if (($said["{$key} {$field}"] ?? '') !== $value) {
                $said["{$key} {$field}"] = $value;
                $mine[] = new ChangeLine($key, [$field => $value]);
                fwrite($file, "E {$key} {$field} {$value}\n");
            }
        }
        $cases[] = [new EngineeringContent(new Structure($base)), new EngineeringContent(new Structure($newer)), $mine];
    }
    fclose($file);

    return $cases;
}

/**
 * @param  list<array{EngineeringContent, EngineeringContent, list<ChangeLine>}>  $cases
 * @return list<array{int, list<Edit>}> conflicts, and my edits as they hold on the newer, tried there; mine has its way, but not where
 *     the line is gone
 */
function merged(array $cases): array
{
    $merged = [];
    foreach ($cases as [$base, $newer, $mine]) {
        $merge = Merge::of($base, $newer, $mine);
        $choices = [];
        foreach ($merge->conflicts as $conflict) {
            $choices[$conflict->key()] = $conflict->field === '' ? Choice::Theirs : Choice::Mine;
        }
        $merged[] = [count($merge->conflicts), array_values(array_filter($merge->resolved($choices)))];
    }

    return $merged;
}

/** @return array{Comparison, list<Structure>} what was done at home, and the siblings; written to a file too */
function carriedCase(string $folder): array
{
    $random = new Randomizer(new Mt19937(41));
    $file = fopen("{$folder}/carried.txt", 'wb');
    $home = $after = [];
    for ($at = 0; $at < LINES_AT_HOME; $at++) {
        $key = sprintf('01a30000-%04d-7000-8000-%012d', $at, $at);
        $home[$key] = $after[$key] = benchLine($key, 10 + 10 * $at, "700-{$at}", (string) $random->getInt(1, 9));
        fwrite($file, "H {$key} {$home[$key]->find} {$home[$key]->component} {$home[$key]->quantity}\n");
    }
    $keys = $random->pickArrayKeys($home, CARRIED);
    foreach ($keys as $at => $key) {
        $after[$key] = $home[$key]->with(['quantity' => (string) $random->getInt(10, 19)]);
        if ($at % 5 === 0) {
            unset($after[$key]);
        }
    }
    foreach ($home as $key => $line) {
        if (($after[$key] ?? null) !== $line) {
            fwrite($file, 'D ' . $key . ' ' . (isset($after[$key]) ? $after[$key]->quantity : '-') . "\n");
        }
    }
    $siblings = [];
    for ($sibling = 0; $sibling < SIBLINGS; $sibling++) {
        fwrite($file, "S\n");
        $lines = [];
        foreach (array_values($home) as $at => $line) {
            $kind = $random->getInt(0, 19);
            if ($kind === 0) {
                continue;
            }
            $key = $kind < 10 ? $line->key : sprintf('01a4%04d-%04d-7000-8000-%012d', $sibling, $at, $at);
            $quantity = $kind === 1 || $kind === 11 ? (string) $random->getInt(10, 19) : (string) $line->quantity;
            // Some stand there twice, on other find numbers.
            $twice = $kind === 12 || $kind === 13;
            foreach ($twice ? [1, 2] : [0] as $more) {
                $lines[] = benchLine(
                    $more === 2 ? "{$key}b" : $key,
                    $line->find + ($kind === 12 ? $more : max(0, $more - 1)),
                    $line->component,
                    $quantity,
                );
            }
        }
        $siblings[] = new Structure($lines);
        foreach ($siblings[$sibling] as $line) {
            fwrite($file, "L {$line->key} {$line->find} {$line->component} {$line->quantity}\n");
        }
    }
    fclose($file);

    return [Comparison::of(new Structure($home), new Structure($after)), $siblings];
}

/**
 * @param  list<Structure>  $siblings
 * @return list<array<string, int>> of each sibling, by how edits fit
 */
function carriedTo(Comparison $done, array $siblings): array
{
    $fits = [];
    $transfer = Transfer::from($done);
    foreach ($siblings as $sibling) {
        $count = array_fill_keys(array_column(Fit::cases(), 'value'), 0);
        foreach ($transfer->to($sibling) as $carried) {
            $count[$carried->fit->value]++;
        }
        $fits[] = $count;
    }

    return $fits;
}

/** @return array<string, array<string, int|float|bool>> */
function merging(string $folder, string $program): array
{
    $took = $c = [];
    $timed = static function (string $what, Closure $do) use (&$took): array {
        for ($round = 0; $round < ROUNDS_A_TURN; $round++) {
            $started = hrtime(true);
            $answer = $do();
            $took[$what][] = (hrtime(true) - $started) / 1e6;
        }

        return $answer;
    };
    $cases = mergeCases($folder);
    [$done, $siblings] = carriedCase($folder);
    // A process that serves has long compiled what it goes through often.
    for ($warm = 0; $warm < ROUNDS_A_TURN; $warm++) {
        [merged($cases), carriedTo($done, $siblings)];
    }
    for ($turn = 0; $turn < MERGE_TURNS; $turn++) {
        $merged = $timed('merge', static fn(): array => merged($cases));
        $fits = $timed('transfer', static fn(): array => carriedTo($done, $siblings));
        $output = [];
        exec(implode(' ', array_map(escapeshellarg(...), [$program, $folder, (string) ROUNDS_A_TURN])), $output, $status);
        foreach ($status === 0 ? $output : throw new RuntimeException('The C program failed.') as $said) {
            [$what, $ms] = explode(' ', $said);
            $c[$what][] = (float) $ms;
        }
    }
    [$mergeMs, $transferMs] = [median($took['merge']), median($took['transfer'])];
    $lines = '';
    foreach ($merged as $at => [$conflicts, $edits]) {
        $content = $cases[$at][1]->edited($edits);
        $lines .= "parent {$conflicts}\n";
        foreach ($cases[$at][1]->structure as $line) {
            $now = $content->structure->line($line->key);
            $lines .= "{$line->key} {$now?->quantity} {$now?->notes}\n";
        }
    }
    $carried = implode(
        '',
        array_map(
            static fn(array $one): string => sprintf(
                "sibling fits %d differs %d none %d already %d\n",
                $one['fits'],
                $one['differs'],
                $one['none'],
                $one['already'],
            ),
            $fits,
        ),
    );

    return [
        'merge' => [
            'edits' => MERGED_PARENTS * EDITS_A_PARENT,
            'parents' => MERGED_PARENTS,
            'ours_ms' => round($mergeMs, 2),
            'c_ms' => round(median($c['merge']), 3),
            'times_c' => round($mergeMs / median($c['merge']), 1),
            'equal' => $lines === file_get_contents("{$folder}/merge.c"),
        ],
        'transfer' => [
            'edits' => CARRIED,
            'siblings' => SIBLINGS,
            'ours_ms' => round($transferMs, 2),
            'c_ms' => round(median($c['transfer']), 3),
            'times_c' => round($transferMs / median($c['transfer']), 1),
            'equal' => $carried === file_get_contents("{$folder}/carried.c"),
        ],
    ];
}
