<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;

/** @return list<array{number: int, id: string, to: string, subject: string, text: string}> what the mail stand-in has, the last first */
function mailsTaken(): array
{
    return json_decode((string) file_get_contents(getenv('MAIL_PAGES') . '/mails.json'), true, flags: JSON_THROW_ON_ERROR);
}

it('names somebody in a comment, who is told in the product and by one mail, and gets there from it', function (): void {
    $this->screen->signIn('clara.fenn', '/changes/ECR-00096')->see('Discussion')->settled();
    $this->screen->type('Comment (@ tells a person)', 'Which hours were these? @tomas');
    $this->screen
        ->click('//*[@aria-label="People to mention"]//button[normalize-space()="Tomas Lind"]')
        ->press('Add comment')
        ->see('Which hours were these? @tomas.lind')
        ->settled();
    // What was said goes on standing there, and is decided.
    $this->screen->click('//li[contains(., "Which hours")]//button[starts-with(normalize-space(), "Pin")]')->see('pinned by Clara Fenn');
    $mails = fn(): array => array_values(
        array_filter(mailsTaken(), static fn(array $one): bool => str_contains($one['text'], 'Which hours were these?')),
    );
    $this->screen->until('a mail', fn(): bool => $mails() !== []);
    expect(array_column($mails(), 'to'))
        ->toBe(['tomas.lind@quillback.example'])
        ->and($mails()[0]['text'])
        ->toContain('You are mentioned', '/changes/ECR-00096');
    $this->screen->as('tomas.lind', '/notices')->see('mentions you')->see('Which hours were these?')->settled();
    $this->screen->click('//tr[contains(., "mentions you")]//td[contains(., "Comment")]')->see('Take in');
    expect($this->screen->driver->getCurrentURL())->toContain('/changes/ECR-00096');
    $this->screen->visit('/notices?show=all')->see('mentions you');
    expect($this->screen->find('//tr[contains(., "mentions you") and contains(., "Which hours") and contains(., "new")]'))->toBeNull();
});

it('watches a change, and says when mails are sent', function (): void {
    $this->screen->as('vera.stone', '/changes/ECO-00085')->see('Check and sign')->settled();
    $this->screen->press('Watch')->see('Watching')->settled();
    $this->screen->visit('/notices')->see('Nothing new.')->click('//summary[normalize-space()="When mails are sent"]')->settled();
    $this->screen->choose('A change that I watch', 'No mail')->settled();
    $this->screen->visit('/notices')->click('//summary[normalize-space()="When mails are sent"]')->settled();
    expect($this->screen->field('A change that I watch')->getText())->toContain('No mail');
    $this->screen->as('mira.okafor', '/changes/ECO-00085')->see('Discussion')->settled();
    $this->screen->type('Comment (@ tells a person)', 'The clip is in the house.')->press('Add comment')->settled();
    $this->screen->as('vera.stone', '/notices')->see('The clip is in the house.')->see('you watch');
    $this->screen->press('Mark all as read')->see('Nothing new.');
    $this->screen->visit('/changes/ECO-00085')->see('Watching')->press('Watching')->settled();
    expect($this->screen->find('//button[normalize-space()="Watch"]'))->not->toBeNull();
    $this->screen->keys(WebDriverKeys::ESCAPE);
});
