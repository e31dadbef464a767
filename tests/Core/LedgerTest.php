<?php

declare(strict_types=1);

use Orthotaxis\Core\Ledger\Anchor;
use Orthotaxis\Core\Ledger\Chain;
use Orthotaxis\Core\Ledger\Excerpt;
use Orthotaxis\Core\Ledger\Record;
use Orthotaxis\Core\Refusal;

$chain = function (int $length): array {
    $records = [];
    for ($i = 1; $i <= $length; $i++) {
        $records[] = Chain::append(end($records) ?: null, '2026-11-23T09:00:00Z', 'mira', 'order.planned', 'ECO-00001', '{"n":' . $i . '}');
    }

    return $records;
};

/** @param  list<Record>  $records */
$head = fn(array $records): string => end($records) === false ? Chain::START : end($records)->hash;

it('is whole when nothing was touched', function () use ($chain, $head): void {
    $records = $chain(20);
    expect(Chain::faults($records, 20, $head($records), [7 => $records[6]->hash, 20 => $records[19]->hash]))
        ->toBe([])
        ->and(Chain::faults([], 0, Chain::START))
        ->toBe([]);
});

it('finds what was altered, removed or put in between', function (callable $touch, int $number, string $what) use ($chain, $head): void {
    $records = $chain(10);
    $fault = Chain::faults($touch($records), 10, $head($records))[0] ?? null;
    expect($fault?->number)->toBe($number)->and($fault?->what)->toContain($what);
})->with([
    'altered' => [
        fn(array $r): array => array_replace($r, [
            4 => new Record(5, $r[4]->at, 'somebody', $r[4]->act, $r[4]->subject, $r[4]->details, $r[4]->before, $r[4]->hash),
        ]),
        5,
        'altered',
    ],
    'removed' => [fn(array $r): array => array_values(array_diff_key($r, [6 => true])), 7, 'removed'],
    'removed at the end' => [fn(array $r): array => array_slice($r, 0, 9), 10, 'removed'],
    'inserted' => [
        fn(array $r): array => [
            ...array_slice($r, 0, 3),
            Chain::append($r[1], '2026-11-23T09:00:00Z', 'x', 'y', 'z', '{}'),
            ...array_slice($r, 3),
        ],
        4,
        'inserted',
    ],
    'altered and hashed anew' => [
        fn(array $r): array => array_replace($r, [
            4 => Chain::append($r[3], $r[4]->at, 'somebody', $r[4]->act, $r[4]->subject, $r[4]->details),
        ]),
        6,
        'out of chain',
    ],
    'the last one altered and hashed anew' => [
        fn(array $r): array => array_replace($r, [
            9 => Chain::append($r[8], $r[9]->at, 'somebody', $r[9]->act, $r[9]->subject, $r[9]->details),
        ]),
        10,
        'head',
    ],
    'added at the end' => [
        fn(array $r): array => [...$r, Chain::append($r[9], '2026-11-23T09:00:00Z', 'x', 'y', 'z', '{}')],
        11,
        'inserted',
    ],
]);

it('tells all faults, not only the first', function () use ($chain, $head): void {
    $records = $chain(12);
    $as = fn(int $at): Record => new Record(
        $at + 1,
        $records[$at]->at,
        'somebody',
        'x',
        'y',
        '{}',
        $records[$at]->before,
        $records[$at]->hash,
    );
    $faults = Chain::faults(
        array_values(array_diff_key(array_replace($records, [2 => $as(2), 8 => $as(8)]), [5 => true])),
        12,
        $head($records),
    );
    expect(array_map(static fn($fault): string => "{$fault->number} " . strtok($fault->what, ':'), $faults))->toBe([
        '3 altered',
        '6 removed',
        '7 out of chain',
        '9 altered',
    ]);
});

it('finds by what was noted outside a chain that is made anew, and a tail that is cut together with its count', function () use (
    $chain,
    $head,
): void {
    $records = $chain(10);
    $anchored = [4 => $records[3]->hash, 9 => $records[8]->hash];
    $anew = array_slice($records, 0, 6);
    while (count($anew) < 10) {
        $anew[] = Chain::append(end($anew), '2026-11-23T09:00:00Z', 'mira', 'order.planned', 'ECO-00001', '{"n":0}');
    }
    expect(Chain::faults($anew, 10, $head($anew)))
        ->toBe([])
        ->and(Chain::faults($anew, 10, $head($anew), $anchored)[0]->number)
        ->toBe(9);
    $cut = array_slice($records, 0, 7);
    expect(Chain::faults($cut, 7, $head($cut)))
        ->toBe([])
        ->and(Chain::faults($cut, 7, $head($cut), $anchored)[0]->what)
        ->toContain('removed');
});

it('notes what a ledger had come to so that nobody without the key can write or change a note', function (): void {
    $first = Anchor::after(null, 4, '2026-11-23T09:00:00Z', str_repeat('a', 64), 'key');
    $second = Anchor::after($first, 9, '2026-11-24T09:00:00Z', str_repeat('b', 64), 'key');
    $line = fn(Anchor $anchor): string => (string) $anchor;
    expect(Anchor::readAll([$line($first), $line($second)], 'key'))->toEqual([$first, $second]);
    foreach (
        [
            [str_replace('aaaa', 'cccc', $line($first)), $line($second)],
            [$line($second)],
            [$line($second), $line($first)],
            [$line($first), 'nonsense'],
        ]
        as $lines
    ) {
        expect(fn() => Anchor::readAll($lines, 'key'))->toThrow(Refusal::class);
    }
    expect(fn() => Anchor::readAll([$line($first)], 'another'))->toThrow(Refusal::class);
});

it('goes out with its hashes over the very text that they are of, in a row', function () use ($chain): void {
    $records = $chain(3);
    $excerpt = new Excerpt('Quillback', 2, 3, $records[0]->hash, $records[2]->hash, '2026-11-29T09:00:00Z');
    expect($excerpt->head())
        ->toBe(
            '{"ledger":"Quillback","from":2,"to":3,"before":"' .
                $records[0]->hash .
                '","hash":"' .
                $records[2]->hash .
                '","exported_at":"2026-11-29T09:00:00Z"}',
        )
        ->and(Excerpt::line($records[1]))
        ->toBe(
            $records[1]->hash . ' [2,"2026-11-23T09:00:00Z","mira","order.planned","ECO-00001","{\"n\":2}","' . $records[0]->hash . '"]',
        );
    foreach ($records as $record) {
        [$hash, $text] = explode(' ', Excerpt::line($record), 2);
        expect(hash('sha256', $text))->toBe($hash);
    }
});
