<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

it('shows a sheet one can enlarge by keys, with its history, and a draft as a draft', function (): void {
    $this->screen->signIn('vera.stone', '/items/800-0041/sheet')->see('Revision A')->see('First release')->settled();
    expect($this->screen->driver->findElements(WebDriverBy::cssSelector('.sheet-stamp')))->toBe([]);
    $this->screen->driver->executeScript('document.querySelector(".sheet-frame").focus()');
    $this->screen->keys('+')->see('125 %')->keys('+', '0')->see('100 %');
    $this->screen->click('//a[normalize-space()="800-0041-B.svg"]')->see('A draft')->see('not released, ECO-00086');
    expect($this->screen->driver->findElements(WebDriverBy::cssSelector('.sheet-stamp')))->toHaveCount(3);
});

it('shows a PDF page by page', function (): void {
    $this->screen->signIn('vera.stone', '/items/820-0001/sheet')->see('Page 1 of 3');
    $this->screen->until(
        'the words of the page',
        fn(): bool => str_contains(
            (string) $this->screen->driver->executeScript('return document.querySelector(".sheet-frame").textContent'),
            'Lay out the kit',
        ),
    );
    $this->screen->press('Next page')->see('Page 2 of 3');
    $this->screen->until(
        'the words of the next page',
        fn(): bool => str_contains(
            (string) $this->screen->driver->executeScript('return document.querySelector(".sheet-frame").textContent'),
            'Runs freely',
        ),
    );
});

it('takes a file that is dropped onto an item, refuses what is none, and runs nothing of it', function (): void {
    $this->screen->signIn('petra.quist', '/items/200-0053')->see('No drawings or documents yet.')->settled();
    $this->screen->drop('just words', 'drawing.svg');
    $this->screen->see('Only SVG, PDF, PNG and JPEG can be shown here');
    $this->screen->drop(
        '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><script>document.title="run"</script></svg>',
        'acting.svg',
    );
    $this->screen->see('an element “script” in it, which is no drawing');
    $this->screen->drop('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><rect width="9" height="9"/></svg>', 'coupling.svg');
    $this->screen->see('coupling.svg')->see('data sheet');
    $this->screen->click('//a[normalize-space()="coupling.svg"]')->settled();
    $this->screen->until(
        'the drawing as a picture',
        fn(): bool => $this->screen->find('//*[contains(@class, "sheet-frame")]//img') !== null,
    );
    $this->screen->driver->executeScript('location.assign(document.querySelector(".sheet-frame img").src)');
    $this->screen->until('the file by itself', fn(): bool => str_contains($this->screen->driver->getCurrentURL(), '/api/files/'));
    expect($this->screen->driver->executeScript('return document.contentType'))->toBe('image/svg+xml');
});

it('keeps a page with its filters, and finds it on the Desk and in the palette', function (): void {
    $this->screen->signIn('clara.fenn', '/items?category=pump&status=in_force')->see('Gear motor')->press('Save this view');
    $this->screen->type('Save view as', 'Pumps that are out')->click('//form//button[normalize-space()="Save"]');
    $this->screen->until('kept', fn(): bool => $this->screen->find('//button[@aria-label="Saved as Pumps that are out"]') !== null);
    $this->screen->visit('/')->see('Needs you now')->click('//a[normalize-space()="Pumps that are out"]')->see('Gear motor');
    expect($this->screen->driver->getCurrentURL())->toContain('category=pump&status=in_force');
    $this->screen->press('Saved as Pumps that are out')->press('Remove from saved views');
    $this->screen->until('kept no longer', fn(): bool => $this->screen->find('//button[@aria-label="Save this view"]') !== null);
});

it('opens where an item is used upward, branch by branch', function (): void {
    $this->screen
        ->signIn('vera.stone', '/items/200-0030')
        ->see('Where used')
        ->click('//*[@role="radiogroup" or @role="group"][@aria-label="Listed"]//*[normalize-space()="Tree"]');
    $this->screen->until(
        'a branch',
        fn(): bool => $this->screen->find('//*[@role="treegrid"][contains(@aria-label, "upward")]//tr[@aria-level]') !== null,
    );
    $this->screen->driver->executeScript('document.querySelector("[role=treegrid][aria-label*=upward] tr[aria-level]").focus()');
    $this->screen
        ->keys(WebDriverKeys::ARROW_RIGHT)
        ->see('Pump head')
        ->keys(WebDriverKeys::ARROW_DOWN, WebDriverKeys::ARROW_RIGHT)
        ->see('Pump module');
});

it('copies any block of cells out', function (): void {
    $this->screen->signIn('vera.stone', '/items/200-0010')->see('Pump head housing')->settled();
    $this->screen->driver->executeScript(
        'window.copied = null; navigator.clipboard.writeText = (text) => { window.copied = text; return Promise.resolve(); }',
    );
    $with = fn(string $key, string $modifier): mixed => $this->screen->driver
        ->action()
        ->keyDown(null, $modifier)
        ->sendKeys(null, $key)
        ->keyUp(null, $modifier)
        ->perform();
    // From the first row anew at each try: a window that the machine took the focus from for a moment begins again too.
    $this->screen->until('two rows of two cells', function () use ($with): bool {
        $this->screen->driver->executeScript('document.querySelector("tr[aria-level][tabindex=\'0\']").focus()');
        $this->screen->keys(WebDriverKeys::ESCAPE, WebDriverKeys::HOME);
        foreach ([WebDriverKeys::ARROW_DOWN, WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT] as $key) {
            $with($key, WebDriverKeys::SHIFT);
        }
        $with('c', WebDriverKeys::CONTROL);

        return $this->screen->driver->executeScript('return window.copied') === "10\t200-0011\n20\t200-0012";
    });
});

it('keeps work on a revision, goes back to it, and comes forward again', function (): void {
    $this->screen->signIn('edda.roth', '/orders/ECO-00086/revise/300-0010')->see('Regulator alone, for the first trial')->see('now G.2');
    $this->screen
        ->type('Save iteration G.2, note', 'With all capacitors')
        ->press('Save iteration')
        ->see('With all capacitors')
        ->see('now G.3');
    $this->screen->press('Go back to G.1');
    $this->screen->until('only the regulator differs', fn(): bool => !str_contains($this->screen->text(), 'C20, C23'));
    $this->screen->press('Undo')->see('C20, C23');
});

it('lists who points to an older revision, and lets one adopt the newest under an order', function (): void {
    $this->screen->signIn('mira.okafor', '/items/200-0010')->see('Not on revision E yet, 2')->see('line 10 names revision A');
    $this->screen
        ->click('//input[@aria-label="800-0011 adopts E"]')
        ->choose('Under the order', 'ECO-00086')
        ->press('Adopt E in 1')
        ->see('adopted under ECO-00086');
    $this->screen->visit('/orders/ECO-00086/revise/110-0001')->see('Fixed revision');
    $this->screen->until(
        'the old and the new revision',
        fn(): bool => $this->screen->find('//del[normalize-space()="A"]') !== null &&
            $this->screen->find('//ins[normalize-space()="E"]') !== null,
    );
});
