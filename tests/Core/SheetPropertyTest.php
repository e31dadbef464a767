<?php

declare(strict_types=1);

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\Validity;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Content\Choice;
use Orthotaxis\Core\Content\Merge;
use Orthotaxis\Core\Edit\Edits;
use Orthotaxis\Core\Engineering\EngineeringContent;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineReader;
use Orthotaxis\Core\Structure\Structure;
use Orthotaxis\Core\Text\SpreadsheetText;
use Random\Randomizer;
use Tests\Core\Support\Make;

/*
 * What a sheet of an order rests on: its lines go out as texts and come back, what differs from how they were is edits, and these are
 * merged with what others did meanwhile.
 */

const SHEETS = 3_000;

/** Lines with everything that a cell can say, days and formulas among it. */
$structure = static function (Randomizer $r): Structure {
    $lines = [];
    for ($at = 0, $n = $r->getInt(0, 6); $at < $n; $at++) {
        $from = $r->getInt(0, 2) === 0 ? Day::parse('2027-01-01')->plusDays($r->getInt(0, 300)) : null;
        $lines[] = new Line(
            key: "k{$at}",
            find: 10 * $r->getInt(1, 9),
            component: 'P-' . $r->getInt(1, 5),
            quantity: Quantity::ofMillionths($r->getInt(1, 4_000) * 2_500),
            unit: Unit::Metre,
            notes: ['', '=1+2', '+5 V', "'-off", 'wall "1.6" mm, cut'][$r->getInt(0, 4)],
            notModelled: $r->getInt(0, 1) === 1,
            validity: new Validity($from, $r->getInt(0, 2) === 0 ? ($from ?? Day::parse('2027-06-01'))->plusDays($r->getInt(1, 99)) : null),
            phantom: $r->getInt(0, 5) === 0,
            revision: [null, null, 'A', 'B'][$r->getInt(0, 3)],
        );
    }

    return new Structure($lines);
};

/** Somebody's changes: lines that go, come, or are otherwise. */
$changed = static function (Structure $of, Randomizer $r, string $who) use ($structure): Structure {
    $lines = [];
    foreach ($of as $line) {
        $lines[] = match ($r->getInt(0, 5)) {
            0 => null,
            1 => $line->with(['quantity' => (string) $r->getInt(1, 9)]),
            2 => $line->with(['notes' => "{$who} " . $r->getInt(1, 2)]),
            3 => $line->with(['component' => 'P-' . $r->getInt(6, 7)]),
            default => $line,
        };
    }
    foreach ($r->getInt(0, 2) === 0 ? $structure($r) : [] as $line) {
        $lines[] = new Line("{$who} {$line->key}", 500 + $line->find, $line->component, $line->quantity, $line->unit, notes: $line->notes);
    }

    return new Structure(array_filter($lines));
};

/** As it is in a cell of a file, and read again. */
$through = static function (Structure $of): Structure {
    $reader = new LineReader();
    $lines = [];
    foreach ($of as $line) {
        $cells = array_map(static fn(string $text): string => SpreadsheetText::read(SpreadsheetText::written($text)), $line->texts());
        $lines[] = $reader->read($line->key, $cells);
    }

    return new Structure($lines);
};

it('changes nothing when a sheet goes out and comes in again', function () use ($structure, $through): void {
    Make::many(static function (Randomizer $r) use ($structure, $through): void {
        $was = $structure($r);
        $back = $through($was);
        expect($back)->toEqual($was)->and(Edits::between(Comparison::of($was, $back)))->toBe([]);
    }, SHEETS);
});

it('does what was changed in it, where nobody did anything else', function () use ($structure, $changed, $through): void {
    Make::many(static function (Randomizer $r) use ($structure, $changed, $through): void {
        $was = $structure($r);
        $wanted = $changed($was, $r, 'mine');
        $edits = Edits::between(Comparison::of($was, $through($wanted)));
        $merge = Merge::of(new EngineeringContent($was), new EngineeringContent($was), $edits);
        expect($merge->conflicts)->toBe([]);
        $after = (new EngineeringContent($was))->edited(array_filter($merge->resolved()));
        expect(Comparison::of($after->structure, $wanted)->changes())->toBe([]);
    }, SHEETS);
});

it('loses nothing that others did meanwhile, and asks where both did different things to the same', function () use (
    $structure,
    $changed,
): void {
    Make::many(static function (Randomizer $r) use ($structure, $changed): void {
        $was = $structure($r);
        [$mine, $theirs] = [$changed($was, $r, 'mine'), $changed($was, $r, 'theirs')];
        $now = new EngineeringContent($theirs);
        $merge = Merge::of(new EngineeringContent($was), $now, Edits::between(Comparison::of($was, $mine)));
        $all = static fn(Choice $choice): array => array_fill_keys(
            array_map(static fn($conflict): string => $conflict->key(), $merge->conflicts),
            $choice,
        );
        // All of theirs: each line that only they touched reads as they have it, and so does each about which somebody had to choose.
        $kept = $now->edited(array_filter($merge->resolved($all(Choice::Theirs))))->structure;
        foreach ($theirs as $line) {
            $before = $was->line($line->key);
            if ($before !== null && $mine->line($line->key) == $before) {
                expect($kept->line($line->key))->toEqual($line);
            }
        }
        // And what only the sheet touched is as it says, whoever has their way elsewhere.
        foreach ([Choice::Mine, Choice::Theirs] as $choice) {
            $kept = $now->edited(array_filter($merge->resolved($all($choice))))->structure;
            foreach ($mine as $line) {
                $before = $was->line($line->key);
                if ($before !== null && $theirs->line($line->key) == $before) {
                    expect($kept->line($line->key))->toEqual($line);
                }
            }
        }
    }, SHEETS);
});
