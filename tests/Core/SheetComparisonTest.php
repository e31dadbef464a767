<?php

declare(strict_types=1);

use Orthotaxis\Core\Sheet\Box;
use Orthotaxis\Core\Sheet\GreyPicture;
use Orthotaxis\Core\Sheet\PlaceKind;
use Orthotaxis\Core\Sheet\SheetComparison;
use Orthotaxis\Core\Sheet\SheetElement;
use Orthotaxis\Core\Sheet\SheetPlace;
use Orthotaxis\Core\Sheet\SheetSize;
use Random\Engine\Mt19937;
use Random\Randomizer;

const A3 = [420.0, 297.0];

function drawnText(string $text, float $x, float $y): SheetElement
{
    return new SheetElement("text {$text} at {$x} {$y}", [new Box($x, $y - 3, $x + 2 * strlen($text), $y)], $text);
}

function drawnLine(float $x, float $y, float $toX, float $toY): SheetElement
{
    return new SheetElement("line {$x} {$y} {$toX} {$toY}", [Box::around([[$x, $y], [$toX, $toY]])]);
}

/** @param  list<array{int, int, int, int}>  $boxes  filled with ink: left, top, right and bottom, in pixels */
function inked(int $width, int $height, array $boxes): GreyPicture
{
    $bytes = str_repeat("\xff", $width * $height);
    foreach ($boxes as [$left, $top, $right, $bottom]) {
        for ($y = $top; $y <= $bottom; $y++) {
            for ($x = $left; $x <= $right; $x++) {
                $bytes[$y * $width + $x] = "\0";
            }
        }
    }

    return new GreyPicture($width, $height, $bytes);
}

/** @return list<string> */
function toldPlaces(SheetComparison $comparison): array
{
    return array_map(
        static fn(SheetPlace $one): string => trim(
            "{$one->zone} {$one->kind->value} " . implode('|', $one->went) . '>' . implode('|', $one->came),
        ),
        $comparison->places,
    );
}

it('names the zones of a sheet as ISO 5457 does', function (float $width, float $height, float $x, float $y, string $zone): void {
    expect((new SheetSize($width, $height))->zone($x, $y))->toBe($zone);
})->with([
    'A3, upper left' => [420, 297, 5, 5, 'A1'],
    'A3, title block' => [420, 297, 415, 290, 'F8'],
    'A3, right of the middle' => [420, 297, 211, 149, 'D5'],
    'A4 upright' => [210, 297, 200, 290, 'F4'],
    'A0' => [1189, 841, 1188, 840, 'R24'],
    'letters leave out I' => [1189, 841, 1, 425, 'J1'],
    'beyond the edge' => [420, 297, 500, -3, 'A8'],
]);

it('finds the middle of a zone, and none where the sheet has none', function (): void {
    $a3 = new SheetSize(...A3);
    foreach (['A1', 'C4', 'F8', 'D5'] as $zone) {
        expect($a3->zone(...$a3->middle($zone) ?? [0, 0]))->toBe($zone);
    }
    expect([$a3->middle('G1'), $a3->middle('A9'), $a3->middle('')])->toBe([null, null, null]);
});

it('finds a hole that grew, with its dimension, as one place, and a note far from it as another', function (): void {
    $hole = static fn(float $r): SheetElement => new SheetElement("circle 100 80 {$r}", [new Box(100 - $r, 80 - $r, 100 + $r, 80 + $r)]);
    $same = [drawnLine(10, 10, 410, 10), drawnText('Quillback', 300, 280)];
    $comparison = SheetComparison::ofElements(
        [...$same, $hole(3), drawnText('Ø6', 107, 80)],
        [...$same, $hole(4), drawnText('Ø8', 107, 80), drawnText('Deburr', 30, 250)],
        new SheetSize(...A3),
    );
    expect(toldPlaces($comparison))->toBe(['B2 changed Ø6>Ø8', 'F1 added >Deburr']);
});

it('tells what went only, and does not take what an outline encloses for a part of it', function (): void {
    $outline = [new Box(50, 50, 150, 50), new Box(50, 150, 150, 150), new Box(50, 50, 50, 150), new Box(150, 50, 150, 150)];
    $comparison = SheetComparison::ofElements(
        [new SheetElement('rect 50 50 100 100', $outline), drawnText('R2', 98, 101)],
        [],
        new SheetSize(...A3),
    );
    expect(toldPlaces($comparison))
        ->toBe(['C2 removed >', 'C2 removed R2>'])
        ->and($comparison->places[0]->box->right)
        ->toBeGreaterThan(150);
});

it('counts what is drawn twice, and finds nothing between a sheet and itself', function (): void {
    $line = drawnLine(10, 10, 20, 10);
    $size = new SheetSize(...A3);
    expect(toldPlaces(SheetComparison::ofElements([$line, $line], [$line], $size)))
        ->toBe(['A1 removed >'])
        ->and(SheetComparison::ofElements([$line, $line], [$line, $line], $size)->places)
        ->toBe([]);
});

it('finds what is seen: gone, come, and both, with the texts that can be read there', function (): void {
    // A pixel of half a millimetre: places are 5 mm apart at least.
    $before = inked(200, 100, [[10, 10, 30, 12], [100, 50, 104, 54]]);
    $after = inked(200, 100, [[100, 50, 104, 50], [100, 58, 104, 59], [180, 90, 190, 90]]);
    $comparison = SheetComparison::ofPictures(
        $before,
        $after,
        0.5,
        [drawnText('4', 51, 27)],
        [drawnText('6', 51, 27), drawnText('9', 5, 27)],
    );
    expect(array_map(static fn(SheetPlace $one): PlaceKind => $one->kind, $comparison->places))
        ->toBe([PlaceKind::Removed, PlaceKind::Changed, PlaceKind::Added])
        ->and([$comparison->places[1]->went, $comparison->places[1]->came])
        ->toBe([['4'], ['6']]);
});

it('does not take a line for another that is drawn a pixel beside it', function (): void {
    expect(SheetComparison::ofPictures(inked(80, 60, [[5, 20, 70, 20]]), inked(80, 60, [[6, 21, 70, 21]]), 0.25)->places)->toBe([]);
});

it('sees what is beyond the smaller of two sheets', function (): void {
    $comparison = SheetComparison::ofPictures(inked(40, 40, []), inked(80, 40, [[60, 10, 70, 10]]), 1);
    expect($comparison->places)->toHaveCount(1)->and($comparison->places[0]->kind)->toBe(PlaceKind::Added);
});

it('finds the same places the other way round, and every difference in one of them', function (): void {
    $random = new Randomizer(new Mt19937(11));
    $sheet = static function () use ($random): array {
        $elements = [];
        for ($count = $random->getInt(0, 30); $count > 0; $count--) {
            [$x, $y] = [(float) $random->getInt(0, 40) * 10, (float) $random->getInt(1, 29) * 10];
            $elements[] = $random->getInt(0, 1) === 0 ? drawnText("T{$x}", $x, $y) : drawnLine($x, $y, $x + 15, $y);
        }

        return $elements;
    };
    $other = ['added' => PlaceKind::Removed, 'removed' => PlaceKind::Added, 'changed' => PlaceKind::Changed];
    for ($round = 0; $round < 200; $round++) {
        [$before, $after] = [$sheet(), $sheet()];
        $there = SheetComparison::ofElements($before, $after, new SheetSize(...A3))->places;
        $back = SheetComparison::ofElements($after, $before, new SheetSize(...A3))->places;
        expect(
            array_map(static fn(SheetPlace $one): array => [$one->box, $other[$one->kind->value], $one->went, $one->came], $back),
        )->toEqual(array_map(static fn(SheetPlace $one): array => [$one->box, $one->kind, $one->came, $one->went], $there));
        $is = static fn(array $elements): array => array_map(static fn(SheetElement $one): string => $one->is, $elements);
        foreach ([[$before, $after], [$after, $before]] as [$of, $these]) {
            foreach ($of as $element) {
                $held = array_filter($there, static fn(SheetPlace $one): bool => $one->box->meets($element->box()));
                expect($held !== [] || in_array($element->is, $is($these), true))->toBeTrue();
            }
        }
        expect(SheetComparison::ofElements($before, $before, new SheetSize(...A3))->places)->toBe([]);
    }
});
