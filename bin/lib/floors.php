<?php

declare(strict_types=1);

use Symfony\Component\Finder\Finder;

// The floors of app/, from the ground up, and what stands on what, read off the imports of the code.

const FLOORS = [
    ['Http', 'Files', 'Tables', 'Ledger', 'Numbers', 'Days', 'Seals'],
    ['People'],
    ['Vocabulary', 'Reading', 'SignIn', 'Audit', 'Outgoing'],
    ['Structures', 'Attachments'],
    ['Problems', 'Documents', 'Planning', 'Imports', 'Tasks'],
    ['Paths'],
    ['Requests'],
    ['Orders', 'Assessment', 'Reach', 'CutIn'],
    ['Economics', 'Forms', 'ItemData', 'Manufacturing', 'Meetings', 'Releases', 'Sheets'],
    ['Verification', 'HandoverProfiles'],
    ['FollowThrough'],
    ['Dossier', 'Discussion', 'ChangeNotices'],
    ['Packages'],
    ['Desk', 'Notices', 'Console'],
    ['Providers'],
];

/** @return list<array{string, string, string}> path of a file, the area it imports from, and what */
function imported(): array
{
    $found = [];
    $files = Finder::create()
        ->files()
        ->name('*.php')
        ->in(dirname(__DIR__, 2) . '/app')
        ->sortByName();
    foreach ($files as $file) {
        preg_match_all('/(?:^use |[^\w\\\\]\\\\)App\\\\(\w+)\\\\([\w\\\\]+)/m', $file->getContents(), $imports, PREG_SET_ORDER);
        foreach ($imports as [, $area, $class]) {
            $found[] = [$file->getRelativePathname(), $area, $class];
        }
    }

    return $found;
}

/** The floors as a picture: each area with those below the kernel and People that it stands on. */
function drawnFloors(): string
{
    $stands = [];
    foreach (imported() as [$path, $area]) {
        $stands[explode('/', $path)[0]][$area] = true;
    }
    $ground = [...FLOORS[0], ...FLOORS[1], ...FLOORS[2]];
    $lines = [];
    foreach (array_reverse(FLOORS, true) as $height => $areas) {
        if ($height < 3) {
            $lines[] = sprintf(' %2d  %s', $height, implode(' · ', $areas));

            continue;
        }
        foreach ($areas as $at => $area) {
            $on = array_diff(array_keys($stands[$area] ?? []), $ground, [$area]);
            sort($on);
            $lines[] = rtrim(sprintf(' %s  %-14s%s', $at === 0 ? sprintf('%2d', $height) : '  ', $area, implode(' ', $on)));
        }
    }

    return implode("\n", $lines);
}
