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
    ['People'], ['Vocabulary'],
    ['Structures', 'Attachments', 'Reading'],
    ['Problems', 'Documents', 'Planning', 'Imports'],
    ['Requests'],
    ['Orders', 'Assessment', 'Reach', 'CutIn'],
    ['Economics', 'Forms', 'Meetings', 'Releases'],
    ['Dossier'],
    ['Desk', 'Console'],
    ['Providers'],
];

/** Arrows that still point upwards, each to be turned round by an interface of the lower floor, an event, or a class that moves. None may come. */
const STILL_UPWARDS = [
    'Attachments/Models/ChangeFile.php' => ['Models\\ProblemReport', 'Models\\ChangeRequest'],
    'Attachments/Actions/BringFile.php' => ['Models\\ProblemReport', 'Models\\ChangeRequest'],
    'Documents/Models/ItemFile.php' => ['Models\\ChangeOrder'],
    'Documents/Models/ItemDocument.php' => ['Models\\ChangeOrder'],
    'Documents/Actions/LinkDocument.php' => ['OrderPolicy'],
    'Documents/Actions/AttachFile.php' => ['Models\\ChangeOrder', 'OrderAct', 'OrderPolicy'],
    'Problems/Models/ProblemReport.php' => ['Models\\ChangeRequest'],
    'Problems/Actions/GatherReports.php' => ['Models\\ChangeRequest'],
    'Problems/Http/ReportController.php' => ['Models\\ChangeRequest'],
    'Problems/Data/ReportPage.php' => ['Models\\ChangeRequest'],
    'Problems/Data/ReportRow.php' => ['Models\\ChangeRequest'],
    'Requests/Models/ChangeRequest.php' => ['Models\\ChangeOrder'],
    'Structures/Models/Item.php' => ['Models\\ChangeOrder'],
    'Structures/Models/Revision.php' => ['Models\\ChangeOrder'],
    'Structures/Data/ItemRow.php' => ['Models\\ChangeOrder'],
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
    foreach (Finder::create()->files()->name('*.php')->in(dirname(__DIR__, 2).'/app')->sortByName() as $file) {
        $path = $file->getRelativePathname();
        $area = explode('/', $path)[0];
        $unknown += isset($floor[$area]) ? [] : [$area => true];
        preg_match_all('/(?:^use |[^\w\\\\]\\\\)App\\\\(\w+)\\\\([\w\\\\]+)/m', $file->getContents(), $imports, PREG_SET_ORDER);
        foreach ($imports as [, $other, $class]) {
            $looked++;
            $sameRoom = $other === $area || ($floor[$area] === 0 && $floor[$other] === 0);
            if (! $sameRoom && $floor[$other] >= $floor[$area]) {
                $upwards[$path][] = $class;
            }
        }
    }
    $sorted = static function (array $arrows): array {
        ksort($arrows);

        return array_map(static function (array $classes): array {
            sort($classes);

            return array_values(array_unique($classes));
        }, $arrows);
    };
    expect($unknown)->toBe([])->and($sorted($upwards))->toBe($sorted(STILL_UPWARDS))->and($looked)->toBeGreaterThan(600);
});
