<?php

declare(strict_types=1);

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverBy;

/* The design model of an item, in three dimensions: read in a worker, drawn by WebGL. */

it('shows a model: what is pressed lights up in the list, and the other way round; two revisions in one picture', function (): void {
    $this->screen->signIn('mira.okafor', '/items/200-0010/model')->see('Tube clamp')->see('Oblique');
    $canvas = $this->screen->driver->findElement(WebDriverBy::cssSelector('canvas'));
    // In its middle stands the housing, or what is fixed to it.
    (new WebDriverActions($this->screen->driver))->moveToElement($canvas, 0, 60)->click()->perform();
    $this->screen->see('Show all alike');
    expect($this->screen->find('//tr[contains(@class, "bg-accent-soft")]'))->not->toBeNull();
    $this->screen->press('Show all alike')->press('Cut along z');
    expect($this->screen->find('//input[@type="range"]'))->not->toBeNull();
    $this->screen->choose('Compared with', 'D, 200-0010.stp')->see('Unchanged too')->see('Dashed: as it was');
    $of = fn(string $number): string => (string) $this->screen->find("//tr[.//*[text()='{$number}']]/td[1]")?->getText();
    expect($of('200-0011'))
        ->toContain('changed')
        ->and($of('200-0042'))
        ->toContain('moved')
        ->and($of('600-0082'))
        ->toContain('added')
        ->and($of('600-0083'))
        ->toContain('removed')
        ->and($this->screen->find("//tr[.//*[text()='200-0012']]"))
        ->toBeNull();
});
