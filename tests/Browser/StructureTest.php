<?php

declare(strict_types=1);

use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** Puts a file into the file field of the page. */
function choose(object $screen, string $content, string $name): void
{
    $path = sys_get_temp_dir() . '/' . $name;
    file_put_contents($path, $content);
    $screen->driver->findElement(WebDriverBy::cssSelector('input[type=file]'))->setFileDetector(new LocalFileDetector())->sendKeys($path);
}

it('is walked by keyboard: opens, closes, goes to the parent, extends a block, opens the item', function (): void {
    $this->screen->signIn('jonas.weir', '/items/200-0001')->see('Pump head')->settled();
    $this->screen->driver->executeScript('document.querySelector("tr[aria-level=\'1\'][aria-expanded]").focus()');
    $level = fn(): string => (string) $this->screen->driver->executeScript('return document.activeElement.getAttribute("aria-level")');
    $this->screen->keys(WebDriverKeys::ARROW_RIGHT)->see('Rotor assembly')->keys(WebDriverKeys::ARROW_DOWN);
    $this->screen->until('the first line below', fn(): bool => $level() === '2');
    $this->screen->keys(WebDriverKeys::ARROW_LEFT);
    $this->screen->until('the parent', fn(): bool => $level() === '1');
    $this->screen->keys(WebDriverKeys::ARROW_LEFT)->dontSee('Rotor assembly');
    // Shift and arrows mark a block of rows.
    foreach ([1, 2] as $_) {
        // Modifier keys are let go after every text that is sent.
        $this->screen->driver
            ->action()
            ->keyDown(null, WebDriverKeys::SHIFT)
            ->sendKeys(null, WebDriverKeys::ARROW_DOWN)
            ->keyUp(null, WebDriverKeys::SHIFT)
            ->perform();
    }
    $this->screen->until(
        'three rows marked',
        fn(): bool => count($this->screen->driver->findElements(WebDriverBy::cssSelector('tr[aria-level][aria-selected=true]'))) === 3,
    );
    $this->screen->keys(WebDriverKeys::ENTER);
    $this->screen->until('another item', fn(): bool => !str_ends_with($this->screen->driver->getCurrentURL(), '200-0001'));
});

it('is as it was left after Back: what was opened, the row one was on, and the end in sight', function (): void {
    $this->screen->signIn('jonas.weir', '/items/210-0100')->see('Pump module')->settled();
    $this->screen->press('Open 200-0001')->see('Gear motor 12 V')->press('Open 200-0010')->see('Rotor assembly');
    $this->screen->driver->executeScript('document.querySelector("tr[aria-level=\'1\']").focus()');
    $this->screen->keys(WebDriverKeys::END);
    $last = 'const row = document.querySelector("table[role=treegrid] tbody tr:last-child"); const {bottom} = row.getBoundingClientRect();
        return row === document.activeElement && bottom <= innerHeight && bottom <= row.closest("div").getBoundingClientRect().bottom + 1';
    $this->screen->until('the last row, focused and in sight', fn(): bool => $this->screen->driver->executeScript($last) === true);
    $this->screen->click('//table[@role="treegrid"]//a[text()="200-0020"]')->see('Rotor disc, upper')->settled();
    $this->screen->driver->navigate()->back();
    $this->screen->see('Gear motor 12 V')->see('Rotor assembly');
    $row = 'return document.querySelector("table[role=treegrid] tr[tabindex=\'0\']").textContent.includes("200-0020")';
    $this->screen->until('the row of before', fn(): bool => $this->screen->driver->executeScript($row) === true);
});

it('opens to a level, finds words in what is open, and sums up', function (): void {
    $this->screen->signIn('jonas.weir', '/items/200-0001')->choose('Levels', 'All levels')->see('Roller set')->see('Extended');
    expect($this->screen->driver->getCurrentURL())->toContain('levels=30');
    $this->screen->type('Find in lines', 'screw')->see('found')->keys(WebDriverKeys::ENTER);
    $this->screen->until(
        'a match that is marked',
        fn(): bool => str_contains(
            (string) $this->screen->driver->findElement(WebDriverBy::cssSelector('tr[aria-level][aria-selected=true]'))->getText(),
            'Screw',
        ),
    );
    $this->screen->press('Flattened')->see('Cost of all parts')->see('Longest lead time')->see('Qty per assembly');
});

it('moves along the time ruler by keyboard, and shows the structure of that day', function (): void {
    $this->screen->signIn('jonas.weir', '/items/200-0001')->see('As of')->settled();
    $today = $this->screen->find('//*[@role="slider"]')?->getAttribute('aria-valuenow');
    $this->screen->driver->executeScript('document.querySelector("[role=slider]").focus()');
    $this->screen->keys(WebDriverKeys::ARROW_LEFT, WebDriverKeys::ARROW_LEFT);
    $this->screen->until(
        'two days earlier',
        fn(): bool => (int) $this->screen->find('//*[@role="slider"]')?->getAttribute('aria-valuenow') === (int) $today - 2,
    );
    $this->screen->until('the day in the address', fn(): bool => str_contains($this->screen->driver->getCurrentURL(), 'on='));
    $this->screen->press('← Earlier mark')->see('takes effect');
});

it('compares two items, filters, swaps, and keeps all of it in the address', function (): void {
    $this->screen->signIn('vera.stone', '/compare')->see('Choose what to compare');
    $this->screen
        ->pick('Item, before', '210-0100')
        ->pick('Item, after', '210-0101')
        ->see('Bottle carousel, 24')
        ->see('7 lines are the same');
    expect($this->screen->driver->getCurrentURL())
        ->toContain('left=210-0100')
        ->toContain('right=210-0101');
    $this->screen->press('One level')->dontSee('Carousel clip');
    $this->screen->press('Swap sides')->see('210-0101 Sampling unit, 24 positions');
    $this->screen->until('swapped', fn(): bool => str_contains($this->screen->driver->getCurrentURL(), 'left=210-0101'));
    // Sent to somebody, the address shows the same.
    $this->screen->visit('/compare?left=210-0100&right=210-0101&kinds=changed')->see('Carousel clip')->dontSee('Carousel ring');
    $this->screen->visit('/compare?left=210-0100&right=210-0100&right_revision=Q')->see('has no revision Q');
});

it('draws every line for the printer, not only those in sight', function (): void {
    $this->screen->signIn('vera.stone', '/items/100-0012?levels=30')->see('lines shown')->settled();
    $rows = fn(): int => (int) $this->screen->driver->executeScript('return document.querySelectorAll("tr[aria-level]").length');
    $inSight = $rows();
    $this->screen->driver->executeScript('window.dispatchEvent(new Event("beforeprint"))');
    expect($rows())->toBeGreaterThan(max(200, $inSight));
    $this->screen->driver->executeScript('window.dispatchEvent(new Event("afterprint"))');
    expect($rows())->toBe($inSight);
});

it('refuses a file cell by cell, and takes it over when it is right', function (): void {
    $this->screen->signIn('mira.okafor', '/import')->see('Imports');
    choose(
        $this->screen,
        "number,title,kind,category,unit\n999-0001,Test bracket,assembly,pump,pc\n999-0002,Test plate,thing,pump,pc\n",
        'bad.csv',
    );
    $this->screen->press('Check and import')->see('refused, nothing was saved')->see('kind')->see('Use one of assembly');
    $this->screen->visit('/items/999-0001')->see('There is nothing of this number here.');
    $this->screen->visit('/import')->see('bad.csv');
    choose(
        $this->screen,
        "number,title,kind,category,unit,revision\n999-0001,Test bracket,assembly,pump,pc,\n999-0002,Test plate,part,pump,pc,A\n",
        'good.csv',
    );
    $this->screen->press('Check and import')->see('2 items, 1 of them released');
    $this->screen->choose('Content', 'Structures');
    choose($this->screen, "parent,find,component,quantity,unit\n999-0001,10,999-0002,4,pc\n", 'lines.csv');
    $this->screen->press('Check and import')->see('1 structures with 1 lines');
    $this->screen->visit('/items/999-0001')->see('Test plate')->see('Where used');
});

it('makes a new item, numbered by the rule of its category', function (): void {
    $this->screen->signIn('jonas.weir', '/items/new')->choose('Kind', 'Part')->choose('Category', 'Pump')->see('200-');
    $this->screen->press('Create item')->see('Give it a title.');
    $this->screen->type('Title', 'Tube guide, short')->press('Create item')->see('has no released revision yet');
    expect($this->screen->text())->toContain('Tube guide, short')->toContain('200-');
});

it('offers a site as soon as an administrator has set it up, and no longer once it is retired', function (): void {
    $this->screen->signIn('ivo.tanner', '/set-up/choices')->see('Weir, electronics and pumps');
    // The first of these fields are those of the sites.
    $code = 'Code (fixed once added)';
    $this->screen->type($code, 'two words')->press('Add a site')->see('A code is letters, digits');
    $this->screen->type($code, 'Holm')->type('Name', 'Holm, castings')->press('Add a site')->see('Holm, castings');
    $this->screen->visit('/reports/new')->choose('Site', 'Holm, castings');
    $this->screen->visit('/items/210-0100?kind=manufacturing')->see('Plant that makes it');
    $this->screen->visit('/set-up/choices')->press('Change Holm, castings')->press('Retire')->see('retired');
    $this->screen->visit('/requests/new');
    $this->screen->field('Site')->click();
    $this->screen->see('Tarn, final assembly')->dontSee('Holm, castings');
});

it('says how each plant accounts for what engineering declares, and what it has not taken over', function (): void {
    $this->screen->signIn('vera.stone', '/items/200-0010?kind=manufacturing')->choose('Plant', 'Plant Weir')->press('Accountability');
    $this->screen
        ->see('Complete. 10 lines accounted for, none open.')
        ->see('4 pc at operation 30 in 200-0090')
        ->see('500 mm and scrap at operation 20')
        ->see('Shown on the screen of the work place');
    $this->screen
        ->press('Routing')
        ->see('Weir builds it by its revision A, 20 at once.')
        ->see('outside, Fjellheim Coating')
        ->see('900-0001')
        ->press('Accountability')
        ->see('Complete. 10 lines');
    $this->screen
        ->choose('Plant', 'Plant Tarn')
        ->see('1 of 10 lines open.')
        ->press('Open 1')
        ->see('Silicone grease')
        ->dontSee('Tube clamp');
    expect((string) parse_url($this->screen->driver->getCurrentURL(), PHP_URL_QUERY))->toContain('lines=open');
});

it('takes over at a plant what an order changes, puts on record what it leaves out, and takes both back', function (): void {
    $path = '/items/300-0010?kind=manufacturing&plant=Weir&view=accounted&order=ECO-00086&lines=open';
    $this->screen->signIn('vera.stone', $path)->see('2 of 26 lines open.')->dontSee('Take over');
    $this->screen->signIn('edda.roth', '/orders/ECO-00086/revise/300-0010')->see('lines to take over at plants');
    $this->screen->click('//button[contains(., "to take over at plants")]')->press('▲ 2 of 26 lines open')->see('Would be taken over by');
    $this->screen->visit($path)->press('Take over all 2 that follow')->see('Complete. 26 lines accounted for, none open.');
    // What was done at one stroke is taken back at one.
    $this->screen->press('Undo')->see('2 of 26 lines open.');
    $this->screen
        ->press('On record: find 230 …')
        ->press('Leave out on record')
        ->see('Say why')
        ->type('Reason', 'Fitted by hand at Tarn.')
        ->press('Leave out on record')
        ->see('left out on record: Fitted by hand at Tarn.')
        ->see('310-0057 is left out on record, and built all the same');
    $this->screen->press('Undo')->see('nothing changed at this plant yet');
});

it('finds an item in spite of an error of typing, and by what it is used in', function (): void {
    $this->screen->signIn('vera.stone', '/items')->type('Number or words of the title', 'pmup haed')->see('200-0010');
    $this->screen->press('Show all')->pick('Used in', '200-0010')->see('Rotor shaft')->dontSee('Battery pack');
});

it('reads a sheet back under an order, and says which cell is wrong', function (): void {
    $this->screen->signIn('edda.roth', '/orders/ECO-00086/revise/300-0010')->see('Import edited sheet');
    choose($this->screen, "parent,find,component,quantity,unit\n300-0010,10,300-0011,many,pc\n", 'sheet.csv');
    $this->screen->see('nothing of it is saved')->see('Row 2, quantity');
});
