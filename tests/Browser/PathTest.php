<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;

// One walk in steps, as people of the demo take it: each test goes on where the one before ended.
final class Walk
{
    public static string $request = '';

    public static string $order = '';

    public static function number(string $address): string
    {
        return basename((string) parse_url($address, PHP_URL_PATH));
    }
}

it('lands on the Desk: what needs the coordinator, critical first', function (): void {
    $this->screen->signIn('mira.okafor')->see('Needs you now')->see('Newest requests, critical first');
    $first = $this->screen->find('//table[@aria-label="Newest requests, critical first"]/tbody/tr[1]');
    expect($first?->getText())->toContain('Critical')->toContain('Pump tube wears out early');
});

it('shows a structure, its status, and where it is used up to what is sold', function (): void {
    $this->screen->signIn('clara.fenn', '/items')->type('Number or words of the title', 'pump head');
    $this->screen
        ->press('200-0010')
        ->see('Engineering structure')
        ->see('Pump tube, silicone, wall 1.6 mm')
        ->see('0.5')
        ->see('Where used')
        ->see('Heron Cold river sampler')
        ->see('through 210-0101')
        ->see('sold');
    // By keyboard into the tree: the rotor assembly opens in place.
    $this->screen->click('//tr[@aria-level][.//a[normalize-space()="200-0020"]]/td[3]');
    $this->screen->driver->executeScript('document.querySelector("tr[aria-expanded]").focus()');
    $this->screen->keys(WebDriverKeys::ARROW_RIGHT)->see('Rotor shaft');
});

it('raises a change request from the item, and says beside the field what is missing', function (): void {
    $this->screen->press('Raise a change request')->see('200-0010')->press('Create request');
    $this->screen->see('Say in a line what is to change.')->see('Describe what is wrong or wanted.')->see('Choose where this comes from.');
    $this->screen->type('Title', 'Clamps slip off the tube in the cold')->type('Description', 'Seen on four samplers after frost.');
    $this->screen->choose('Reason', 'Defect')->choose('Source', 'Field')->choose('Site', 'Weir')->choose('Priority', 'Critical');
    $this->screen->pick('Add an affected item', '200-0042')->see('200-0042')->press('Create request')->see('Record the finding.');
    Walk::$request = Walk::number($this->screen->driver->getCurrentURL());
    expect(Walk::$request)->toStartWith('ECR-');
});

it('shows reach and exposure from planning, and records finding and decision', function (): void {
    $this->screen
        ->signIn('mira.okafor')
        ->press(Walk::$request)
        ->see('Clamps slip off the tube')
        ->see('Exposure')
        ->see('Stock')
        ->see('Work orders');
    $this->screen->press($this->screen->find('//button[contains(., "lots and documents")]')?->getText() ?? '')->see('Revision named');
    $this->screen
        ->type('Finding', 'Four clamps in place of two hold. No new tool.')
        ->press('Save finding')
        ->see('Approve it, reject it or send it back.');
    $this->screen->press('Approve')->see('Give the reason for the decision.');
    $this->screen->type('Reason for the decision', 'Cheap, and the field waits for it.')->press('Approve')->see('Turn it into an order.');
});

it('turns the request into an order without typing anything again, and plans it', function (): void {
    $this->screen->press('Turn into an order')->see('Name the person who edits.');
    Walk::$order = Walk::number($this->screen->driver->getCurrentURL());
    expect(Walk::$order)->toStartWith('ECO-');
    $this->screen->see('Clamps slip off the tube')->see(Walk::$request)->see('New revision');
    $this->screen
        ->type('Effective from', date('Y-m-d', strtotime('+40 days')))
        ->choose('Editor', 'Jonas Weir')
        ->choose('Signer', 'Helen Marsh')
        ->press('Save');
    $this->screen->choose('Existing stock of 200-0010', 'Use up')->see('Use up')->choose('Existing stock of 200-0042', 'Hold')->see('Hold');
    $this->screen->press('Open for revision')->see('nothing is changed yet')->see('Jonas Weir edits.');
});

it('revises the structure in place: replace, quantity, find number, a grease that is not modelled, removal, undo', function (): void {
    $this->screen
        ->signIn('jonas.weir', '/changes/' . Walk::$order)
        ->press('Revise')
        ->see('Revision');
    $cell = fn(
        string $component,
        int $column,
    ): string => "//table[@aria-label='Before and after']//tr[.//*[contains(normalize-space(), '{$component}')]]/td[{$column}]";

    // Quantity of the clamp, by double click and Enter.
    $edit = function (string $component, int $column, string $label, string $words) use ($cell): void {
        $this->screen->open($cell($component, $column), $label)->type($label, $words)->keys(WebDriverKeys::ENTER);
    };
    $edit('200-0042', 4, 'Quantity of line 60', '0');
    $this->screen->see('The quantity must be more than zero.');
    $this->screen->keys(WebDriverKeys::ESCAPE);
    $edit('200-0042', 4, 'Quantity of line 60', '4');
    $this->screen->see('≠')->see('changed');
    $edit('200-0013', 2, 'Find of line 30', '35');
    $this->screen->see('renumbered');

    // Another component for the tube.
    $this->screen
        ->open($cell('200-0040', 3), 'Component of line 50')
        ->pick('Component of line 50', '200-0041')
        ->see('wall 2.4 mm')
        ->see('replaced');

    // Grease of another kind, in its own unit; a wrong unit is refused beside its field.
    $this->screen->press('Add a line')->pick('Component', '710-0003')->type('Quantity', '1.5')->choose('Unit', 'kg');
    $this->screen->click('//form[@aria-label="Add a line"]//button[@type="submit"]')->see('does not measure the same');
    $this->screen
        ->choose('Unit', 'ml')
        ->click('//form[@aria-label="Add a line"]//button[@type="submit"]')
        ->see('Adhesive, two component')
        ->see('added');

    // A line removed, and taken back by undo.
    $this->screen->click($cell('600-0082', 2));
    $this->screen->keys(WebDriverKeys::DELETE)->see('removed');
    $this->screen->keys(WebDriverKeys::CONTROL . 'z')->dontSee('removed');

    // The comparison is one key away.
    $this->screen->driver->executeScript('document.activeElement.blur()');
    $this->screen->keys('v', 'd')->dontSee('200-0011')->see('200-0041');
    expect($this->screen->driver->getCurrentURL())->toContain('show=differences');
    $this->screen->until(
        'five lines that differ',
        fn(): bool => count(
            $this->screen->driver->findElements(Facebook\WebDriver\WebDriverBy::xpath('//table[@aria-label="Before and after"]/tbody/tr')),
        ) === 4,
    );
});

it('is taken over by both plants that build it, which differ, before it can be judged', function (): void {
    $dossier = '/changes/' . Walk::$order;
    $this->screen->visit($dossier)->see('200-0010 at Tarn:')->see('200-0010 at Weir:')->see('not accounted for');
    foreach (['Tarn', 'Weir'] as $plant) {
        $this->screen
            ->visit('/orders/' . Walk::$order . "/build/200-0010/{$plant}")
            ->see("Pump head at {$plant}")
            ->click('//a[contains(., "engineering")]')
            ->see('that follow')
            ->click('//button[contains(., "Take over all")]')
            // The sign alone stands there before: whoever leaves then takes the act along.
            ->see('Complete.');
        $this->screen
            ->visit('/orders/' . Walk::$order . "/build/200-0010/{$plant}")
            ->see('Accountability complete')
            ->see('wall 2.4 mm');
    }
    // The thicker tube takes longer to fit at Weir; what cannot be is said at its field.
    $this->screen->press('Edit operation 20')->type('Run, min', '-1')->press('Save the operation')->see('from 0');
    $this->screen->type('Run, min', '4.75')->press('Save the operation')->see('4.75')->see('Together');
    $this->screen->press('Remove operation 20')->see('Operation 20 consumes');
    $this->screen->visit($dossier)->dontSee('not accounted for')->see('A → B');
});

it('is not judged before it is decided what becomes of its drawing, its instruction and its model', function (): void {
    $this->screen
        ->visit('/changes/' . Walk::$order)
        ->see('800-0011 shows revision D, not F, which comes.')
        ->signIn('mira.okafor', '/changes/' . Walk::$order)
        ->see('What belongs together')
        ->press('Adopt 820-0001')
        ->see('Adopts the coming revision as it is')
        ->press('Leave 800-0011')
        ->press('Leave as it is')
        ->see('Give the reason.')
        ->type('Why 800-0011 stays as it is, shown in review', 'It does not show the clamps.')
        ->press('Leave as it is')
        ->see('It does not show the clamps. (Mira Okafor)')
        ->see('its design model is of revision E: none is brought for F.')
        ->press('Leave 200-0010')
        ->type('Why 200-0010 stays as it is, shown in review', 'The tube is not modelled.')
        ->press('Leave as it is')
        ->see('The tube is not modelled. (Mira Okafor)')
        ->see('All decided');
});

it('sends the order to review, where everything is held still', function (): void {
    $this->screen
        ->signIn('jonas.weir')
        ->visit('/changes/' . Walk::$order)
        ->press('Send to review')
        ->see('Helen Marsh signs or sends it back.');
    $this->screen
        ->visit('/orders/' . Walk::$order . '/revise/200-0010')
        ->see('in review')
        ->dontSee('Add a line');
});

it('is sent back with a reason, put right, and signed by another person with their password', function (): void {
    $page = '/orders/' . Walk::$order . '/review';
    $this->screen
        ->signIn('helen.marsh')
        ->see('Read and sign')
        ->visit($page)
        ->see('wall 2.4 mm')
        ->see('Exposure')
        ->see('Where used')
        ->see('Cost of a product')
        ->see('Pump head at Tarn, A → B')
        ->see('Pump head at Weir, A → B')
        ->see('4.75')
        ->see('complete, ');
    $this->screen
        ->type('Reason and required corrections', 'Say on the line how the clamps sit.')
        ->press('Send back')
        ->see('sent it back: Say on the line');

    $this->screen->signIn('jonas.weir', '/orders/' . Walk::$order . '/revise/200-0010')->see('Undo');
    $this->screen
        ->open("//table[@aria-label='Before and after']//tr[.//*[contains(normalize-space(), '200-0042')]]/td[7]", 'Notes of line 60')
        ->type('Notes of line 60', 'two each side')
        ->keys(WebDriverKeys::ENTER)
        ->see('two each side');
    $this->screen
        ->visit('/changes/' . Walk::$order)
        ->press('Send to review')
        ->see('Helen Marsh signs');

    $this->screen
        ->signIn('helen.marsh', $page)
        ->see('two each side')
        ->type('Your password', 'wrong')
        ->press('Sign this page')
        ->see('This is not your password.');
    $this->screen->type('Your password', 'quillback')->press('Sign this page')->see('A coordinator releases it.');
});

it('releases in one stroke, and planning takes it line by line', function (): void {
    $this->screen
        ->signIn('mira.okafor', '/changes/' . Walk::$order)
        ->see('On release')
        ->press('Release')
        ->press('Release (cannot be undone)');
    $this->screen->see('■ accepted')->see('accepted')->see('XML');
    $this->screen->dontSee('▲ rejected')->press('Resend')->see('■ accepted');
    // Sent twice, applied once.
    $planning = (string) file_get_contents((string) getenv('PLANNING_URL'));
    expect(preg_match('/<td>' . Walk::$order . '[^<]*<\/td><td>(\d+)<\/td><td>\d+<\/td><td>0<\/td><td>1<\/td>/', $planning, $row))
        ->toBe(1)
        ->and((int) $row[1])
        ->toBeGreaterThanOrEqual(1);
    // It has the structure and the routing of both plants, with their times.
    $at = static fn(string $plant): string => strip_tags(
        (string) file_get_contents(getenv('PLANNING_URL') . "/plants/{$plant}/200-0010"),
        '<td>',
    );
    expect($at('Weir'))
        ->toContain('Revision B')
        ->toContain('<td>4.75</td>')
        ->toContain('<td>200-0041</td>')
        ->and($at('Tarn'))
        ->toContain('<td>200-0041</td>');
});

it('finds what somebody changed in planning by hand, and puts it right', function (): void {
    $planning = (string) getenv('PLANNING_URL');
    $page = (string) file_get_contents("{$planning}/plants/Weir/200-0010");
    expect(preg_match('~<td>200-0041</td>.*?action="(/copy/\d+)"~s', $page, $row))->toBe(1);
    file_get_contents(
        $planning . $row[1],
        false,
        stream_context_create([
            'http' => [
                'method' => 'POST',
                'header' => 'Content-Type: application/x-www-form-urlencoded',
                'content' => 'name=quantity&value=7',
                'follow_location' => 0,
            ],
        ]),
    );
    $this->screen
        ->visit('/hand-overs?order=' . Walk::$order)
        ->press('Verify planning')
        ->see('Changed in planning')
        ->visit('/changes/' . Walk::$order)
        ->see("Planning's copy differs in one row from what this order released.")
        ->visit('/hand-overs?order=' . Walk::$order)
        ->see('Changed in planning')
        ->click('(//table)[last()]//tbody//input[@type="checkbox"]')
        ->press('Correct in planning 1')
        ->see('No row matches.');
    expect((string) file_get_contents("{$planning}/plants/Weir/200-0010"))->not->toContain('<td>7</td>');
});

it('is closed by itself when nothing in planning names the old any more, or each is seen to', function (): void {
    $all = '//thead//input[@type="checkbox"]';
    $this->screen
        ->visit('/orders/' . Walk::$order . '/documents')
        ->see('E → F')
        ->visit('/changes/' . Walk::$order)
        ->press('Close the order')
        ->see('still name')
        ->visit('/orders/' . Walk::$order . '/documents')
        ->see('E → F')
        ->click($all)
        ->click('//button[starts-with(normalize-space(), "Decide")]')
        ->choose('Decision', 'Accept as it is')
        ->press('Save')
        ->see('Say why it is accepted as it is.')
        ->type('Why it is accepted as it is', 'For service in the field only.')
        ->press('Save')
        ->see('Nothing in planning names what this order replaced');
    $this->screen
        ->visit('/orders/' . Walk::$order . '/documents?state=all')
        ->see('Seen to by Mira Okafor')
        ->see('For service in the field only.');
    // A worker closes it a moment later; the page that is open learns of it.
    $this->screen->visit('/changes/' . Walk::$order)->see('Closed on');
});

it('keeps the history of the item and of the order', function (): void {
    $this->screen->visit('/items/200-0010')->see('History')->see(Walk::$order)->see('Clamps slip off the tube')->see('superseded');
    $this->screen
        ->visit('/changes/' . Walk::$order)
        ->see('Order released')
        ->see('Signed')
        ->see('Sent back')
        ->see('Edit undone');
});
