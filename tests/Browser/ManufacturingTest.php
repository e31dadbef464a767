<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Api;

/** Orders that change how plants build. */
final class Built
{
    public static string $order = '';
}

it('lets a change of manufacturing alone be planned: no new engineering revision', function (): void {
    $mira = new Api($this->address, 'mira.okafor');
    Built::$order = $mira->order('Thread locker on the roller pins', '200-0030');
    $this->screen
        ->signIn('mira.okafor', '/changes/' . Built::$order)
        ->see('Thread locker on the roller pins')
        ->type('Effective from', date('Y-m-d', strtotime('+30 days')))
        ->choose('Editor', 'Samir Bello')
        ->choose('Signer', 'Helen Marsh')
        ->press('Save');
    $this->screen->choose('Outcome of 200-0030', 'Manufacturing only')->see('stays what it is');
    $this->screen->pick('Add an affected item', '710-0002')->see('Thread locker, medium')->choose('Outcome of 710-0002', 'Item data only');
    $this->screen->press('Open for revision')->see('200-0030, 710-0002: nothing is changed yet.')->see('Samir Bello edits.');
});

it('adds the line at its operation, with its minutes, and goes through review, signature and release', function (): void {
    $this->screen
        ->signIn('samir.bello', '/orders/' . Built::$order . '/build/200-0030/Weir')
        ->see('Press the pins')
        ->press('Add a line')
        ->pick('Component', '710-0002')
        ->type('Quantity', '0.2')
        ->choose('Operation', '10 Press the pins')
        ->click('//form[@aria-label="Add a line"]//button[@type="submit"]')
        ->see('Thread locker, medium')
        ->see('added');
    $this->screen->press('Edit operation 10')->type('Run, min', '1.45')->press('Save the operation')->see('1.45');
    $this->screen
        ->visit('/orders/' . Built::$order . '/data/710-0002')
        ->type('Lead time after', 'soon')
        ->keys(WebDriverKeys::ENTER)
        ->see('Write whole working days, at most 3650.')
        ->type('Lead time after', '12')
        ->keys(WebDriverKeys::ENTER)
        ->see('changed')
        ->type('Minimum lot at Weir after', '250')
        ->keys(WebDriverKeys::ENTER)
        ->see('added')
        ->type('Safety stock at Weir after', '40')
        ->keys(WebDriverKeys::ENTER)
        ->click('//button[starts-with(normalize-space(), "Show differences only")]')
        ->see('Safety stock at Weir')
        ->press('Undo')
        ->dontSee('Safety stock at Weir');
    $this->screen
        ->visit('/changes/' . Built::$order)
        ->see('Item data, 2 fields differ')
        ->see('complete, ')
        ->press('Send to review')
        ->see('Helen Marsh signs or sends it back.');
    $this->screen
        ->signIn('helen.marsh', '/orders/' . Built::$order . '/review')
        ->see('200-0030 Roller set at Weir, A → B')
        ->see('Thread locker, medium')
        ->see('1.45')
        ->see('only the building of it changes')
        ->see('710-0002 Thread locker, medium, data A → B')
        ->see('Minimum lot at Weir')
        ->type('Your password', 'quillback')
        ->press('Sign this page')
        ->see('A coordinator releases it.');
    $this->screen
        ->signIn('mira.okafor', '/changes/' . Built::$order)
        ->see('at Weir: manufacturing revision B is released')
        ->see('data B hold from')
        ->press('Release')
        ->press('Release (cannot be undone)')
        ->see('■ accepted');
    $planning = strip_tags((string) file_get_contents(getenv('PLANNING_URL') . '/plants/Weir/200-0030'), '<td>');
    expect($planning)->toContain('Revision B')->toContain('<td>1.45</td>')->toContain('<td>710-0002</td>');
    $data = strip_tags((string) file_get_contents(getenv('PLANNING_URL') . '/items/710-0002'), '<td>');
    expect($data)->toContain('Revision B')->toContain('<td>minimum lot (Weir)</td><td>250</td>')->not->toContain('safety stock');
    $later = date('Y-m-d', strtotime('+31 days'));
    $this->screen
        ->visit("/items/710-0002?view=data&on={$later}")
        ->see('Minimum lot at Weir')
        ->see(Built::$order);
    $this->screen->visit('/items/200-0030')->see('Engineering structure')->dontSee(Built::$order);
});

it('catches one part in engineering and another in manufacturing', function (): void {
    $mira = new Api($this->address, 'mira.okafor');
    $order = $mira->order('Bracket of the motor once more', '200-0001');
    $mira->call('PATCH', "/orders/{$order}", [
        'editor' => 'jonas.weir',
        'signer' => 'helen.marsh',
        'effective_on' => date('Y-m-d', strtotime('+90 days')),
        'version' => 1,
    ]);
    $mira->call('PUT', "/orders/{$order}/items/200-0001", ['outcome' => 'revise', 'disposition' => 'use_up', 'version' => 2]);
    $mira->call('POST', "/orders/{$order}/opening", ['version' => 3]);
    $jonas = new Api($this->address, 'jonas.weir');
    $base = "/orders/{$order}/items/200-0001";
    $redline = $jonas->call('GET', "{$base}/redline")['rows'];
    $bracket = array_values(array_filter($redline, static fn(array $row): bool => $row['after']['component'] === '200-0052'))[0];
    $jonas->call('POST', "{$base}/edits", [
        'operation' => 'replace',
        'line' => $bracket['key'],
        'fields' => ['component' => '200-0051'],
        'seen' => 0,
    ]);
    // Engineering names the milled bracket, manufacturing goes on with the folded one.
    $this->screen->signIn('jonas.weir', "/changes/{$order}")->see('200-0001 at Weir: 1 engineering line is not accounted for');
    expect($this->screen->find('//button[normalize-space()="Send to review"]')?->isEnabled())->toBeFalse();
    $this->screen
        ->visit("/items/200-0001?kind=manufacturing&plant=Weir&view=accounted&order={$order}&lines=open")
        ->see('200-0051')
        ->see('Only in manufacturing');
    expect($this->screen->find('//table[starts-with(@aria-label, "Additions")]')?->getText())->toContain('200-0052');
});

it('has engineering beside the operations: taken over at one of them by keys, and taken back at one stroke', function (): void {
    $this->screen
        ->signIn('samir.bello', '/orders/ECO-00088/build/230-0001/Tarn')
        ->see('1 engineering line open')
        ->click('//input[@aria-label="Take over find 40, 230-0023"]')
        ->type('So much of find 40', '3')
        ->choose('At operation', '20 Fit the modules')
        ->press('Take over 1')
        ->see('of 1 pc open, 4 in all');
    $this->screen
        ->click('//input[@aria-label="Take over find 40, 230-0023"]')
        ->type('So much of find 40', '9')
        ->press('Take over 1')
        ->see('1 pc of it are open');
    $this->screen
        ->type('So much of find 40', '1')
        ->choose('At operation', '30 Connect and close')
        ->press('Take over 1')
        ->see('Every line is accounted for');
    $this->screen->press('Undo')->see('of 1 pc open, 4 in all')->press('Undo')->see('of 4 pc open');
});

it('compares how two plants make one item, and rolls its cost up', function (): void {
    $both = 'left=200-0010&right=200-0010&left_kind=manufacturing&right_kind=manufacturing&left_plant=Tarn&right_plant=Weir';
    $this->screen
        ->signIn('vera.stone', "/compare?{$both}")
        ->see('Clean housing and rotor')
        ->see('Tarn A, 8 at once → Weir A, 20 at once');
    $this->screen
        ->visit('/items/200-0001?kind=manufacturing&plant=Weir&view=cost')
        ->see('Set-up at batch size')
        ->see('200-0001 › 200-0050')
        ->see('57 working days');
    $this->screen
        ->visit('/items/900-0001')
        ->see('Used at operations')
        ->see('Fit rotor and tube')
        ->click('//a[normalize-space()="PUMP"]')
        ->see('Work centre PUMP');
});

it('saves work at a plant as it is, goes back to it, and merges in what another order released, as one chooses', function (): void {
    $mira = new Api($this->address, 'mira.okafor');
    $jonas = new Api($this->address, 'jonas.weir');
    $begin = static function (string $title, int $days) use ($mira): string {
        $order = $mira->order($title, '300-0030');
        $mira->call('PATCH', "/orders/{$order}", [
            'editor' => 'jonas.weir',
            'signer' => 'helen.marsh',
            'effective_on' => date('Y-m-d', strtotime("+{$days} days")),
            'version' => 1,
        ]);
        $mira->call('PUT', "/orders/{$order}/items/300-0030", ['outcome' => 'build', 'disposition' => null, 'version' => 2]);
        $mira->call('POST', "/orders/{$order}/opening", ['version' => 3]);

        return $order;
    };
    $base = static fn(string $order): string => "/orders/{$order}/items/300-0030/plants/Weir";
    $first = $begin('Fewer minutes at the first operation', 60);
    $second = $begin('Other minutes at the first operation', 40);
    $operation = $jonas->call('GET', "{$base($first)}/redline")['operations'][0]['key'];
    foreach ([$first => '7.25', $second => '6.5'] as $order => $run) {
        $jonas->call('POST', "{$base((string) $order)}/edits", [
            'edits' => [['edit' => 'change_operation', 'part' => $operation, 'fields' => ['run' => $run]]],
            'seen' => 0,
        ]);
    }
    $version = static fn(string $order): int => $mira->call('GET', "/dossiers/{$order}")['order']['version'];
    $jonas->call('POST', "/orders/{$second}/review", ['version' => $version($second)]);
    $helen = new Api($this->address, 'helen.marsh');
    $helen->call('POST', "/orders/{$second}/signature", [
        'password' => 'quillback',
        'digest' => $helen->call('GET', "/orders/{$second}/review")['order']['digest'],
    ]);
    $mira->call('POST', "/orders/{$second}/release", ['version' => $version($second)]);

    $this->screen
        ->signIn('jonas.weir', "/orders/{$first}/build/300-0030/Weir")
        ->see('Another order has released a newer revision.')
        ->see('7.25')
        ->type('Save iteration B.1, note', 'Before the merge')
        ->press('Save iteration')
        ->see('Save iteration B.2, note');
    $this->screen
        ->press('Merge it in')
        ->see('1 of your edits and revision B change the same')
        ->see('6.5')
        ->press('Keep all of theirs')
        ->press('Merge')
        ->dontSee('Another order has released')
        ->see('Revision B, unchanged');
    $this->screen->press('Go back to C.1')->see('7.25')->see('Revision B → C')->press('Undo')->see('Revision B, unchanged');
});
