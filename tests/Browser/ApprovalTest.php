<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;

/** The order of the demo that is on a path of several steps. */
final class Approved
{
    public static string $order = '';
}

it('is a path that an administrator builds step by step', function (): void {
    $this->screen
        ->signIn('ivo.tanner', '/set-up/paths')
        ->see('Quality review → Cost + Approval')
        ->type('Code (fixed once added)', 'tried')
        ->type('Name', 'Tried out')
        ->type('Step', 'Quality looks')
        ->type('Needed', '2')
        ->choose('Meaning', 'reviewed')
        ->press('Add path')
        ->see('Choose who signs.');
    $this->screen
        ->click('//button[starts-with(@aria-label, "Any who signs")]')
        ->click('//label[contains(., "Quality (group)")]/input')
        ->keys(WebDriverKeys::ESCAPE);
    $this->screen->press('Add path')->see('Tried out')->see('Quality looks');
});

it('says whose turn it is, and is signed by two of a group', function (): void {
    $this->screen->as('omar.reyes', '/register?show=all&type=order&words=carousel')->see('Second clip');
    Approved::$order = (string) $this->screen->find('//a[starts-with(normalize-space(), "ECO-")]')?->getText();
    $this->screen
        ->visit('/')
        ->see('Read and sign')
        ->visit('/changes/' . Approved::$order)
        ->see('2 of Lena Voss, Nils Aarden, Omar Reyes; 1 more')
        // Lena is away, and Helen stands in.
        ->see('Can sign now: Omar Reyes, Helen Marsh')
        ->press('Read and sign')
        ->see('Your signature means: reviewed (Quality review).')
        ->type('Your password', 'quillback')
        ->press('Sign this page')
        ->see('Helen Marsh signs or sends it back.');
});

it('goes back to a stage with a reason, and is signed from there on again', function (): void {
    $review = '/orders/' . Approved::$order . '/review';
    $this->screen->as('helen.marsh', $review)->see('Where used')->settled();
    // At the very foot of the page nothing is left to scroll to.
    $this->screen->field('To')->click();
    $this->screen->find('//*[@role="option"][starts-with(normalize-space(), "Quality review")]')?->click();
    $this->screen
        ->type('Reason and required corrections', 'Look at the clip once more.')
        ->press('Send back')
        ->see('Look at the clip once more.')
        ->see('signed, void since it was sent back');
    foreach (['nils.aarden', 'omar.reyes'] as $who) {
        $this->screen->as($who, $review)->type('Your password', 'quillback')->press('Sign this page')->see('signed: reviewed');
    }
    $this->screen
        ->as('helen.marsh', $review)
        ->see('Your signature means: approved (Approval).')
        ->type('Your password', 'quillback')
        ->press('Sign this page')
        ->see('A coordinator releases it.');
});

it('has a deputy for who is away', function (): void {
    $this->screen
        ->as('nils.aarden', '/absences')
        ->see('Lena Voss')
        ->type('First day', '+1')
        ->type('Last day', '+4')
        ->choose('Deputy', 'Omar Reyes')
        ->press('Add absence')
        ->until('an absence of Nils', fn(): bool => $this->screen->find('//tr[.//td[normalize-space()="Nils Aarden"]]') !== null);
    $this->screen->click('//button[starts-with(@aria-label, "Remove the absence of Nils Aarden")]');
    $this->screen->until('no absence of Nils', fn(): bool => $this->screen->find('//tr[.//td[normalize-space()="Nils Aarden"]]') === null);
});
