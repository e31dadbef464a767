<?php

declare(strict_types=1);

use Orthotaxis\Core\Text\ItemNumber;
use Orthotaxis\Core\Text\Readable;

it('takes text as people write it', function (string $text): void {
    expect(Readable::fault($text))->toBeNull();
})->with([
    '',
    'Pump tube, 2.4 mm',
    "Two lines\nand a\ttab",
    'Zażółć gęślą jaźń',
    '泵管 ø 2,4',
    'می‌خواهم',
    'مضخة',
    '👩‍🔧 was here',
    'Ω ± 0.05 „so“',
]);

it('refuses what nobody sees, or sees as something else', function (string $text, string $why): void {
    expect(Readable::fault($text))->toContain($why);
})->with([
    'a NUL' => ["Pump\0 tube", 'Control characters'],
    'a bell' => ["Pump\x07", 'Control characters'],
    'a C1 control' => ["Pump\u{85}", 'Control characters'],
    'half a letter' => ["Pump \xC3", 'UTF-8'],
    'an overlong slash' => ["\xC0\xAF", 'UTF-8'],
    'a lone surrogate' => ["\xED\xA0\x80", 'UTF-8'],
    'a turn' => ["invoice\u{202E}gpj.exe", 'direction'],
    'an isolate' => ["\u{2066}ECO-1", 'direction'],
    'a number with a space of no width' => ["200\u{200B}-0040", 'invisible'],
    'one with a mark of byte order' => ["\u{FEFF}200-0040", 'invisible'],
    'a quantity with one' => ["1\u{2060}2", 'invisible'],
]);

it('says what an item number may be', function (string $number, bool $sound): void {
    expect(ItemNumber::fault($number) === null)->toBe($sound);
})->with([
    ['200-0040', true],
    ['A.12_b-3', true],
    ['É-7', true],
    ['泵-12', true],
    [str_repeat('9', 60), true],
    ['', false],
    ['..', false],
    ['.hidden', false],
    ['a..b', false],
    ['-1', false],
    ['a b', false],
    ['a/b', false],
    ['a\\b', false],
    ['<b>', false],
    ["200\u{200B}-0040", false],
    ["200-0040\n", false],
    [str_repeat('9', 61), false],
    ['=1+1', false],
]);
