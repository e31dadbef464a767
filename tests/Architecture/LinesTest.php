<?php

declare(strict_types=1);

use Symfony\Component\Finder\Finder;

const LONGEST_LINE = 140;
const LONG_TEXT = 40;

it('keeps lines short enough to read beside each other; only one with a text that cannot be broken runs on', function (): void {
    $root = dirname(__DIR__, 2);
    $folders = array_map(fn(string $folder): string => "{$root}/{$folder}", [
        'app',
        'bench',
        'bin/lib',
        'config',
        'core',
        'database',
        'polyfills',
        'routes',
        'stand-ins',
        'tests',
    ]);
    $long = [];
    foreach (Finder::create()->files()->name('*.php')->in($folders) as $file) {
        $texts = [];
        foreach (PhpToken::tokenize($file->getContents()) as $token) {
            if ($token->is([T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE, T_INLINE_HTML])) {
                foreach (explode("\n", $token->text) as $at => $part) {
                    $texts[$token->line + $at] = ($texts[$token->line + $at] ?? 0) + mb_strlen($part);
                }
            }
        }
        foreach (explode("\n", $file->getContents()) as $at => $line) {
            if (mb_strlen($line) > LONGEST_LINE && ($texts[$at + 1] ?? 0) < LONG_TEXT) {
                $long[] = "{$file->getRelativePathname()}:" . ($at + 1);
            }
        }
    }
    foreach (
        Finder::create()
            ->files()
            ->name(['*.ts', '*.tsx'])
            ->notName('api-schema.d.ts')
            ->in("{$root}/resources/js")
        as $file
    ) {
        foreach (explode("\n", $file->getContents()) as $at => $line) {
            if (mb_strlen($line) > LONGEST_LINE && preg_match('/[\'"`].{40,}/', $line) !== 1) {
                $long[] = "{$file->getRelativePathname()}:" . ($at + 1);
            }
        }
    }
    expect($long)->toBe([]);
});
