<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;

it('puts the focus on the heading of a new page, however one gets there', function (): void {
    $focused = fn(string $words): bool => $this->screen->driver->executeScript(
        'return document.activeElement.tagName === "H1" && document.activeElement.textContent.includes(arguments[0])',
        [$words],
    ) === true;
    $this->screen->signIn('mira.okafor', '/register')->see('changes')->settled();
    $this->screen->driver
        ->action()
        ->keyDown(null, WebDriverKeys::CONTROL)
        ->sendKeys(null, 'k')
        ->keyUp(null, WebDriverKeys::CONTROL)
        ->perform();
    $this->screen->until('the palette', fn(): bool => $this->screen->find('//*[@role="dialog"]//input') !== null);
    $this->screen->keys('310-0012')->see('Connector, 6 poles')->keys(WebDriverKeys::ENTER);
    $this->screen->until('the heading after the palette', fn(): bool => $focused('Connector, 6 poles'));
    $this->screen->driver->navigate()->back();
    $this->screen->until('the heading after Back', fn(): bool => $focused('Register'));
    $this->screen->driver->navigate()->forward();
    $this->screen->until('the heading after Forward', fn(): bool => $focused('Connector, 6 poles'));
    $this->screen->keys('g', 'i');
    $this->screen->until('the heading after two keys', fn(): bool => $focused('Items'));
});
