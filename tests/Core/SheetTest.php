<?php

declare(strict_types=1);

use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Sheet\PartsListCheck;
use Orthotaxis\Core\Sheet\SheetFinding;
use Orthotaxis\Core\Sheet\SheetText;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/** The pump module: a head, four screws, half a metre of tube. */
$structure = new Structure([
    new Line('a', 10, '200-0010', Quantity::parse('1', 'q'), Unit::Piece),
    new Line('b', 100, '600-0023', Quantity::parse('4', 'q'), Unit::Piece),
    new Line('c', 110, '200-0040', Quantity::parse('0.5', 'q'), Unit::Metre),
]);

/**
 * A sheet with rows of a parts list, and balloons.
 *
 * @param  list<list<string>>  $rows  cells from left to right
 * @param  list<string>  $balloons
 * @return list<SheetText>
 */
function drawnSheet(array $rows, array $balloons): array
{
    $texts = [new SheetText('800-0010', 253, 272), new SheetText('200-0001', 353, 272.1), new SheetText('86', 60, 120)];
    foreach ($rows as $at => $cells) {
        foreach ($cells as $column => $cell) {
            $texts[] = new SheetText($cell, 250 + 20 * $column, 26 + 6 * $at + 0.1 * $column);
        }
    }
    foreach ($balloons as $at => $number) {
        // A balloon may stand at the height of a row.
        $texts[] = new SheetText($number, 40 + 40 * $at, 26, ringed: true);
    }

    return $texts;
}

$whole = [['10', '200-0010', 'Pump head', '1 pc'], ['100', '600-0023', 'Screw, M4 x 16', '4 pc'], ['110', '200-0040', 'Tube', '0,50 m']];

$told = static function (array $rows, array $balloons, ?Structure $of = null) use ($structure): array {
    $items = ['200-0001', '200-0010', '200-0040', '200-0041', '600-0023', '800-0010'];
    $check = PartsListCheck::of(drawnSheet($rows, $balloons), 0.7, $of ?? $structure, $items, ['800-0010', '200-0001']);

    return array_map(
        static fn(SheetFinding $one): string => trim("{$one->kind->value} {$one->find} {$one->item}: {$one->sheet} / {$one->structure}"),
        $check->findings,
    );
};

it('finds nothing where parts list and balloons say what the structure says', function () use ($told, $whole): void {
    expect($told($whole, ['10', '100', '110']))->toBe([]);
});

it('says in what they differ', function (array $rows, array $balloons, array $expected) use ($told): void {
    expect($told($rows, $balloons))->toBe($expected);
})->with([
    'another quantity' => [
        [$whole[0], ['100', '600-0023', 'Screw, M4 x 16', '2 pc'], $whole[2]],
        ['10', '100', '110'],
        ['other_quantity 100 600-0023: 2 / 4'],
    ],
    'another find number' => [
        [$whole[0], ['105', '600-0023', 'Screw', '4 pc'], $whole[2]],
        ['10', '105', '110'],
        ['other_find 100 600-0023: 105 / 100', 'missing_balloon 100 600-0023:  / 100', 'extra_balloon 105 : 105 /'],
    ],
    'a row too few, a balloon too few' => [
        [$whole[0], $whole[2]],
        ['10', '110'],
        ['missing_row 100 600-0023:  / 4 pc', 'missing_balloon 100 600-0023:  / 100'],
    ],
    'the old tube' => [
        [$whole[0], $whole[1], ['110', '200-0041', 'Tube', '0.5 m']],
        ['10', '100', '110'],
        ['missing_row 110 200-0040:  / 0.5 m', 'extra_row 110 200-0041: 200-0041 /'],
    ],
    'a balloon of nothing' => [$whole, ['10', '100', '110', '120'], ['extra_balloon 120 : 120 /']],
]);

it('checks no balloons where there are none, and no parts list where there is none', function () use ($told, $whole): void {
    expect($told($whole, []))
        ->toBe([])
        ->and($told([], ['10', '100']))
        ->toBe(['missing_balloon 110 200-0040:  / 110'])
        ->and($told([], []))
        ->toBe([]);
});

it('tells two lines of one component apart by their find numbers', function () use ($told): void {
    $twice = new Structure([
        new Line('a', 10, '600-0023', Quantity::parse('4', 'q'), Unit::Piece),
        new Line('b', 20, '600-0023', Quantity::parse('2', 'q'), Unit::Piece),
    ]);
    $rows = [['20', '600-0023', 'Screw', '2 pc'], ['10', '600-0023', 'Screw', '4 pc']];
    expect($told($rows, [], $twice))
        ->toBe([])
        ->and($told([$rows[0]], [], $twice))
        ->toBe(['missing_row 10 600-0023:  / 4 pc']);
});

it('wants no balloon for what is never drawn, and a row all the same', function () use ($told): void {
    $greased = new Structure([
        new Line('a', 10, '200-0010', Quantity::parse('1', 'q'), Unit::Piece),
        new Line('b', 990, '600-0023', Quantity::parse('3', 'q'), Unit::Gram, notModelled: true),
    ]);
    expect($told([['10', '200-0010', 'Pump head', '1 pc']], ['10'], $greased))->toBe(['missing_row 990 600-0023:  / 3 g']);
});
