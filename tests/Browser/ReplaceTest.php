<?php

declare(strict_types=1);

use Tests\Browser\Support\Api;

/** The order under which the gasket is replaced in all its parents. */
final class Gasket
{
    public static string $order = '';

    public static function day(int $days): string
    {
        return date('Y-m-d', strtotime("+{$days} days"));
    }
}

it('lists every line that has the gasket, in engineering and at both plants, before anything changes', function (): void {
    $mira = new Api($this->address, 'mira.okafor');
    Gasket::$order = $mira->order('Silicone gasket in all cases', '230-0001');
    $mira->call('PATCH', '/orders/' . Gasket::$order, [
        'editor' => 'jonas.weir',
        'signer' => 'helen.marsh',
        'effective_on' => Gasket::day(90),
        'version' => 1,
    ]);
    $mira->call('PUT', '/orders/' . Gasket::$order . '/items/230-0001', ['outcome' => 'revise', 'disposition' => 'use_up', 'version' => 2]);
    $mira->call('POST', '/orders/' . Gasket::$order . '/opening', ['version' => 3]);
    $this->screen
        ->signIn('mira.okafor', '/changes/' . Gasket::$order)
        ->see('Jonas Weir edits.')
        ->click('//a[normalize-space()="Replace a component in all its parents"]')
        ->see('Choose the component')
        ->pick('Component to replace', '230-0020')
        ->see('Case gasket, rubber 60')
        ->pick('Add what comes', '230-0021')
        ->see('silicone 50')
        ->see('9 lines of 4 items')
        ->see('Manufacturing, Weir')
        ->see('3.2 m 230-0021')
        ->see('Will be named on ' . Gasket::$order)
        ->see('Lead time 84 working days');
});

it('says at the line what cannot be, and at the field what is no day', function (): void {
    $this->screen->type('Quantity of 230-0021 for one', '0.0000001')->see('at most six decimals');
    $this->screen->type('Quantity of 230-0021 for one', '1')->see('9 lines of 4 items')->type('From', '+10');
    $this->screen->see('Not before');
});

it('replaces it in one act, from a day: old the day before, new on the day', function (): void {
    $this->screen->type('From', Gasket::day(120))->see('The old ends the day before')->see('Replace in 9 lines');
    $this->screen->press('Replace in 9 lines')->see('Replaced in 9 lines of 4 items.')->see('0 lines of 0 items');
    foreach ([119 => '230-0020', 120 => '230-0021'] as $day => $gasket) {
        $rows = (new Api($this->address, 'vera.stone'))->call('GET', '/items/230-0002/structure?orders=open&on=' . Gasket::day($day))[
            'rows'
        ];
        expect(
            array_filter(
                array_column(array_column($rows, 'line'), 'component'),
                static fn(string $one): bool => str_starts_with($one, '230-002'),
            ),
        )
            ->toContain($gasket)
            ->not->toContain($gasket === '230-0020' ? '230-0021' : '230-0020');
    }
    $this->screen
        ->visit('/items/230-0002?orders=open&on=' . Gasket::day(119))
        ->see('rubber 60')
        ->dontSee('silicone 50');
    $this->screen
        ->visit('/items/230-0002?orders=open&on=' . Gasket::day(120))
        ->see('silicone 50')
        ->dontSee('rubber 60');
    // Plants go with it, and have taken over what engineering became.
    foreach (['Tarn', 'Weir'] as $plant) {
        $this->screen->visit('/orders/' . Gasket::$order . "/build/110-0002/{$plant}")->see('230-0021');
        $page = (new Api($this->address, 'vera.stone'))->call(
            'GET',
            "/items/110-0002/accountability?plant={$plant}&order=" . Gasket::$order,
        );
        expect($page['open'])->toBe(0);
    }
});

it('is undone by whoever edits, at all of them at one stroke', function (): void {
    $this->screen
        ->as('jonas.weir', '/orders/' . Gasket::$order . '/revise/230-0002')
        ->see('230-0021')
        ->press('Undo')
        ->see('No differences')
        ->visit('/orders/' . Gasket::$order . '/replace?old=230-0020&new=230-0021')
        ->see('9 lines of 4 items')
        ->press('Select none')
        ->see('Replace in 0 lines');
    $this->screen
        ->click('//input[starts-with(@aria-label, "Replace in 230-0002, engineering")]')
        ->press('Replace in 1 line')
        ->see('Replaced in 1 line of 1 item.');
    $this->screen->press('Undo')->see('9 lines of 4 items')->dontSee('Replaced in 1 line');
});
