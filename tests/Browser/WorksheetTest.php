<?php

declare(strict_types=1);

use Tests\Browser\Support\Api;

/** An order over two cases, edited in one table. */
final class Cases
{
    public static string $order = '';

    public static string $sheet = '';

    /** @param  array<int, array<string, string>>  $rows */
    public static function write(array $rows): void
    {
        self::$sheet = sys_get_temp_dir() . '/orthotaxis-lines.csv';
        $file = fopen(self::$sheet, 'wb') ?: throw new RuntimeException('No file.');
        foreach ([...self::$head, array_keys($rows[0])] as $row) {
            fputcsv($file, $row, ',', '"', '');
        }
        foreach ($rows as $row) {
            fputcsv($file, $row, ',', '"', '');
        }
        fclose($file);
    }

    /** @var list<list<string>> what stands above the lines */
    private static array $head = [];

    /** @return list<array<string, string>> */
    public static function read(string $csv): array
    {
        $rows = array_map(static fn(string $line): array => str_getcsv($line, ',', '"', ''), array_filter(explode("\r\n", $csv)));
        // What is said of the order stands above the lines, and an empty row between.
        $above = (int) array_search(['', ''], $rows, true) + 1;
        self::$head = array_splice($rows, 0, $above);
        $heads = array_shift($rows) ?? [];

        return array_map(static fn(array $row): array => array_combine($heads, $row), array_values($rows));
    }
}

it('is opened for an order that somebody raised directly, with items pasted as a list', function (): void {
    $this->screen
        ->signIn('mira.okafor', '/orders/new')
        ->type('Title', 'Softer gasket in both cases')
        ->type('What changes, and why', 'Fitters ask for it.')
        ->pick('Add an affected item', '230-0001')
        ->see('Case, standard')
        ->press('Create order')
        ->see('The order was raised directly, without a request.');
    preg_match('/ECO-\d+/', $this->screen->driver->getCurrentURL(), $found);
    Cases::$order = $found[0] ?? '';
    $this->screen
        ->type('Effective from', date('Y-m-d', strtotime('+80 days')))
        ->choose('Editor', 'Jonas Weir')
        ->choose('Signer', 'Helen Marsh')
        ->press('Save')
        ->settled();
    $this->screen
        ->click('//summary[normalize-space()="Add several items"]')
        ->type('Item numbers', "230-0002\n230-9999")
        ->press('Add 2 items')
        ->see('There is no item 230-9999');
    $this->screen->type('Item numbers', '230-0002')->press('Add 1 item')->see('Case, insulated');
    $this->screen
        ->choose('Existing stock of 230-0001', 'Use up')
        ->settled()
        ->choose('Existing stock of 230-0002', 'Use up')
        ->settled()
        ->press('Open for revision')
        ->see('Jonas Weir edits.');
});

it('finds and replaces over both parents and their plants in one act, and takes it back as one', function (): void {
    $this->screen
        ->as('jonas.weir', '/orders/' . Cases::$order . '/worksheet?words=gasket')
        ->see('4 of')
        ->click('//button[starts-with(normalize-space(), "Find and replace")]')
        ->pick('Look for', '230-0020')
        ->pick('Replace by', '230-0021')
        ->press('Replace in 4 cells')
        ->see('230-0021 Case gasket, silicone')
        ->press('Undo')
        ->see('No differences')
        ->press('Redo')
        ->see('230-0021 Case gasket, silicone');
    $rows = (new Api($this->address, 'jonas.weir'))->call('GET', '/orders/' . Cases::$order . '/worksheet')['rows'];
    expect(array_count_values(array_column($rows, 'mark'))['replaced'])->toBe(4);
});

it('imports nothing of a sheet with one bad cell, and all of it once that is mended', function (): void {
    $path = '/api/orders/' . Cases::$order . '/worksheet/csv';
    $rows = Cases::read((string) file_get_contents($this->screen->download($path)));
    expect(count($rows))->toBeGreaterThan(40);
    $at = (int) array_search('600-0032', array_column($rows, 'component'), true);
    $rows[$at]['quantity'] = 'some';
    Cases::write($rows);
    $this->screen->visit('/orders/' . Cases::$order . '/worksheet')->see('lines of');
    $this->screen->field('Import edited sheet')->sendKeys(Cases::$sheet);
    $this->screen->see('1 cell cannot be so')->see('Write the quantity as a number')->see('Download it with each of them marked');
    $this->screen->press('Cancel');
    $rows[$at]['quantity'] = '9';
    Cases::write($rows);
    $this->screen->field('Import edited sheet')->sendKeys(Cases::$sheet);
    $this->screen
        ->see('Import 1 change')
        ->press('Import 1 change')
        ->see('Done, the lines in one step to undo.')
        ->press('Close')
        ->see('56 lines of 4 structures');
    $rows = (new Api($this->address, 'jonas.weir'))->call('GET', '/orders/' . Cases::$order . '/worksheet')['rows'];
    expect(array_count_values(array_column($rows, 'mark'))['changed'])->toBe(1);
    unlink(Cases::$sheet);
});

it('shows its last line above the consequences, without scrolling the page', function (): void {
    $this->screen
        ->as('jonas.weir', '/orders/' . Cases::$order . '/worksheet')
        ->see('56 lines of 4 structures')
        ->see('end products');
    $seen = fn(): array => (array) $this->screen->driver->executeScript(
        <<<'JS'
        const bottom = (one) => Math.round(one?.getBoundingClientRect().bottom ?? 1e6);
        const table = document.querySelector('[role=grid]');
        table.parentElement.scrollTop = 1e6;
        const strip = document.querySelector('aside[aria-label=Consequences]').getBoundingClientRect();
        return [bottom(table.querySelector('[data-cell="55-0"]')), bottom(table.parentElement), Math.round(strip.top), window.scrollY];
        JS
        ,
    );
    $above = function () use ($seen): bool {
        [$last, $box, $strip, $scrolled] = $seen();

        return $last <= $box && $box < $strip && $scrolled === 0;
    };
    $this->screen->until('the last line above the strip', $above);
    // What opens in the strip takes its room from the table, as does what opens above.
    $this->screen->click('//aside[@aria-label="Consequences"]//button[contains(., "lines differ")]')->see('They are marked on');
    $this->screen->until('the last line above the opened strip', $above);
    $this->screen->click('//button[starts-with(normalize-space(), "Find and replace")]')->see('Look for');
    $this->screen->until('the last line below the form', $above);
});

it('carries what fits over to a sibling, and leaves what does not to a decision', function (): void {
    $this->screen
        ->visit('/orders/' . Cases::$order . '/transfer?to=' . rawurlencode('230-0001 engineering>110-0002 engineering'))
        ->see('fits with a difference')
        ->see('Quantity 3.2 in place of 2.8.')
        ->see('still to decide');
    // The editor names nothing further: whoever plans the order carries it over.
    $this->screen->as(
        'mira.okafor',
        '/orders/' . Cases::$order . '/transfer?to=' . rawurlencode('230-0001 engineering>110-0002 engineering'),
    );
    $this->screen->see('still to decide')->click('//tr[contains(., "fits with a difference")]//button[normalize-space()="Yes"]');
    $this->screen
        ->press('Carry over 1 edit')
        ->see('1 edit carried over into ' . Cases::$order)
        ->see('reads so already');
    $redline = (new Api($this->address, 'vera.stone'))->call('GET', '/orders/' . Cases::$order . '/items/110-0002/redline')['rows'];
    expect(array_column($redline, 'mark'))->toContain('replaced');
    $this->screen->visit('/changes/' . Cases::$order)->see('Spares kit, case seals');
});

it('begins as a sheet that somebody filled in, all of it or nothing', function (): void {
    $this->screen->as('mira.okafor', '/orders/new');
    $sheet = sys_get_temp_dir() . '/orthotaxis-new-order.csv';
    $write = static fn(string $find): int|false => file_put_contents(
        $sheet,
        "title,Two clamps more\ndescription,They slip.\npriority,high\neditor,jonas.weir\n,\n" .
            "parent,act,find,component,quantity,notes\n200-0010,change,{$find},,4,hand-tight\n230-0002,,,,,\n",
    );
    $write('99');
    $this->screen->field('Import filled-in sheet')->sendKeys($sheet);
    $this->screen->see('1 cell cannot be so')->see('No line has it.')->press('Cancel');
    $write('60');
    $this->screen->field('Import filled-in sheet')->sendKeys($sheet);
    $this->screen
        ->see('2 items, 1 line changes')
        ->press('Create order')
        ->see('The order was raised directly, without a request.')
        ->see('Two clamps more')
        ->see('1 line differs');
    unlink($sheet);
});
