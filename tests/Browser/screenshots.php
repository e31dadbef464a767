<?php

declare(strict_types=1);

// Pictures of the main views, from the demo data. Run by bin/screenshots.

use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Screen;

require __DIR__ . '/../../vendor/autoload.php';

$screen = new Screen(Chromium::open(), $argv[1]);
foreach (
    [
        // name, who, path, what to wait for, step to scroll to, theme
        ['desk', 'mira.okafor', '/', 'Needs you now', '', 'light'],
        ['register', 'mira.okafor', '/register', 'changes', '', 'light'],
        ['structure', 'mira.okafor', '/items/200-0001?levels=3', 'through 210-0100', '', 'light'],
        ['comparison', 'mira.okafor', '/compare?left=210-0100&right=210-0101', 'lines are the same', '', 'light'],
        ['model', 'mira.okafor', '/items/200-0010/model', 'Tube clamp', '', 'light'],
        ['sheet', 'mira.okafor', '/orders/ECO-00082/review', 'places differ', '', 'light'],
        ['dossier-assess', 'mira.okafor', '/changes/ECR-00096', 'lots and documents', 'assess', 'light'],
        ['reach', 'mira.okafor', '/changes/ECR-00096/reach?as=picture', 'Pointing at one', '', 'light'],
        ['money', 'mira.okafor', '/changes/ECR-00096/money', 'Assumptions', '', 'dark'],
        ['decision', 'mira.okafor', '/changes/ECR-00097/decision', 'Cost of a product', '', 'light'],
        ['relations', 'mira.okafor', '/relations/230-0001', 'ties', '', 'light'],
        ['cut-in', 'mira.okafor', '/changes/ECR-00086/cut-in', 'Total', '', 'light'],
        ['revise', 'edda.roth', '/orders/ECO-00086/revise/300-0010', 'open documents', '', 'light'],
        ['build', 'samir.bello', '/orders/ECO-00088/build/230-0001/Tarn', 'Seal the lid', '', 'light'],
        ['replace', 'mira.okafor', '/orders/ECO-00087/replace?old=230-0020&new=230-0021&from=2027-06-01', 'Replace in', '', 'light'],
        ['worksheet', 'jonas.weir', '/orders/ECO-00087/worksheet?words=gasket', 'lines', '', 'light'],
        ['review', 'helen.marsh', '/orders/ECO-00084/review', 'Sign this page', '', 'light'],
        ['hand-over', 'mira.okafor', '/hand-overs', 'Changed in planning', '', 'light'],
        [
            'accountability',
            'edda.roth',
            '/items/300-0010?kind=manufacturing&plant=Weir&view=accounted&order=ECO-00086&lines=open',
            'Would be taken over by',
            '',
            'dark',
        ],
    ]
    as [$name, $who, $path, $wait, $step, $theme]
) {
    $screen->signIn($who);
    $screen->driver->executeScript("localStorage.setItem('theme', '{$theme}')");
    $screen->visit($path)->see($wait);
    if ($name === 'model') {
        $screen->choose('Compared with', 'D, 200-0010.stp')->see('Dashed: as it was');
        // The first picture of it is drawn.
        sleep(2);
    }
    if ($name === 'sheet') {
        $screen->click('//a[text()="Compare the sheets"]')->see('hatched: gone');
    }
    usleep(700_000);
    if ($step !== '') {
        $screen->driver->executeScript("document.getElementById('{$step}').scrollIntoView()");
        usleep(200_000);
    }
    $screen->driver->takeScreenshot(__DIR__ . "/../../docs/screenshots/{$name}.png");
    $screen->driver->executeScript("localStorage.setItem('theme', 'light')");
    echo "{$name}\n";
}
