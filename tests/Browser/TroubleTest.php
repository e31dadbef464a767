<?php

declare(strict_types=1);

use Tests\Browser\Support\Api;

/** Changes how the planning stand-in behaves. */
function planningBehaves(string $mode, string $how = 'mode'): void
{
    file_get_contents(
        getenv('PLANNING_URL') . '/behaviour',
        false,
        stream_context_create([
            'http' => [
                'method' => 'POST',
                'header' => 'Content-Type: application/x-www-form-urlencoded',
                'content' => http_build_query([$how => $mode]),
            ],
        ]),
    );
}

afterEach(fn() => planningBehaves('normal'));

it('works on when planning is down, slow or talks nonsense, and says so', function (string $mode, string $said): void {
    planningBehaves($mode);
    $this->screen->signIn('mira.okafor', '/changes/ECR-00096')->see('Where used')->see($said);
    planningBehaves('normal');
    $this->screen->press('Ask again')->see('Purchase orders')->dontSee($said);
})->with([
    ['down', 'Planning answered with an error (503).'],
    ['nonsense', 'Planning answered something that is not JSON.'],
    ['slow', 'Planning does not answer.'],
]);

it('shows what planning refused, and takes it when it is put right and sent again', function (): void {
    $this->screen
        ->signIn('tomas.lind')
        ->see('Resolve rejected hand-over lines')
        ->press('ECO-00082')
        ->see('▲ rejected: Item 200-0052 is locked in planning.');
    planningBehaves('1', 'unlock');
    $this->screen->press('Resend')->dontSee('▲ rejected')->see('accepted');
});

it('says which item planning lacks, and introduces it from the screen', function (): void {
    $this->screen
        ->signIn('tomas.lind', '/orders/ECO-00087/revise/230-0001')
        ->see('not in planning')
        ->click('//aside//button[contains(normalize-space(), "not in planning")]')
        ->see('230-0021: introduced before the hand-over is sent, or now.');
    $this->screen->press('Introduce 230-0021 to planning')->dontSee('not in planning');
});

it('releases once when two press release at the same moment', function (): void {
    $mira = new Api($this->address, 'mira.okafor');
    $order = $mira->call('GET', '/dossiers/ECO-00083')['order'];
    expect($order['state'])->toBe('signed');
    $both = curl_multi_init();
    $calls = [
        $mira->prepare('POST', '/orders/ECO-00083/release', ['version' => $order['version']]),
        $mira->prepare('POST', '/orders/ECO-00083/release', ['version' => $order['version']]),
    ];
    array_walk($calls, fn(CurlHandle $one) => curl_multi_add_handle($both, $one));
    do {
        curl_multi_exec($both, $running);
        curl_multi_select($both);
    } while ($running > 0);
    $statuses = array_map(fn(CurlHandle $one): int => curl_getinfo($one, CURLINFO_RESPONSE_CODE), $calls);
    sort($statuses);
    expect($statuses)->toBe([200, 422]);
    $dossier = $mira->call('GET', '/dossiers/ECO-00083');
    expect($dossier['handovers'])
        ->toHaveCount(1)
        ->and(array_filter($dossier['ledger'], fn(array $r): bool => $r['act'] === 'order.released'))
        ->toHaveCount(1);
});

it('shows a viewer everything and no button that changes anything', function (): void {
    $this->screen
        ->signIn('vera.stone', '/changes/ECO-00086')
        ->see('Voltage regulator')
        ->dontSee('Send to review')
        ->dontSee('Open for revision');
    expect($this->screen->find('//a[normalize-space()="Raise a change request"]'))->toBeNull();
    $this->screen->visit('/orders/ECO-00086/revise/300-0010')->see('small outline')->dontSee('Add a line');
});

it('keeps what was typed when the tab is closed', function (): void {
    $this->screen->signIn('clara.fenn', '/requests/new')->type('Title', 'Half a thought');
    $this->screen->visit('/')->visit('/requests/new');
    expect($this->screen->field('Title')->getAttribute('value'))->toBe('Half a thought');
    $this->screen->press('Clear');
});
