<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

it('plans the day to cut in: drags it by keys, turns levers, holds one plan beside another, and reads all as a table', function (): void {
    $this->screen
        ->signIn('tomas.lind', '/changes/ECR-00094/cut-in')
        ->see('Neither an order nor a proposal says what comes')
        ->see('Name a part that goes or one that comes')
        ->settled();
    $this->screen->pick('Part that goes', '200-0040')->pick('Part that comes', '200-0041')->see('Least cost')->see('Total')->settled();
    $day = fn(): int => (int) $this->screen->find('//*[@role="slider"]')?->getAttribute('aria-valuenow');
    $before = $day();
    $this->screen->driver->executeScript('document.querySelector("[role=slider]").focus()');
    $this->screen->keys(WebDriverKeys::ARROW_LEFT, WebDriverKeys::ARROW_LEFT, WebDriverKeys::PAGE_DOWN);
    $this->screen->until('thirty days earlier', fn(): bool => $day() === $before - 30);
    $this->screen->keys(WebDriverKeys::HOME)->see('can be cancelled')->see('arrives, cannot be cancelled');
    $this->screen
        ->press('Open Leftover stock and receipts')
        ->see('On the shelf today')
        ->press('Close Leftover stock and receipts')
        ->press('Open Shortage and expediting')
        ->see('Missing:');
    // What follows from a day that is possible, and what the answer hangs on.
    $this->screen->click('//button[starts-with(normalize-space(), "Least cost")]');
    $this->screen->see('What to do by when')->see('Order the new part')->see('Release the change')->see('What this answer hangs on');
    $this->screen->press('Compare with another plan')->type('Working days until release', '150')->see('compared');
    $this->screen->until('a later earliest day', fn(): bool => preg_match('/Earliest \d+ (Aug|Sept) 2027/', $this->screen->text()) === 1);
    // What is kept for service is nobody's to use: the old part runs out sooner.
    $runOut = fn(): string => (string) preg_replace('/^.*Run-out (\d+ \w+ \d+).*$/s', '$1', $this->screen->text());
    $without = strtotime(str_replace('Sept', 'Sep', $runOut()));
    $this->screen->click('//summary[contains(., "200-0040")]')->type('Keep for service', '60');
    $this->screen->until('an earlier run-out', fn(): bool => strtotime(str_replace('Sept', 'Sep', $runOut())) < $without);
    $this->screen->type('Reason for kept for service 200-0040', 'Ten service visits a year.')->keys(WebDriverKeys::TAB);
    $this->screen->press('Refresh from planning')->see('Planning data as of')->settled();
    $this->screen->press('Table')->see('New vs old')->see('Orders affected');
    // Drawn is what is in sight; counted is the year, and the heads.
    expect(
        $this->screen->driver
            ->findElement(WebDriverBy::cssSelector('table[aria-label="What each day costs"]'))
            ->getAttribute('aria-rowcount'),
    )->toBe('366');
});

it('says where nothing comes, and in which parents, and what is wrong with a swap', function (): void {
    $this->screen
        ->signIn('mira.okafor', '/changes/ECR-00086/cut-in')
        ->see('Read off the edits of the order')
        ->see('No more orders')
        ->see('What comes costs more than what goes. That does not count for the best day.')
        ->settled();
    $this->screen->type('For one', '0')->see('Write a number above zero')->type('For one', '2')->see('Least cost')->settled();
    $this->screen->press('Remove 310-0003')->see('Nothing comes in its place');
    $this->screen->click('//summary[normalize-space()="In all parents"]')->type('Parents, separated by spaces', '300-0099');
    $this->screen->keys(WebDriverKeys::ENTER)->see('300-0099');
    $this->screen->type('Parents, separated by spaces', '300-0010')->keys(WebDriverKeys::ENTER)->see('In 300-0010')->see('Least cost');
});
