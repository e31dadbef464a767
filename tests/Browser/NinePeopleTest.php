<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;

// One change by nine people: Ivo sets the path up, Mira coordinates, Jonas and Samir edit, Omar, Helen for Lena, Nils and Greta judge, and
// Petra has a task. Each test goes on where the one before ended.
final class Nine
{
    public static string $order = '';

    public static string $papers = '';

    public static function number(string $address): string
    {
        return basename((string) parse_url($address, PHP_URL_PATH));
    }

    public static function review(): string
    {
        return '/orders/' . self::$order . '/review';
    }
}

it('goes over a path of four steps that an administrator builds on screen', function (): void {
    $this->screen->signIn('ivo.tanner', '/set-up/paths')->see('Quality review')->settled();
    $this->screen->type('Code (fixed once added)', 'nine')->type('Name', 'Roller changes');
    $step = fn(int $at): string => "(//form[@aria-label='New approval path']//fieldset[.//label[contains(., 'Stage')]])[{$at}]";
    $fill = function (int $at, string $name, string $who, string $needed) use ($step): void {
        $field = fn(string $label): string => "{$step(
            $at,
        )}//label[starts-with(normalize-space(), '{$label}')]/following-sibling::*/descendant-or-self::input";
        $set = function (string $label, string $words) use ($field): void {
            $input = $this->screen->find($field($label)) ?? throw new LogicException("There is no field {$label}.");
            $input->clear();
            $input->sendKeys($words);
        };
        $set('Step', $name);
        $set('Needed', $needed);
        $this->screen->click("{$step($at)}//button[starts-with(@aria-label, 'Any who signs')]");
        $this->screen->click("//label[contains(normalize-space(), '{$who}')]/input")->keys(WebDriverKeys::ESCAPE);
    };
    $fill(1, 'Quality', 'Quality (group)', '2');
    $this->screen->press('Add a step');
    $fill(2, 'Cost', 'Greta Sorn', '1');
    $this->screen->press('Add a step');
    $fill(3, 'Board', 'Change board (group)', '1');
    $this->screen->press('Add a step');
    $fill(4, 'Approval', 'The signer of the order', '1');
    // Whoever judges last may send it back to the first stage.
    $this->screen->click("{$step(4)}//label[normalize-space()='stage 1']/input");
    $this->screen->press('Add a task')->type('What is to be done', 'Price of the new roller');
    $this->screen->choose('Made', 'With stage 2')->choose('Kind of work', 'Purchasing')->choose('For', 'Petra Quist');
    $this->screen->press('Add path')->see('Quality → Cost → Board → Approval');
});

it('is raised, planned on that path, and a part of it is left to others to edit', function (): void {
    $this->screen->as('mira.okafor', '/orders/new')->see('What changes, and why')->settled();
    $this->screen
        ->type('Title', 'Rollers of a harder plastic')
        ->type('What changes, and why', 'The soft ones wear flat within a season.')
        ->pick('Add an affected item', '200-0030')
        ->press('Create order')
        ->see('Name the person who edits.');
    Nine::$order = Nine::number($this->screen->driver->getCurrentURL());
    $this->screen
        ->type('Effective from', date('Y-m-d', strtotime('+50 days')))
        ->choose('Editor', 'Jonas Weir')
        ->choose('Approval path', 'Roller changes')
        ->choose('Signer', 'Nils Aarden')
        ->press('Save')
        ->settled();
    $this->screen->choose('Existing stock of 200-0030', 'Use up')->settled();
    $this->screen->press('Open for revision')->see('nothing is changed yet')->settled();
    $this->screen->press('Add a task')->type('What is to be done', 'Rollers at Weir');
    $this->screen->choose('For', 'Samir Bello')->click('//input[@aria-label="Plant Weir of 200-0030"]')->press('Create task');
    $this->screen->see('Rollers at Weir')->settled();

    // What is written of it is judged by others, under an order of their own.
    $this->screen->click('//summary[contains(., "subordinate")]')->settled();
    $this->screen->click('//a[normalize-space()="Raise a subordinate order"]')->see('Subordinate to')->settled();
    $this->screen
        ->type('Title', 'Work instruction for the harder rollers')
        ->type('What changes, and why', 'The torque of the screws goes down.')
        ->pick('Add an affected item', '820-0003')
        ->press('Create order')
        ->see('Name the person who edits.');
    Nine::$papers = Nine::number($this->screen->driver->getCurrentURL());
    $this->screen
        ->type('Effective from', date('Y-m-d', strtotime('+50 days')))
        ->choose('Editor', 'Samir Bello')
        ->choose('Signer', 'Greta Sorn')
        ->press('Save')
        ->settled();
    $this->screen->choose('Outcome of 820-0003', 'New revision')->settled();
    $this->screen->choose('Existing stock of 820-0003', 'Use up')->settled();
    $this->screen->press('Open for revision')->see('Samir Bello edits.')->settled();
});

it('is edited by two, each their part, and goes to review when the last task is done', function (): void {
    $this->screen
        ->as('jonas.weir', '/orders/' . Nine::$order . '/revise/200-0030')
        ->see('Undo')
        ->settled();
    $this->screen
        ->open("//table[@aria-label='Before and after']//tr[.//*[contains(normalize-space(), '200-0031')]]/td[7]", 'Notes of line 10')
        ->type('Notes of line 10', 'harder plastic')
        ->keys(WebDriverKeys::ENTER)
        ->see('harder plastic')
        ->settled();
    $this->screen
        ->as('mira.okafor', '/changes/' . Nine::$order)
        ->see('Not done yet')
        ->settled();

    $this->screen->as('samir.bello')->see('Rollers at Weir')->settled();
    $this->screen
        ->visit('/orders/' . Nine::$order . '/revise/200-0030')
        ->see('harder plastic')
        ->dontSee('Add a line');
    $this->screen
        ->visit('/orders/' . Nine::$order . '/build/200-0030/Weir')
        ->see('Roller set at Weir')
        ->settled();
    $this->screen->press('Edit operation 20')->type('Run, min', '4.2')->press('Save the operation')->see('4.2')->settled();
    $this->screen->visit('/')->see('Rollers at Weir')->settled()->click('//tr[contains(., "Rollers at Weir")]//td[contains(., "Rollers")]');
    $this->screen->see('manufacturing at Weir')->see('4.2')->press('Done')->type('Result', 'Half a minute more.')->press('Mark as done');
    $this->screen->see('done')->settled();
    $this->screen
        ->as('mira.okafor', '/changes/' . Nine::$order)
        ->press('Adopt 800-0017')
        ->see('All decided')
        ->press('Send to review')
        ->see('signs or sends it back');
});

it('is judged together with its instruction: two of three with a deputy, a price, money, a step back and on again', function (): void {
    $this->screen->as('samir.bello', '/items/820-0003')->see('Drop a file here')->settled();
    $this->screen
        ->drop('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><text x="1" y="5">0.8 Nm</text></svg>', 'rotor.svg')
        ->see('rotor.svg')
        ->settled();
    $this->screen
        ->visit('/changes/' . Nine::$papers)
        ->press('Send to review')
        ->see('Greta Sorn signs or sends it back.');
    $this->screen
        ->as('greta.sorn', '/orders/' . Nine::$papers . '/review')
        ->see('Work instruction, rotor')
        ->settled();
    $this->screen->type('Your password', 'quillback')->press('Sign this page')->settled();

    // Two of three: Lena is away, and Helen stands in.
    $this->screen->as('omar.reyes', Nine::review())->see('Can sign now: Nils Aarden, Omar Reyes, Helen Marsh')->settled();
    foreach (['omar.reyes', 'helen.marsh'] as $who) {
        $this->screen->as($who, Nine::review())->type('Your password', 'quillback')->press('Sign this page')->see('signed');
    }
    $this->screen->see('Helen Marsh for Lena Voss')->see('Price of the new roller');
    $this->screen->as('petra.quist')->see('Price of the new roller')->settled();
    $this->screen->click('//tr[contains(., "Price of the new roller")]//td[contains(., "Price")]')->press('Done');
    $this->screen->type('Result', '1.12 from 500 on.')->press('Mark as done')->see('1.12 from 500 on.');
    foreach (['greta.sorn', 'helen.marsh'] as $who) {
        $this->screen->as($who, Nine::review())->type('Your password', 'quillback')->press('Sign this page')->settled();
    }
    $this->screen->as('nils.aarden', Nine::review())->see('Your signature means: approved (Approval).')->settled();
    $this->screen->field('To')->click();
    $this->screen->find('//*[@role="option"][starts-with(normalize-space(), "Quality")]')?->click();
    $this->screen->type('Reason and required corrections', 'Was the wear measured?')->press('Send back')->see('Was the wear measured?');
    foreach (['omar.reyes', 'nils.aarden', 'greta.sorn', 'helen.marsh', 'nils.aarden'] as $who) {
        $this->screen->as($who, Nine::review())->type('Your password', 'quillback')->press('Sign this page')->settled();
    }
    $this->screen->see('A coordinator releases it.');
});

it('is released with its change notice, then its instruction, and each mail went once', function (): void {
    $this->screen
        ->as('mira.okafor', '/changes/' . Nine::$order)
        ->press('Release')
        ->press('Release (cannot be undone)');
    $this->screen
        ->see('Change notice')
        ->see('ECN-' . substr(Nine::$order, 4))
        ->settled();
    $this->screen
        ->visit('/change-notices/ECN-' . substr(Nine::$order, 4))
        ->see('harder plastic')
        ->see('Helen Marsh')
        ->see('Omar Reyes');
    $this->screen
        ->visit('/changes/' . Nine::$papers)
        ->press('Release')
        ->press('Release (cannot be undone)')
        ->see('Change notice');
    $notice = 'ECN-' . substr(Nine::$order, 4);
    // To whom mails went that say it.
    $to = static fn(string $words): array => array_column(
        array_filter(
            json_decode((string) file_get_contents(getenv('MAIL_PAGES') . '/mails.json'), true, flags: JSON_THROW_ON_ERROR),
            static fn(array $one): bool => str_contains($one['text'], $words),
        ),
        'to',
    );
    $this->screen->until('the mails of the notice', static fn(): bool => count($to("Change notice issued: {$notice}")) >= 3);
    expect($to("Change notice issued: {$notice}"))
        ->toBe(array_values(array_unique($to("Change notice issued: {$notice}"))))
        ->and($to('Rollers at Weir'))
        ->toContain('samir.bello@quillback.example')
        ->and(array_count_values($to('Rollers at Weir'))['samir.bello@quillback.example'])
        ->toBe(1)
        ->and(array_count_values($to('Price of the new roller'))['petra.quist@quillback.example'])
        ->toBe(1);
});
