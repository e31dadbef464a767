<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;

/** A request that goes from what its author proposes to the tasks of the day on which it cuts in. */
final class Cutting
{
    public static string $request = '';

    public static string $order = '';

    public static function number(string $address): string
    {
        return preg_match('/(EC[RO]|T)-\d+/', $address, $found) === 1 ? $found[0] : throw new RuntimeException("No number in {$address}.");
    }
}

it('plans the cut-in of what the author of a request proposes', function (): void {
    $this->screen
        ->signIn('clara.fenn', '/requests/new')
        ->type('Title', 'Thicker tube in the pump head')
        ->type('Description', 'The thin one wears out in silty rivers.')
        ->choose('Reason', 'Defect')
        ->choose('Source', 'Field')
        ->choose('Site', 'Weir')
        ->choose('Priority', 'High')
        ->pick('Add an affected item', '200-0010')
        ->see('Pump head')
        ->press('Create request')
        ->see('Say line by line what you have in mind.');
    Cutting::$request = Cutting::number($this->screen->driver->getCurrentURL());
    $this->screen
        ->press('Propose lines')
        ->see('0 lines differ')
        ->click('//section[starts-with(@aria-label, "Lines proposed")]//a[normalize-space()="Revise"]')
        ->see('200-004');
    // Another walk may have put the thicker tube in already: then the thin one comes.
    $isThick = str_contains($this->screen->text(), '200-0041');
    [$goes, $comes] = $isThick ? ['200-0041', '200-0040'] : ['200-0040', '200-0041'];
    $component = "//table[@aria-label='Before and after']//tr[.//*[contains(normalize-space(), '{$goes}')]]/td[3]";
    $this->screen
        ->open($component, 'Component of line 50')
        ->pick('Component of line 50', $comes)
        ->keys(WebDriverKeys::ENTER)
        ->see('replaced');
    $this->screen
        ->as('mira.okafor', '/changes/' . Cutting::$request . '/cut-in')
        ->see('Read off the proposal')
        ->see('Least cost')
        ->settled()
        ->click('//button[starts-with(normalize-space(), "Least cost")]')
        ->see('Release the change')
        ->settled();
    $field = $this->screen->find('//label[starts-with(normalize-space(), "Reason ") and contains(., "20")]');
    $this->screen
        ->type((string) $field?->getText(), 'The old tube is used up by then.')
        ->click('//button[starts-with(normalize-space(), "Choose")]')
        ->see('The old tube is used up by then.');
});

it('makes tasks with days of what has to be done for it', function (): void {
    $this->screen
        ->as('mira.okafor', '/changes/' . Cutting::$request)
        ->type('Finding', 'The head takes both tubes.')
        ->press('Save finding')
        ->see('being assessed')
        ->visit('/changes/' . Cutting::$request . '/decision')
        ->type('Reason for the decision', 'Seen in the field.')
        ->press('Approve')
        ->see('approved')
        ->visit('/changes/' . Cutting::$request)
        ->press('Turn into an order')
        ->see('Name the person who edits.');
    Cutting::$order = Cutting::number($this->screen->driver->getCurrentURL());
    $this->screen
        ->press('Make tasks of it')
        ->press('Make tasks')
        ->see('Choose who does at least one of them.')
        ->choose('Cut in', 'Engineering, Weir (group of 3)')
        ->press('Make tasks')
        ->see('Tasks, 1 open');
});

it('is claimed by one of the group, ticked and done, and off everybody’s desk', function (): void {
    $this->screen
        ->as('jonas.weir', '/')
        ->see('Claim: Cut in')
        ->as('samir.bello', '/')
        ->click("//tr[.//*[contains(normalize-space(), 'Claim: Cut in')]]//td[contains(., 'Claim: Cut in')]")
        ->see('Engineering, Weir')
        ->press('Claim')
        ->see('Claimed by');
    $task = Cutting::number($this->screen->driver->getCurrentURL());
    $this->screen->as('jonas.weir', '/')->see('Needs you now')->dontSee('Claim: Cut in');
    $this->screen
        ->as('mira.okafor', "/tasks/{$task}")
        ->press('Edit')
        ->type('Check list, one row a line', 'First ten heads checked')
        ->press('Save')
        ->see('Check list');
    $this->screen
        ->as('samir.bello', "/tasks/{$task}")
        ->see('Not ticked yet: First ten heads checked.')
        ->click('//label[contains(., "First ten heads checked")]/input')
        ->dontSee('Not ticked yet')
        ->press('Done')
        ->type('Result', 'Built in from serial 2210 on.')
        ->press('Mark as done')
        ->see('Done by')
        ->see('Built in from serial 2210 on.');
    $this->screen->as('mira.okafor', '/changes/' . Cutting::$order)->see('Tasks, all done');
});
