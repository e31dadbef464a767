<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;

/** A request whose author says line by line what they have in mind. */
final class Proposed
{
    public static string $request = '';

    public static function number(string $address): string
    {
        return preg_match('/EC[RO]-\d+/', $address, $found) === 1 ? $found[0] : throw new RuntimeException("No number in {$address}.");
    }
}

it('is proposed line by line by whoever raised the request, like an order', function (): void {
    $this->screen
        ->signIn('clara.fenn', '/requests/new')
        ->type('Title', 'Four straps for the battery')
        ->type('Description', 'Two straps let the battery slip in the field.')
        ->choose('Reason', 'Defect')
        ->choose('Source', 'Field')
        ->choose('Site', 'Tarn')
        ->choose('Priority', 'High')
        ->pick('Add an affected item', '400-0001')
        ->see('Battery')
        ->press('Create request')
        ->see('Say line by line what you have in mind.');
    Proposed::$request = Proposed::number($this->screen->driver->getCurrentURL());
    $this->screen
        ->press('Propose lines')
        ->see('0 lines differ')
        ->click('//section[starts-with(@aria-label, "Lines proposed")]//a[normalize-space()="Revise"]')
        ->see('Battery strap');
    $quantity = "//table[@aria-label='Before and after']//tr[.//*[contains(normalize-space(), '400-0005')]]/td[4]";
    $this->screen->open($quantity, 'Quantity of line 40')->type('Quantity of line 40', '4')->keys(WebDriverKeys::ENTER)->see('changed');
});

it('is shown to the board before and after, with what a product costs more', function (): void {
    $this->screen
        ->as('mira.okafor', '/changes/' . Proposed::$request)
        ->type('Finding', 'Two more straps fit the box.')
        ->press('Save finding')
        ->see('being assessed')
        ->visit('/changes/' . Proposed::$request . '/decision')
        ->see('Proposed lines')
        ->see('Cost of a product')
        ->see('400-0005 Battery strap')
        ->see('changed')
        ->type('Reason for the decision', 'As proposed.')
        ->press('Approve')
        ->see('approved');
});

it('is in the order that it becomes, and nothing was typed again', function (): void {
    $this->screen
        ->visit('/changes/' . Proposed::$request)
        ->press('Turn into an order')
        ->see('Name the person who edits.');
    $order = Proposed::number($this->screen->driver->getCurrentURL());
    $this->screen
        ->type('Effective from', date('Y-m-d', strtotime('+70 days')))
        ->choose('Editor', 'Jonas Weir')
        ->choose('Signer', 'Helen Marsh')
        ->press('Save')
        ->settled();
    $this->screen->choose('Existing stock of 400-0001', 'Use up')->settled()->press('Open for revision')->see('1 line differs');
    $this->screen
        ->as('jonas.weir', "/orders/{$order}/revise/400-0001")
        ->see('Clara Fenn')
        ->see('changed')
        ->press('Undo')
        ->see('No differences');
    $this->screen->visit('/changes/' . Proposed::$request . '/decision')->see('400-0005 Battery strap');
});
