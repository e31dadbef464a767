<?php

declare(strict_types=1);

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
    $this->screen->press('Open for revision')->see('200-0030: nothing is changed yet.')->see('Samir Bello edits.');
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
        ->visit('/changes/' . Built::$order)
        ->see('complete, ')
        ->press('Send to review')
        ->see('Helen Marsh signs or sends it back.');
    $this->screen
        ->signIn('helen.marsh', '/orders/' . Built::$order . '/review')
        ->see('200-0030 Roller set at Weir, A → B')
        ->see('Thread locker, medium')
        ->see('1.45')
        ->see('only the building of it changes')
        ->type('Your password', 'quillback')
        ->press('Sign this page')
        ->see('A coordinator releases it.');
    $this->screen
        ->signIn('mira.okafor', '/changes/' . Built::$order)
        ->see('at Weir: manufacturing revision B is released')
        ->press('Release')
        ->press('Release (cannot be undone)')
        ->see('■ accepted');
    $planning = strip_tags((string) file_get_contents(getenv('PLANNING_URL') . '/plants/Weir/200-0030'), '<td>');
    expect($planning)->toContain('Revision B')->toContain('<td>1.45</td>')->toContain('<td>710-0002</td>');
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
