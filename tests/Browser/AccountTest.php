<?php

declare(strict_types=1);

use Orthotaxis\Core\SignIn\Totp;

it('adds somebody, who chooses a password by mail, sets up an authenticator and signs in with both', function (): void {
    $this->screen->signIn('ivo.tanner', '/set-up/people')->see('Karl Ode')->settled();
    $this->screen
        ->type('Sign-in name (fixed once added)', 'hanna.brook')
        ->type('Name', 'Hanna Brook')
        ->type('E-mail', 'hanna.brook@quillback.example')
        ->click('//form[@aria-label="New person"]//label[normalize-space()="Buyer"]//input')
        ->press('Add the person')
        ->see('hanna.brook@quillback.example')
        ->settled();
    $this->screen->click('//button[@aria-label="Change Hanna Brook"]')->click('//summary[contains(., "How Hanna Brook signs in")]');
    $this->screen->press('Send a link to set the password')->see('A link is on its way');
    $mails = static fn(): array => array_values(
        array_filter(
            json_decode((string) file_get_contents(getenv('MAIL_PAGES') . '/mails.json'), true, flags: JSON_THROW_ON_ERROR),
            static fn(array $one): bool => $one['to'] === 'hanna.brook@quillback.example',
        ),
    );
    $this->screen->until('a mail', static fn(): bool => $mails() !== []);
    expect($mails())->toHaveCount(1)->and($mails()[0]['text'])->toContain('Your sign-in name is hanna.brook');
    preg_match('~(/new-password#\S+)~', $mails()[0]['text'], $address);

    $this->screen->signOut()->visit($address[1])->see('Long is good');
    $this->screen->type('New password', 'hanna')->press('Save password')->see('At least 12 characters.');
    $this->screen->type('New password', 'the tube is worn out')->press('Save password')->see('Your password is saved.');
    $this->screen->click('//a[contains(., "Sign in as hanna.brook")]')->see('Forgot your password?');
    $this->screen->type('Sign-in name', 'hanna.brook')->type('Password', 'the tube is worn out')->press('Sign in')->see('Buyer')->settled();

    $this->screen->visit('/account')->see('An authenticator on your phone')->settled();
    $this->screen->type('Your password', 'the tube is worn out')->press('Set up an authenticator')->see('Scan it with');
    $spelled = str_replace(' ', '', $this->screen->find('//form[@aria-label="Confirm the authenticator"]//span')?->getText() ?? '');
    $bits = implode(
        '',
        array_map(static fn(string $one): string => sprintf('%05b', strpos('ABCDEFGHIJKLMNOPQRSTUVWXYZ234567', $one)), str_split($spelled)),
    );
    $secret = implode(
        '',
        array_map(static fn(string $eight): string => chr((int) bindec($eight)), array_slice(str_split($bits, 8), 0, 20)),
    );
    $totp = new Totp($secret);
    $this->screen->type('Code that it shows', $totp->at(time()))->press('Turn on')->see('10 recovery codes are left')->settled();
    $recovery = $this->screen->find('//ul[@aria-label="Recovery codes"]/li')?->getText() ?? '';

    $this->screen->signOut()->visit('/')->see('Forgot your password?');
    $this->screen->type('Sign-in name', 'hanna.brook')->type('Password', 'the tube is worn out')->press('Sign in')->see('Write the code');
    $this->screen->type('Code of your authenticator, or a recovery code', '000000')->press('Sign in')->see('This code is wrong');
    $this->screen->type('Code of your authenticator, or a recovery code', $recovery)->press('Sign in')->see('Buyer')->settled();
    $this->screen->visit('/account')->see('9 recovery codes are left');
});

it('limits a role to a plant, which holds on the page and in the act', function (): void {
    $this->screen->signIn('ruth.amery', '/changes/ECO-00094')->settled();
    $this->screen->as('ivo.tanner', '/set-up/roles')->see('Planner, Weir')->settled();
    $this->screen->click('//button[@aria-label="Change Planner, Weir"]')->see('Limited to plants');
    $this->screen->click('//form//label[contains(., "Waive checks")]//input')->press('Save')->see('17 of');
    $this->screen->visit('/set-up/duties')->see('A tick means')->settled();
    $this->screen->click('//label[contains(., "Decide on the request and close the order")]//input')->press('Save')->see('Saved.');
    $this->screen->visit('/set-up/duties')->see('A tick means');
    expect($this->screen->find('//label[contains(., "Decide on the request and close the order")]//input')?->isSelected())->toBeTrue();
    $this->screen->click('//label[contains(., "Decide on the request and close the order")]//input')->press('Save')->see('Saved.');
});

it('signs in by the provider, at the page that was wanted, and nobody whom it does not know', function (): void {
    $this->screen->signOut()->visit('/changes/ECO-00086')->see('Sign in with Quillback identity');
    $this->screen->click('//a[contains(., "Sign in with Quillback identity")]')->see('choose who you are');
    $this->screen->click('//button[contains(., "Sam Hollow")]')->see('Nobody here has this account');
    $this->screen->visit('/changes/ECO-00086')->click('//a[contains(., "Sign in with Quillback identity")]')->see('choose who you are');
    $this->screen->click('//button[contains(., "Mira Okafor")]')->see('ECO-00086')->see('Coordinator');
    expect($this->screen->driver->getCurrentURL())->toEndWith('/changes/ECO-00086');
});
