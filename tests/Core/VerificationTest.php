<?php

declare(strict_types=1);

use Orthotaxis\Core\Handover\Document;
use Orthotaxis\Core\Handover\Entry;
use Orthotaxis\Core\Handover\EntryAction;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Verification\CopyComparison;
use Orthotaxis\Core\Verification\CopyDifference;
use Orthotaxis\Core\Verification\CopyDigests;
use Orthotaxis\Core\Verification\CopyRow;
use Orthotaxis\Core\Verification\Mover;

/** Rows of a copy, sorted as they have to be. */
function copyOf(string ...$rows): string
{
    sort($rows, SORT_STRING);

    return implode("\n", $rows);
}

/** @param  array<string, string>  $says */
function copyLine(string $find, string $component, array $says, string $firstDay = '', string $revision = 'G'): string
{
    return implode("\t", ['engineering', '', '200-0010', $revision, 'line', $find, $component, $firstDay]) .
        "\t" .
        json_encode((object) $says);
}

function copyHead(string $revision = 'G', string $day = '2026-12-08', string $structure = 'engineering', string $plant = ''): string
{
    return "{$structure}\t{$plant}\t200-0010\t{$revision}\t\t\t\t\t" . json_encode(['effectiveFrom' => $day]);
}

/** @return list<array{string, string, array<string, array{string, string}>}> mark, label and fields of each difference */
function copyTold(string $ours, string $theirs): array
{
    return array_map(
        static fn(CopyDifference $one): array => [$one->mark()->value, $one->row()->label(), $one->fields()],
        CopyComparison::of($ours, $theirs),
    );
}

it('finds what planning lacks, has besides, has otherwise, and has in place of another', function (): void {
    $pin = copyLine('10', '200-0040', ['quantity' => '4', 'unit' => 'pc']);
    $ours = copyOf(
        copyHead(),
        $pin,
        copyLine('20', '200-0041', ['quantity' => '0.5', 'unit' => 'm']),
        copyLine('30', '200-0042', ['quantity' => '1', 'unit' => 'pc']),
        copyLine('50', '200-0044', ['quantity' => '2', 'unit' => 'pc']),
    );
    $theirs = copyOf(
        copyHead(),
        copyLine('10', '200-0040', ['quantity' => '3', 'unit' => 'pc']),
        copyLine('20', '200-0041', ['quantity' => '0.5', 'unit' => 'm']),
        copyLine('40', '200-0043', ['quantity' => '1', 'unit' => 'pc']),
        copyLine('50', '200-0045', ['quantity' => '2', 'unit' => 'pc']),
    );
    expect(copyTold($ours, $theirs))->toBe([
        ['change', 'Line 10 200-0040', ['quantity' => ['3', '4']]],
        ['add', 'Line 30 200-0042', ['component' => ['', '200-0042'], 'quantity' => ['', '1'], 'unit' => ['', 'pc']]],
        ['remove', 'Line 40 200-0043', ['component' => ['200-0043', ''], 'quantity' => ['1', ''], 'unit' => ['pc', '']]],
        ['replace', 'Line 50 200-0044', ['component' => ['200-0045', '200-0044']]],
    ]);
    expect(CopyComparison::of($ours, $ours))->toBe([])->and(CopyComparison::of('', ''))->toBe([]);
});

it('takes a number for the same however its zeros are written, and a day for another', function (): void {
    $ours = copyOf(copyHead(), copyLine('10', '200-0040', ['quantity' => '0.5', 'lastDay' => '2027-01-31']));
    expect(copyTold($ours, copyOf(copyHead(), copyLine('10', '200-0040', ['quantity' => '0.500', 'lastDay' => '2027-01-31']))))
        ->toBe([])
        ->and(copyTold($ours, copyOf(copyHead(day: '2026-12-09'), copyLine('10', '200-0040', ['quantity' => '0.5']))))
        ->toBe([
            ['change', 'Revision', ['effectiveFrom' => ['2026-12-09', '2026-12-08']]],
            ['change', 'Line 10 200-0040', ['lastDay' => ['', '2027-01-31']]],
        ]);
});

it('tells operations and data of items by their names', function (): void {
    $operation = "manufacturing\tWeir\t200-0010\tC\toperation\t20\t\t\t" . json_encode(['operationTitle' => 'Press']);
    $field = "item_data\t\t200-0010\tB\tfield\tsafety_stock@Weir\t\t\t" . json_encode(['value' => '250']);
    expect(copyTold(copyOf($field, $operation), ''))->toBe([
        ['add', 'Safety stock at Weir', ['value' => ['', '250']]],
        ['add', 'Operation 20', ['operationTitle' => ['', 'Press']]],
    ]);
    $entries = CopyDifference::corrections(CopyComparison::of(copyOf($field, $operation), ''));
    expect($entries[0]->fields)
        ->toBe(['field' => 'safety_stock', 'of' => 'Weir', 'value' => '250'])
        ->and($entries[1]->fields)
        ->toBe(['operation' => 20, 'operationTitle' => 'Press'])
        ->and($entries[1]->subject->plant)
        ->toBe('Weir');
});

it('is not led by a copy that is out of order, says something twice, or cannot be read', function (string $theirs): void {
    expect(static fn() => CopyComparison::of(copyHead(), $theirs))->toThrow(Refusal::class);
})->with([
    'out of order' => [copyLine('20', 'a', []) . "\n" . copyLine('10', 'a', [])],
    'twice' => [copyLine('10', 'a', ['quantity' => '1']) . "\n" . copyLine('10', 'a', ['quantity' => '2'])],
    'no columns' => ['nonsense'],
    'no JSON' => ["engineering\t\t200-0010\tG\tline\t10\ta\t\t{"],
    'not texts' => ["engineering\t\t200-0010\tG\tline\t10\ta\t\t" . json_encode(['quantity' => ['1']])],
    'no such structure' => ["design\t\t200-0010\tG\tline\t10\ta\t\t{}"],
    'no such field' => ["item_data\t\t200-0010\tG\tfield\tcolour\t\t\t{}"],
]);

it('corrects a line that is to begin on another day by taking away and adding', function (): void {
    $differences = CopyComparison::of(
        copyOf(copyLine('10', '200-0040', ['quantity' => '4'], '2027-01-01')),
        copyOf(copyLine('10', '200-0040', ['quantity' => '4'], '2026-12-01')),
    );
    $document = Document::correction(123, '2026-11-29T08:00:00Z', '2026-12-08', 'Correction', CopyDifference::corrections($differences));
    expect($document->name())
        ->toBe('correction_2026-12-08_000123')
        ->and(array_map(static fn(Entry $entry): array => [$entry->number, $entry->action, $entry->fields['firstDay']], $document->entries))
        ->toBe([[1, EntryAction::Remove, '2026-12-01'], [2, EntryAction::Change, '2027-01-01']]);
});

it('says who moved', function (?string $ours, ?string $theirs, ?string $answer, bool $wasEqual, ?Mover $successor, Mover $expected): void {
    $row = static fn(?string $quantity): ?CopyRow => $quantity === null
        ? null
        : CopyRow::read(copyLine('10', '200-0040', ['quantity' => $quantity]));
    expect(Mover::of(new CopyDifference($row($ours), $row($theirs)), $answer, $wasEqual, $successor))->toBe($expected);
})->with([
    'accepted as four, is three' => ['4', '3', 'taken', false, null, Mover::There],
    'accepted, is not there' => ['4', null, 'taken', false, null, Mover::There],
    'rejected' => ['4', null, 'refused', true, null, Mover::Never],
    'on its way' => ['4', '3', 'waiting', true, null, Mover::Here],
    'never handed over, found the same once' => ['4', '3', null, true, null, Mover::There],
    'never handed over nor found the same' => ['4', null, null, false, null, Mover::Never],
    'put there by somebody' => [null, '3', null, false, null, Mover::There],
    'of a revision whose successor was never taken' => [null, '3', 'taken', true, Mover::Never, Mover::Never],
]);

/** @return array{string, string} two copies that differ at random */
function twoCopies(int $seed): array
{
    $random = new Random\Randomizer(new Random\Engine\Mt19937($seed));
    $copy = static function () use ($random): string {
        $rows = [];
        for ($i = $random->getInt(0, 25); $i > 0; $i--) {
            $revision = ['F', 'G', 'GA'][$random->getInt(0, 2)];
            $line = copyLine(
                (string) $random->getInt(1, 12),
                '200-00' . $random->getInt(40, 44),
                array_filter(['quantity' => (string) $random->getInt(0, 3), 'unit' => ['', 'pc'][$random->getInt(0, 1)]]),
                ['', '2027-01-01'][$random->getInt(0, 1)],
                $revision,
            );
            $rows[CopyRow::keyOf($line)] = $line;
            $rows["head {$revision}"] = copyHead($revision);
        }

        return copyOf(...array_values($rows));
    };

    return [$copy(), $copy()];
}

it('is the same seen from the other side, with what is added and removed swapped and nothing else', function (): void {
    $swapped = ['add' => 'remove', 'remove' => 'add', 'change' => 'change', 'replace' => 'replace'];
    for ($seed = 0; $seed < 200; $seed++) {
        [$a, $b] = twoCopies($seed);
        $there = array_count_values(array_map(static fn(CopyDifference $one): string => $one->mark()->value, CopyComparison::of($a, $b)));
        $back = array_count_values(
            array_map(static fn(CopyDifference $one): string => $swapped[$one->mark()->value], CopyComparison::of($b, $a)),
        );
        ksort($there);
        ksort($back);
        expect($there)->toBe($back);
    }
});

/** Its digests, reckoned as the rule reads. */
function digestsOf(string $copy): string
{
    $rows = [];
    foreach ($copy === '' ? [] : explode("\n", $copy) as $row) {
        $rows[implode("\t", array_slice(explode("\t", $row), 0, 4))][] = "{$row}\n";
    }

    return implode(
        "\n",
        array_map(
            static fn(string $key, array $of): string => "{$key}\t" . hash('sha256', implode('', $of)),
            array_keys($rows),
            array_values($rows),
        ),
    );
}

it('knows by digests of which items the rows have to be read, and of no others', function (): void {
    $digest = static fn(string $item, string $revision, string $of): string => "engineering\t\t{$item}\t{$revision}\t" .
        hash('sha256', $of);
    $same = $digest('200-0010', 'F', 'a');
    expect(CopyDigests::differing(copyOf($same, $digest('200-0001', 'B', 'a')), copyOf($digest('200-0001', 'B', 'a'), $same)))
        ->toBe([])
        ->and(CopyDigests::differing(copyOf($same, $digest('200-0001', 'B', 'a')), copyOf($same, $digest('200-0001', 'B', 'b'))))
        ->toBe(['200-0001'])
        // A revision that one side does not have, here or there.
        ->and(CopyDigests::differing(copyOf($same, $digest('0041', 'G', 'a')), $same))
        ->toBe(['0041'])
        ->and(CopyDigests::differing('', $same))
        ->toBe(['200-0010'])
        ->and(CopyDigests::differing('', ''))
        ->toBe([]);
    foreach (['nonsense', "{$same}0", "design{$same}", "{$same}\n"] as $theirs) {
        expect(static fn() => CopyDigests::differing($same, $theirs))->toThrow(Refusal::class);
    }
});

it('misses no row that differs when it reads by digests, from whichever side', function (): void {
    for ($seed = 0; $seed < 200; $seed++) {
        [$a, $b] = twoCopies($seed);
        $differing = CopyDigests::differing(digestsOf($a), digestsOf($b));
        expect($differing)->toEqualCanonicalizing(CopyDigests::differing(digestsOf($b), digestsOf($a)));
        expect(CopyDigests::differing(digestsOf($a), digestsOf($a)))->toBe([]);
        foreach (CopyComparison::of($a, $b) as $one) {
            expect($differing)->toContain($one->row()->subject->item);
        }
    }
});

it('gives a correction after which both say the same', function (): void {
    for ($seed = 0; $seed < 200; $seed++) {
        [$ours, $theirs] = twoCopies($seed);
        $differences = CopyComparison::of($ours, $theirs);
        $kept = [];
        foreach ($theirs === '' ? [] : explode("\n", $theirs) as $row) {
            $kept[CopyRow::keyOf($row)] = $row;
        }
        $entries = CopyDifference::corrections($differences);
        foreach ($entries as $entry) {
            $says = array_filter(array_diff_key($entry->fields, ['find' => 0, 'component' => 0, 'firstDay' => 0, 'replaces' => 0]));
            $row = isset($entry->fields['find'])
                ? copyLine(
                    (string) $entry->fields['find'],
                    (string) $entry->fields['component'],
                    $says,
                    (string) $entry->fields['firstDay'],
                    $entry->revision,
                )
                : copyHead($entry->revision);
            unset($kept[CopyRow::keyOf($row)]);
            if ($entry->action !== EntryAction::Remove) {
                $kept[CopyRow::keyOf($row)] = $row;
            }
        }
        expect(CopyComparison::of($ours, copyOf(...array_values($kept))))
            ->toBe([])
            ->and(array_column($entries, 'number'))
            ->toBe($entries === [] ? [] : range(1, count($entries)));
    }
});
