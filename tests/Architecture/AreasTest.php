<?php

declare(strict_types=1);

use Symfony\Component\Finder\Finder;

/*
 * The areas of app/ stand on floors. Each imports from lower floors only, and on one floor none imports another; the kernel is one
 * floor, whose rooms know each other.
 */

/** From the ground up. */
const FLOORS = [
    ['Http', 'Files', 'Tables', 'Ledger', 'Numbers', 'Days'],
    ['People'],
    ['Vocabulary'],
    ['Structures', 'Attachments', 'Reading'],
    ['Problems', 'Documents', 'Planning', 'Imports'],
    ['Requests'],
    ['Orders', 'Assessment', 'Reach', 'CutIn'],
    ['Economics', 'Forms', 'Meetings', 'Releases'],
    ['Dossier'],
    ['Desk', 'Console'],
    ['Providers'],
];

it('lets areas import from lower floors only', function (): void {
    $floor = [];
    foreach (FLOORS as $height => $areas) {
        foreach ($areas as $area) {
            $floor[$area] = $height;
        }
    }
    $upwards = $unknown = [];
    $looked = 0;
    foreach (
        Finder::create()
            ->files()
            ->name('*.php')
            ->in(dirname(__DIR__, 2) . '/app')
            ->sortByName()
        as $file
    ) {
        $path = $file->getRelativePathname();
        $area = explode('/', $path)[0];
        $unknown += isset($floor[$area]) ? [] : [$area => true];
        preg_match_all('/(?:^use |[^\w\\\\]\\\\)App\\\\(\w+)\\\\([\w\\\\]+)/m', $file->getContents(), $imports, PREG_SET_ORDER);
        foreach ($imports as [, $other, $class]) {
            $looked++;
            $sameRoom = $other === $area || ($floor[$area] === 0 && $floor[$other] === 0);
            if (!$sameRoom && $floor[$other] >= $floor[$area]) {
                $upwards[] = "{$path}: {$other}\\{$class}";
            }
        }
    }
    expect($unknown)->toBe([])->and($upwards)->toBe([])->and($looked)->toBeGreaterThan(600);
});
