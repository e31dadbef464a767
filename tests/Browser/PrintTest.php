<?php

declare(strict_types=1);

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;

/*
 * The main pages on paper: black on white also for whoever works in the dark, as wide as the sheet, nothing cut off by a frame
 * that scrolls, and at the foot of each page whose it is, the day and the page of how many.
 */

it('prints whole, in black on white, with day and pages', function (string $login, string $path, string $wait): void {
    $tools = new ChromeDevToolsDriver($this->screen->driver);
    $this->screen->as($login, '/');
    $this->screen->driver->executeScript("localStorage.setItem('theme', 'dark')");
    $this->screen->visit($path)->see($wait)->settled();
    $tools->execute('Emulation.setEmulatedMedia', ['media' => 'print']);
    // A4 across, less its margins.
    $tools->execute('Emulation.setDeviceMetricsOverride', ['width' => 1032, 'height' => 690, 'deviceScaleFactor' => 1, 'mobile' => false]);
    $this->screen->driver->executeScript("dispatchEvent(new Event('beforeprint'))");
    /** @var array{faults: list<string>, foot: string} $seen */
    $seen = $this->screen->driver->executeScript(
        <<<'JS'
            const faults = [];
            const main = document.querySelector('main');
            if (getComputedStyle(document.documentElement).backgroundColor !== 'rgb(255, 255, 255)') faults.push('the paper is not white');
            if (getComputedStyle(document.documentElement).color !== 'rgb(0, 0, 0)') faults.push('the ink is not black');
            if (main.getBoundingClientRect().width < 1000) faults.push(`the page is ${main.getBoundingClientRect().width} wide`);
            for (const one of main.querySelectorAll('*')) {
                const {width, height, right} = one.getBoundingClientRect();
                if (width === 0 || height === 0 || one.closest('svg, input, select, textarea')) continue;
                const {overflowX, overflowY} = getComputedStyle(one);
                const name = `${one.tagName} ${one.className} “${one.textContent.slice(0, 40)}”`;
                if (overflowX !== 'visible' || overflowY !== 'visible') faults.push(`${name} cuts off`);
                if (right > innerWidth + 1) faults.push(`${name} is ${Math.round(right - innerWidth)} beyond the sheet`);
            }
            // The heart of a page is as wide as the page: no empty column stays beside it.
            for (const table of main.querySelectorAll('main > div table[role=grid], table[role=treegrid]'))
                if (table.closest('.no-print') === null && table.getBoundingClientRect().width < 500) faults.push(`a table is ${table.getBoundingClientRect().width} wide`);
            // What was chosen is read; what can only be pressed is left out.
            for (const one of main.querySelectorAll('[role=combobox]'))
                if (one.closest('.no-print') === null && one.getBoundingClientRect().height === 0) faults.push(`${one.getAttribute('aria-label') ?? one.id} is not printed`);
            for (const one of main.querySelectorAll('thead th'))
                if (one.getBoundingClientRect().width > 0 && one.querySelector('button') === null && one.textContent !== 'Difference') faults.push(`a column of things to press, ${one.textContent}`);
            for (const one of main.querySelectorAll('svg.sheet-frame'))
                if (one.getBoundingClientRect().height > 600) faults.push('a sheet does not fit on the page');
            const foot = document.getElementById('print-foot')?.textContent ?? '';
            const drawn = [...main.querySelectorAll('table[aria-rowcount]')].filter((one) => one.rows.length < Number(one.getAttribute('aria-rowcount')));
            for (const one of drawn) faults.push(`${one.getAttribute('aria-label')}: ${one.rows.length} of ${one.getAttribute('aria-rowcount')} rows`);
            return {faults, foot};
        JS
        ,
    );
    $this->screen->driver->executeScript("dispatchEvent(new Event('afterprint')); localStorage.setItem('theme', 'light')");
    $tools->execute('Emulation.clearDeviceMetricsOverride');
    $tools->execute('Emulation.setEmulatedMedia', ['media' => '']);

    expect($seen['faults'])
        ->toBe([])
        ->and($seen['foot'])
        ->toContain('counter(page) " of " counter(pages)')
        ->toContain('printed ' . date('j M Y'));
})->with([
    ['mira.okafor', '/', 'Needs you now'],
    ['mira.okafor', '/register', 'changes'],
    ['mira.okafor', '/items', 'Standard cost'],
    ['mira.okafor', '/items/200-0001?levels=3', 'through 210-0100'],
    ['mira.okafor', '/items/800-0041', 'in work'],
    ['mira.okafor', '/compare?left=210-0100&right=210-0101', 'lines are the same'],
    ['mira.okafor', '/changes/ECR-00096', 'lots and documents'],
    ['mira.okafor', '/changes/ECO-00082', 'Answer from planning'],
    ['mira.okafor', '/reports/PR-00003', 'Likely duplicates'],
    ['mira.okafor', '/changes/ECR-00096/reach', '210-0100'],
    ['mira.okafor', '/changes/ECR-00096/money', 'Assumptions'],
    ['mira.okafor', '/changes/ECR-00096/decision', 'Exposure'],
    ['mira.okafor', '/changes/ECR-00086/cut-in', 'Total'],
    ['edda.roth', '/orders/ECO-00086/revise/300-0010', 'open documents'],
    ['helen.marsh', '/orders/ECO-00084/review', 'Sign this page'],
    ['mira.okafor', '/meeting', 'ECR-'],
    ['clara.fenn', '/items/800-0011/mark-up', 'Save mark-up'],
    ['ivo.tanner', '/set-up/categories', 'Categories'],
    ['ivo.tanner', '/set-up/choices', 'Sites'],
]);

it('prints the plan of a cut-in with its reasons on one page', function (string $request): void {
    $this->screen
        ->as('mira.okafor', "/changes/{$request}/cut-in")
        ->see('What to do by when')
        ->see('What this answer hangs on')
        ->settled();
    $pdf = base64_decode((string) $this->screen->driver->executeCustomCommand('/session/:sessionId/print', 'POST', []));
    expect(preg_match_all('#/Type\s*/Page\b#', $pdf))->toBe(1);
    // On paper stand the reasons, on screen the levers.
    $this->screen->driver->executeScript("dispatchEvent(new Event('beforeprint'))");
    $this->screen->see('Days compared')->see('Best day and its cost, if wrong by a tenth')->see('Assumptions, and where each comes from');
    $this->screen->driver->executeScript("dispatchEvent(new Event('afterprint'))");
    $this->screen->dontSee('Days compared');
})->with(['ECR-00086', 'ECR-00087']);
