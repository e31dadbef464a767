<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

it('plans the day to cut in: drags it by keys, turns a lever, holds one plan beside another, and reads all as a table', function (): void {
    $this->screen->signIn('tomas.lind', '/changes/ECR-00094/cut-in')->see('Choose the new part of at least one pair')->settled();
    $this->screen->pick('Old part', '200-0040')->pick('New part', '200-0041')->see('Least cost')->see('Total')->settled();
    $day = fn(): int => (int) $this->screen->find('//*[@role="slider"]')?->getAttribute('aria-valuenow');
    $before = $day();
    $this->screen->driver->executeScript('document.querySelector("[role=slider]").focus()');
    $this->screen->keys(WebDriverKeys::ARROW_LEFT, WebDriverKeys::ARROW_LEFT, WebDriverKeys::PAGE_DOWN);
    $this->screen->until('thirty days earlier', fn(): bool => $day() === $before - 30);
    $this->screen->keys(WebDriverKeys::HOME)->see('cancelled')->see('arrives, cannot be cancelled');
    $this->screen->press('Open Leftover of the old part')->see('On the shelf today')->press('Close Leftover of the old part');
    $this->screen->press('Compare with other days')->type('Days until release', '200')->see('compared');
    $this->screen->until(
        'another earliest day',
        fn(): bool => str_contains($this->screen->text(), 'Earliest 1') ||
            preg_match('/Earliest \d+ \w+ 2027/', $this->screen->text()) === 1,
    );
    // What is kept for service is nobody's to use: the old part runs out sooner.
    $runOut = fn(): string => (string) preg_replace('/^.*Run-out (\d+ \w+ \d+).*$/s', '$1', $this->screen->text());
    $without = strtotime($runOut());
    $this->screen->type('Keep for service (quantity)', '60');
    $this->screen->until('an earlier run-out', fn(): bool => strtotime($runOut()) < $without);
    $this->screen->press('Refresh from planning')->see('Planning data as of')->settled();
    $this->screen->press('Table')->see('New vs old')->see('Orders affected');
    // Drawn is what is in sight; counted is the year, and the heads.
    expect(
        $this->screen->driver
            ->findElement(WebDriverBy::cssSelector('table[aria-label="What each day costs"]'))
            ->getAttribute('aria-rowcount'),
    )->toBe('366');
});
