<?php

declare(strict_types=1);

use Orthotaxis\Core\Ledger\Chain;
use Orthotaxis\Core\Ledger\Record;

$chain = function (int $length): array {
    $records = [];
    for ($i = 1; $i <= $length; $i++) {
        $records[] = Chain::append(end($records) ?: null, '2026-11-23T09:00:00Z', 'mira', 'order.planned', 'ECO-00001', '{"n":'.$i.'}');
    }

    return $records;
};

it('is whole when nothing was touched', function () use ($chain): void {
    expect(Chain::firstFault($chain(20), 20))->toBeNull()->and(Chain::firstFault([], 0))->toBeNull();
});

it('finds the first record that was altered, removed or put in between', function (callable $touch, int $number, string $what) use ($chain): void {
    $fault = Chain::firstFault($touch($chain(10)), 10);
    expect($fault?->number)->toBe($number)->and($fault?->what)->toContain($what);
})->with([
    'altered' => [fn (array $r): array => array_replace($r, [4 => new Record(5, $r[4]->at, 'somebody', $r[4]->act, $r[4]->subject, $r[4]->details, $r[4]->before, $r[4]->hash)]), 5, 'altered'],
    'removed' => [fn (array $r): array => array_values(array_diff_key($r, [6 => true])), 7, 'removed'],
    'removed at the end' => [fn (array $r): array => array_slice($r, 0, 9), 10, 'removed'],
    'inserted' => [fn (array $r): array => [...array_slice($r, 0, 3), Chain::append($r[1], '2026-11-23T09:00:00Z', 'x', 'y', 'z', '{}'), ...array_slice($r, 3)], 4, 'inserted'],
    'altered and hashed anew' => [fn (array $r): array => array_replace($r, [4 => Chain::append($r[3], $r[4]->at, 'somebody', $r[4]->act, $r[4]->subject, $r[4]->details)]), 6, 'out of chain'],
    'added at the end' => [fn (array $r): array => [...$r, Chain::append($r[9], '2026-11-23T09:00:00Z', 'x', 'y', 'z', '{}')], 11, 'inserted'],
]);
