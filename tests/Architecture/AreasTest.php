<?php

declare(strict_types=1);

require_once dirname(__DIR__, 2) . '/bin/lib/floors.php';

/*
 * The areas of app/ stand on floors (bin/lib/floors.php). Each imports from lower floors only, and on one floor none imports
 * another; the kernel is one floor, whose rooms know each other.
 */

it('lets areas import from lower floors only', function (): void {
    $floor = [];
    foreach (FLOORS as $height => $areas) {
        foreach ($areas as $area) {
            $floor[$area] = $height;
        }
    }
    $upwards = $unknown = [];
    foreach (imported() as [$path, $other, $class]) {
        $area = explode('/', $path)[0];
        $unknown += isset($floor[$area]) ? [] : [$area => true];
        $sameRoom = $other === $area || ($floor[$area] === 0 && $floor[$other] === 0);
        if (!$sameRoom && $floor[$other] >= $floor[$area]) {
            $upwards[] = "{$path}: {$other}\\{$class}";
        }
    }
    expect($unknown)->toBe([])->and($upwards)->toBe([])->and(count(imported()))->toBeGreaterThan(600);
});

it('shows the floors in docs/architecture.md as they are', function (): void {
    $docs = (string) file_get_contents(dirname(__DIR__, 2) . '/docs/architecture.md');
    expect($docs)->toContain("```\n" . drawnFloors() . "\n```");
});
