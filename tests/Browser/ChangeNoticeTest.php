<?php

declare(strict_types=1);

/* The notice of a released order: from the desk of who has to read it to who has not, and to others by mail. */

it('is acknowledged from the desk, and sent to others who get one mail with a link to it', function (): void {
    $this->screen->signIn('samir.bello')->see('Acknowledge ECN-00092')->settled();
    $this->screen->click('//tr[contains(., "Acknowledge ECN-00092")]//td[contains(., "Acknowledge")]')->see('Before and after')->settled();
    expect($this->screen->driver->getCurrentURL())->toContain('/change-notices/ECN-00092');
    $this->screen->press('Acknowledge')->see('You acknowledged it on')->settled();
    $this->screen->visit('/')->see('Needs you now')->settled()->dontSee('Acknowledge ECN-00092');

    $this->screen->as('mira.okafor', '/changes/ECO-00092')->see('Change notice')->settled();
    $this->screen->click('//a[normalize-space()="ECN-00092"]')->see('Distribution')->settled();
    $this->screen->click('//button[contains(., "Nobody chosen")]')->click('//label[contains(., "Edda Roth")]//input');
    $this->screen->keys(Facebook\WebDriver\WebDriverKeys::ESCAPE);
    $this->screen->press('Send to these')->see('Sent by hand')->settled();
    $mails = static fn(): array => array_values(
        array_filter(
            json_decode((string) file_get_contents(getenv('MAIL_PAGES') . '/mails.json'), true, flags: JSON_THROW_ON_ERROR),
            static fn(array $one): bool => $one['to'] === 'edda.roth@quillback.example' &&
                str_contains($one['text'], '/change-notices/ECN-00092'),
        ),
    );
    $this->screen->until('a mail', static fn(): bool => $mails() !== []);
    expect($mails())->toHaveCount(1)->and($mails()[0]['text'])->toContain('For your information');
    expect((string) file_get_contents($this->screen->download('/api/change-notices/ECN-00092/pdf')))->toStartWith('%PDF-');
});

it('goes to lists that an administrator sets up', function (): void {
    $this->screen->signIn('ivo.tanner', '/set-up/distribution')->see('Purchasing')->settled();
    $this->screen->type('Code (fixed once added)', 'chilled')->press('Add the list')->see('Give it a name.');
    $this->screen
        ->type('Name', 'Chilled sampler')
        ->click('//button[contains(., "Nobody chosen")]')
        ->click('//label[contains(., "Clara Fenn")]//input');
    $this->screen->keys(Facebook\WebDriver\WebDriverKeys::ESCAPE);
    $this->screen->pick('Add a product', '100-0034')->settled();
    $this->screen->click('//label[contains(., "They acknowledge it")]//input')->type('Within, work days', '4')->press('Add the list');
    $this->screen->see('within 4 days')->settled();
    expect($this->screen->find('//tr[contains(., "chilled") and contains(., "100-0034") and contains(., "Clara Fenn")]'))->not->toBeNull();
});

it('is of an order to which another may be subordinate', function (): void {
    $this->screen->signIn('mira.okafor', '/changes/ECO-00089')->see('Parent and subordinate orders')->settled();
    $this->screen->click('//summary[normalize-space()="Make it subordinate to another order"]')->settled();
    $this->screen->pick('Subordinate to', 'ECO-00087')->settled();
    $this->screen->press('Make subordinate')->see('released after its parent')->settled();
    $this->screen->visit('/changes/ECO-00087')->see('Subordinate: ECO-00089')->settled();
    $this->screen->click('//summary[normalize-space()="Make it subordinate to another order"]')->settled();
    $this->screen->pick('Subordinate to', 'ECO-00089')->settled();
    $this->screen->press('Make subordinate')->see('That would be a circle')->settled();
    $this->screen->visit('/changes/ECO-00089')->see('Subordinate to')->settled();
    $this->screen->click('//section[@aria-label="Parent and subordinate orders"]//button[normalize-space()="Remove"]')->settled();
    $this->screen->see('Make it subordinate to another order')->dontSee('released after its parent');
});
