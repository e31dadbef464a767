<?php

declare(strict_types=1);

use Symfony\Component\Finder\Finder;

/**
 * The rooms of resources/js, from the ground up: each takes only from lower floors, and on one floor none from another. What
 * stands in no room (the frame, the palette, the start) takes from all. The same areas as in app/, where there is a screen.
 */
const ROOMS = [
    ['lib'],
    ['ui'],
    [
        'account',
        'attachments',
        'assessment',
        'discussion',
        'imports',
        'manufacturing',
        'notices',
        'people',
        'planning',
        'register',
        'relations',
        'tasks',
    ],
    ['audit', 'changenotices', 'documents', 'desk', 'followthrough', 'packages', 'paths', 'releases', 'setup', 'verification'],
    ['models', 'structures', 'systems'],
    ['problems', 'requests'],
    ['orders', 'reach', 'cutin'],
    ['economics', 'forms'],
    ['meeting', 'dossier'],
];

/** @return Generator<string, array{string, string}> path and import => the room it is in, the room it takes from */
function taken(): Generator
{
    $root = dirname(__DIR__, 2) . '/resources/js';
    $files = Finder::create()
        ->files()
        ->name(['*.ts', '*.tsx'])
        ->notName('*.test.*')
        ->notPath('/^testing\//')
        ->in($root);
    foreach ($files as $file) {
        preg_match_all("/(?:from|import)\s*\(?'(\.[^']+)'/", $file->getContents(), $imports);
        $in = explode('/', $file->getRelativePathname());
        foreach ($imports[1] as $import) {
            $way = array_slice($in, 0, -1);
            foreach (explode('/', $import) as $step) {
                match ($step) {
                    '.' => null,
                    '..' => array_pop($way),
                    default => ($way[] = $step),
                };
            }
            yield "{$file->getRelativePathname()} takes {$import}" => [count($in) > 1 ? $in[0] : '', count($way) > 1 ? $way[0] : ''];
        }
    }
}

it('lets rooms of the interface take from lower floors only', function (): void {
    $heights = [];
    foreach (ROOMS as $height => $rooms) {
        $heights += array_fill_keys($rooms, $height);
    }
    $wrong = [];
    $seen = 0;
    foreach (taken() as $what => [$room, $from]) {
        $seen++;
        if ($room !== '' && $room !== $from && ($from === '' || $heights[$from] >= $heights[$room])) {
            $wrong[] = $what;
        }
    }
    expect($wrong)->toBe([])->and($seen)->toBeGreaterThan(1_000);
});

it('knows every room', function (): void {
    $rooms = array_map(
        static fn(SplFileInfo $folder): string => $folder->getFilename(),
        iterator_to_array(
            Finder::create()
                ->directories()
                ->depth(0)
                ->in(dirname(__DIR__, 2) . '/resources/js'),
            false,
        ),
    );
    sort($rooms);
    $known = [...array_merge(...ROOMS), 'testing'];
    sort($known);
    expect($rooms)->toBe($known);
});
