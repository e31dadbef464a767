<?php

declare(strict_types=1);

// A request is judged step by step: quality side by side with a task, then the board, on a path that a rule chooses.
final class Judging
{
    public static string $request = '';
}

it('goes on the path that a rule chooses with its finding', function (): void {
    $this->screen
        ->signIn('clara.fenn', '/requests/new')
        ->type('Title', 'Hot plug of the charger')
        ->type('Description', 'The plug is hot to the touch after an hour.')
        ->choose('Reason', 'Safety')
        ->choose('Source', 'Field')
        ->choose('Site', 'Tarn, final assembly')
        ->pick('Add an affected item', '400-0001')
        ->press('Create request')
        ->see('Take in')
        ->settled();
    Judging::$request = basename((string) parse_url($this->screen->driver->getCurrentURL(), PHP_URL_PATH));
    $this->screen
        ->as('mira.okafor', '/changes/' . Judging::$request)
        ->type('Finding', 'The contacts are plain; tinned ones stay cool.')
        ->press('Save finding')
        ->see('Requests about safety, version 1, chosen by rule')
        ->see('Assess the risk in the field')
        ->dontSee('Reason for the decision');
});

it('is signed by those whom the path asks, on the page with all they need', function (): void {
    $page = '/changes/' . Judging::$request . '/decision';
    $this->screen->as('nils.aarden')->see(Judging::$request)->visit($page)->see('Your signature means')->settled();
    $this->screen->type('Reason', 'Seen at two partners.')->press('Sign')->see('Seen at two partners.')->settled();
    $this->screen->as('omar.reyes', $page)->see('Your signature means')->settled();
    $this->screen->press('Sign')->see('Omar Reyes,')->settled();
    $this->screen->as('tomas.lind', $page)->see('(Production)')->settled();
    $this->screen->press('Sign')->see('Tomas Lind,')->see('Waits for the task');
    // Its part of the path is a task, from which the board is asked.
    $this->screen->click('//a[normalize-space()="Assess the risk in the field"]')->see('Dossier')->settled();
});

it('is asked anew where it became another request, and says why', function (): void {
    $address = '/changes/' . Judging::$request;
    $this->screen->as('mira.okafor', $address)->see('another one makes it void')->settled();
    $this->screen->type('Finding', 'The contacts are plain; tinned ones stay cool, at 0.40 more.')->press('Save finding');
    $this->screen->see('signed, void since the request was changed or sent back')->settled();
    foreach (['nils.aarden', 'omar.reyes', 'tomas.lind'] as $who) {
        $this->screen
            ->as($who, "{$address}/decision")
            ->see('Your signature means')
            ->settled();
        $this->screen->press('Sign')->dontSee('Your signature means');
    }
});

it('goes on with the task, and is approved with the last signature of the board', function (): void {
    $address = '/changes/' . Judging::$request;
    $this->screen->as('omar.reyes', $address)->see('Tasks, 1 open')->settled();
    $this->screen
        ->click('//section[@id="tasks"]//tr[contains(., "Assess the risk")]//a | //*[@id="tasks"]//a[starts-with(., "T-")]')
        ->see('How many are out there')
        ->settled();
    $this->screen->press('Claim')->see('Hand back')->settled();
    foreach (['How many are out there', 'What can happen'] as $row) {
        $this->screen->click("//label[contains(normalize-space(), '{$row}')]/input")->settled();
    }
    $this->screen->press('Done')->type('Result', 'Forty sets; a burnt finger.')->press('Mark as done')->see('Forty sets')->settled();
    foreach (['greta.sorn', 'helen.marsh'] as $who) {
        $this->screen
            ->as($who, "{$address}/decision")
            ->see('(Change board)')
            ->settled();
        $this->screen
            ->click('//label[contains(., "Users are warned")]/input')
            ->type('Your password', 'quillback')
            ->press('Sign')
            ->dontSee('Your signature means');
    }
    $this->screen->as('mira.okafor', $address)->see('approved')->see('Turn it into an order.')->see('Seen at two partners.');
});
