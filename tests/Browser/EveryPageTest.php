<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverDimension;
use Tests\Browser\Support\Screen;

/*
 * Every page, for a record of every kind and state that the demo has: it opens, says nothing in the console, asks nothing that
 * fails, and is never wider than the window, also at 200 % and on a tablet.
 */

/** @return list<string> the pages of a kind of record, of one in each state */
function pagesOf(string $kind): array
{
    /** @var list<string> */
    return json_decode(
        (string) shell_exec(PHP_BINARY . ' ' . escapeshellarg(dirname(__DIR__) . '/Demo/pages.php') . ' ' . escapeshellarg($kind)),
        true,
        8,
        JSON_THROW_ON_ERROR,
    );
}

/** @return list<string> what is wrong with a page that is open */
function faultsOf(Screen $screen, string $path): array
{
    $screen->visit($path)->until("a heading at {$path}", static fn(): bool => $screen->find('//h1') !== null);
    $screen->settled();
    $faults = [];
    foreach ($screen->driver->manage()->getLog('browser') as $entry) {
        if ($entry['level'] === 'SEVERE' || str_contains($entry['message'], 'Warning:')) {
            $faults[] = "{$path}: {$entry['message']}";
        }
    }
    if (str_contains($screen->text(), 'could not be opened')) {
        $faults[] = "{$path}: " . mb_substr($screen->text(), 0, 200);
    }
    // Every other page is opened in the small window, which is made larger: both ways round must do.
    static $sizes = [[1280, 800], [768, 1024], [640, 400]];
    foreach ($sizes as [$width, $height]) {
        $screen->driver->manage()->window()->setSize(new WebDriverDimension($width, $height));
        $wide = $screen->driver->executeScript('return document.documentElement.scrollWidth - document.documentElement.clientWidth');
        if ($wide > 1) {
            $faults[] = "{$path}: {$wide} px too wide at {$width} px";
        }
    }
    $sizes = array_reverse($sizes);

    return $faults;
}

it('opens every page for every kind and state of record', function (string $kind): void {
    $this->screen->as('mira.okafor');
    $this->screen->driver->manage()->getLog('browser');
    $pages = pagesOf($kind);
    $faults = [];
    foreach ($pages as $path) {
        array_push($faults, ...faultsOf($this->screen, $path));
    }
    expect($pages)->not->toBe([])->and($faults)->toBe([]);
})->with([
    'item',
    'two sheets of an item',
    'report',
    'request',
    'order',
    'revised item',
    'changing item',
    'built item',
    'task',
    'change notice',
    'others',
]);

it('opens the pages of an administrator', function (): void {
    $this->screen->as('ivo.tanner');
    $this->screen->driver->manage()->getLog('browser');
    expect([
        ...faultsOf($this->screen, '/set-up/categories'),
        ...faultsOf($this->screen, '/set-up/forms'),
        ...faultsOf($this->screen, '/set-up/choices'),
        ...faultsOf($this->screen, '/set-up/plants'),
        ...faultsOf($this->screen, '/set-up/groups'),
        ...faultsOf($this->screen, '/set-up/paths'),
        ...faultsOf($this->screen, '/set-up/people'),
        ...faultsOf($this->screen, '/set-up/roles'),
        ...faultsOf($this->screen, '/set-up/duties'),
        ...faultsOf($this->screen, '/set-up/responsible'),
        ...faultsOf($this->screen, '/set-up/webhooks'),
        ...faultsOf($this->screen, '/set-up/hand-over-profiles'),
        ...faultsOf($this->screen, '/set-up/channels/planning_files'),
        ...faultsOf($this->screen, '/set-up/channels/supplier_portal'),
        ...faultsOf($this->screen, '/import'),
    ])->toBe([]);
});
