<?php

declare(strict_types=1);

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverBy;
use Tests\FilledForm;

it('takes the third field report in, asks, answers, weighs the cost and decides', function (): void {
    $screen = $this->screen;
    // The service reports; what is likely the same is shown while it is typed.
    $screen
        ->signIn('clara.fenn', '/reports/new?items=200-0040')
        ->type('Title', 'Pump tube split at the rollers')
        ->see('alike')
        ->see('gathered into');
    $screen
        ->type('What was seen', 'Split after 190 hours in a silty river.')
        ->type('Serial or lot numbers', 'H24-02011')
        ->choose('Severity', 'Critical')
        ->choose('Source', 'Field')
        ->choose('Site', 'Weir');
    $screen->press('Create report')->see('Problem report ·')->see('H24-02011');
    $number = basename((string) parse_url($screen->driver->getCurrentURL(), PHP_URL_PATH));

    // The coordinator sees it at once, asks back, and gathers it into the request.
    $screen->signOut()->signIn('mira.okafor', '/')->see('Critical now')->see('Pump tube split at the rollers');
    $screen
        ->visit("/reports/{$number}")
        ->type('Answer, or question to whoever raised it', 'How old was the tube?')
        ->press('Send back')
        ->see('sent back');
    $screen
        ->signOut()
        ->signIn('clara.fenn', '/')
        ->see('Answer what was asked')
        ->visit("/reports/{$number}")
        ->type('Your answer', 'Fitted in May.')
        ->press('Send answer')
        ->see('Clara Fenn answers: Fitted in May.');
    $screen
        ->signOut()
        ->signIn('mira.okafor', "/reports/{$number}")
        ->type('An open request', 'ECR-00096')
        ->click('//*[@role="option"][contains(., "ECR-00096")]')
        ->press('Link')
        ->see('Remove from ECR-00096');

    // What it reaches: one drawing is left out, on record.
    $screen
        ->visit('/changes/ECR-00096/reach')
        ->see('Drawings and documents')
        ->click('//input[starts-with(@aria-label, "Select 800-0010")]')
        ->see('Reason, for one row');
    $screen
        ->press('Leave out')
        ->see('Say why it is left out.')
        ->type('Reason, for one row', 'The module stays as it is drawn.')
        ->press('Leave out')
        ->see('✕ out');
    $screen->visit('/changes/ECR-00096/reach?as=picture')->see('items')->settled();
    expect(count($screen->driver->findElements(WebDriverBy::cssSelector('svg g[role=link]'))))->toBeGreaterThan(8);

    // A question to purchasing, answered with what it costs.
    $screen
        ->visit('/changes/ECR-00096')
        ->press('Ask a question')
        ->choose('Function', 'Finance')
        ->choose('To', 'Helen Marsh')
        ->type('Question', 'Is there a budget for the test runs?');
    $screen->press('Ask')->see('Choose a day from today on.');
    $screen
        ->type('Due', '+3')
        ->see('= ')
        ->click('//form[@aria-label="Ask a question"]//button[@type="submit"]')
        ->see('Mira Okafor asks Helen Marsh');

    // Money: what is on order is sent back, with a reason; the totals follow.
    $screen
        ->visit('/changes/ECR-00096/money')
        ->see('Assumptions')
        ->click('//button[@aria-label="Change Purchase orders of 200-0040"]')
        ->choose('Disposition', 'Return to supplier')
        ->type('Cost per unit, EUR', '0.5')
        ->press('Save override')
        ->see('Say why.');
    $screen
        ->type('Reason', 'The supplier takes it for half a Euro.')
        ->press('Save override')
        ->see('The supplier takes it for half a Euro.')
        ->see('200.00');

    // A dealer without an account fills in a form: first it is looked at, then most of it is taken in, once.
    $screen->visit('/changes/ECR-00096/forms')->choose('Template', 'Field check')->press('Issue')->see('Download');
    $handed = new FilledForm('', $screen->download((string) $screen->find('//a[@download]')?->getAttribute('href')));
    $form = $handed
        ->write([
            'seen' => 'Torn at the rollers; silt in the head.',
            'hours' => '190',
            'silt' => 'yes',
            'stock' => 'yes',
            'item' => '200-0040',
            'stock_text' => '14 m',
            'visit' => 'yes',
            'title' => 'Pump tube, misspelt',
            'filled_in_by' => 'Hob Ashe',
        ])
        ->picture('photo')
        ->withoutTags();
    $choose = fn(string $path) => $screen->field('Drop the form that came back here, or choose it')->sendKeys($path);
    $choose(__FILE__);
    $screen->see('Not a DOCX document');
    $choose($form->path);
    $screen
        ->see('Nothing is done yet')
        ->see('A dealer has spares of it on the shelf')
        ->see('Visit the dealer and look at the unit')
        ->click('//input[@aria-label="Import: Title"]')
        ->press('Import 7')
        ->see('imported by Mira Okafor')
        ->see('the file as it came back');
    $choose($form->path);
    $screen->see('was imported already by Mira Okafor');
    $screen
        ->visit('/changes/ECR-00096')
        ->see('Torn at the rollers; silt in the head.')
        ->see('14 m')
        ->see('Visit the dealer and look at the unit');
    $screen->click('//td[.//text()[contains(., "Visit the dealer")]]')->see('Quality')->see('Created by');

    // The day to cut in, chosen with its reason.
    $screen
        ->visit('/changes/ECR-00096/cut-in')
        ->pick('Part that goes', '200-0040')
        ->pick('Part that comes', '200-0041')
        ->see('Least cost')
        ->settled();
    $screen->click('//button[starts-with(normalize-space(), "Least cost")]')->settled();
    $screen->type(
        (string) $screen->find('//label[starts-with(normalize-space(), "Reason ") and contains(., "20")]')?->getText(),
        'It costs least, and the gauge is there by then.',
    );
    $screen->click('//button[starts-with(normalize-space(), "Choose ") and contains(., "20")]')->see('Chosen:');

    $screen
        ->visit('/changes/ECR-00096')
        ->type('Finding', 'Feasible; the thicker tube lasts.')
        ->press('Save finding')
        ->see('being assessed');

    // The board: the question is answered, the meeting decides.
    $screen
        ->signOut()
        ->signIn('helen.marsh', '/')
        ->see('Answer about')
        ->visit('/changes/ECR-00096')
        ->type('Your answer', 'Yes, until March.')
        ->type('One-time cost, EUR', '0')
        ->press('Answer')
        ->see('Helen Marsh');
    $screen
        ->visit('/meeting')
        ->see('Suction line of 12 m')
        ->click('//a[.="Pump tube wears out early in silty rivers"]')
        ->see('Specialist answers')
        ->see('Yes, until March.')
        ->see('It costs least, and the gauge is there by then.');
    $screen
        ->type('Reason for the decision', 'It pays in trust.')
        ->press('Approve')
        ->see('For decision')
        ->visit('/meeting')
        ->see('It pays in trust.');
});

it('draws on a sheet and keeps what is drawn with a report, the sheet unchanged', function (): void {
    $screen = $this->screen;
    $screen->signIn('clara.fenn', '/reports')->press('PR-00009')->see('Rotor screws hard to reach');
    $screen->visit('/items/800-0011/mark-up')->see('Save mark-up')->settled();
    $svg = $screen->driver->findElement(WebDriverBy::cssSelector('svg[role=img]'));
    (new WebDriverActions($screen->driver))
        ->moveToElement($svg, -80, -60)
        ->clickAndHold()
        ->moveByOffset(150, 90)
        ->release()
        ->perform();
    $screen
        ->see('1 Cloud')
        ->press('Dimension')
        ->type('Text of the dimension', '2.0 mm')
        ->press('Place in the middle')
        ->see('2 Dimension 2.0 mm');
    $screen
        ->press('Undo')
        ->dontSee('2 Dimension')
        ->press('Text')
        ->type('Text of the note', 'The wrench does not reach')
        ->press('Place in the middle')
        ->see('The wrench does not reach');
    $screen
        ->type('Attach to', 'PR-00009')
        ->click('//*[@role="option"][contains(., "PR-00009")]')
        ->press('Save mark-up')
        ->see('Mark-up')
        ->see('mark-up-800-0011');
});
