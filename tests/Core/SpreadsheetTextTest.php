<?php

declare(strict_types=1);

use Orthotaxis\Core\Text\SpreadsheetText;

it('writes no formula, and reads every text as it was', function (string $text, string $written): void {
    expect(SpreadsheetText::written($text))->toBe($written)->and(SpreadsheetText::read($written))->toBe($text);
})->with([
    ['=x', "'=x"],
    ["'=x", "''=x"],
    ["''=x", "'''=x"],
    ['+1 more', "'+1 more"],
    ['@home', "'@home"],
    ["\u{FF1D}x", "'\u{FF1D}x"],
    ['-12.50', '-12.50'],
    ["'quoted'", "'quoted'"],
    ['plain', 'plain'],
    ['', ''],
    ["-12\n", "'-12\n"],
]);
