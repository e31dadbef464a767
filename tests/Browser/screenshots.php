<?php

declare(strict_types=1);

// Pictures of the main views, from the demo data. Run by bin/screenshots.

use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Screen;

require __DIR__.'/../../vendor/autoload.php';

$screen = new Screen(Chromium::open(), $argv[1]);
foreach ([
    // name, who, path, what to wait for, step to scroll to, theme
    ['desk', 'mira.okafor', '/', 'Needs you now', '', 'light'],
    ['register', 'mira.okafor', '/register', '12 changes', '', 'light'],
    ['items', 'mira.okafor', '/items?words=pump', 'Standard cost', '', 'light'],
    ['structure', 'mira.okafor', '/items/200-0001?levels=3', 'through 210-0100', '', 'light'],
    ['summed', 'mira.okafor', '/items/100-0012?view=summed', 'Longest lead time', '', 'light'],
    ['comparison', 'mira.okafor', '/compare?left=210-0100&right=210-0101', 'lines are the same', '', 'light'],
    ['sheet', 'mira.okafor', '/items/800-0041', 'in work', '', 'light'],
    ['documents', 'mira.okafor', '/items/200-0010', 'Still pointing', 'documents', 'light'],
    ['import', 'mira.okafor', '/import', 'Files so far', '', 'light'],
    ['new-request', 'clara.fenn', '/requests/new?items=200-0010', 'Affected items', '', 'light'],
    ['dossier-assess', 'mira.okafor', '/changes/ECR-00096', 'lots and documents', 'assess', 'light'],
    ['cut-in', 'mira.okafor', '/changes/ECR-00086/cut-in', 'Together', '', 'light'],
    ['dossier-order', 'mira.okafor', '/changes/ECO-00089', 'Open for revision', 'order', 'light'],
    ['dossier-revise', 'mira.okafor', '/changes/ECO-00087', 'missing for the next step', 'revise', 'light'],
    ['revise', 'edda.roth', '/orders/ECO-00086/revise/300-0010', 'open documents', '', 'light'],
    ['review', 'helen.marsh', '/orders/ECO-00084/review', 'Sign what is on this page', '', 'light'],
    ['dossier-release', 'mira.okafor', '/changes/ECO-00083', 'In one stroke', 'release', 'light'],
    ['hand-over', 'mira.okafor', '/changes/ECO-00082', 'Planning says', 'follow_through', 'light'],
    ['revise-dark', 'edda.roth', '/orders/ECO-00086/revise/300-0010', 'open documents', '', 'dark'],
] as [$name, $who, $path, $wait, $step, $theme]) {
    $screen->signIn($who);
    $screen->driver->executeScript("localStorage.setItem('theme', '{$theme}')");
    $screen->visit($path)->see($wait);
    if ($name === 'sheet') {
        $screen->click('//a[contains(text(), "-B.svg")]')->see('A draft');
    }
    usleep(700_000);
    if ($step !== '') {
        $screen->driver->executeScript("document.getElementById('{$step}').scrollIntoView()");
        usleep(200_000);
    }
    $screen->driver->takeScreenshot(__DIR__."/../../docs/screenshots/{$name}.png");
    $screen->driver->executeScript("localStorage.setItem('theme', 'light')");
    echo "{$name}\n";
}
$screen->driver->quit();
