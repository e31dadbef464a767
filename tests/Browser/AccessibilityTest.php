<?php

declare(strict_types=1);

use Tests\Browser\Support\Screen;

/** What axe looks for. */
const ALL = "runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']";

/** What the theme alters, and a width that is neither the largest nor the smallest. */
const COLOURS_AND_SIZES = "runOnly: {type: 'rule', values: ['color-contrast', 'target-size', 'link-in-text-block']}";

/** Colours are the same at any width. */
const ALL_BUT_COLOURS = ALL . ", rules: {'color-contrast': {enabled: false}}";

it('gives axe nothing to find', function (string $login, string $path, string $wait): void {
    $screen = $this->screen->as($login);
    $screen->visit($path)->see($wait);
    // As wide as a screen, as a tablet, and as what is left at 200 %: a window that is made smaller, and a theme that is changed.
    foreach ([['light', 1280, ALL], ['dark', 768, COLOURS_AND_SIZES], ['light', 640, ALL_BUT_COLOURS]] as [$theme, $width, $rules]) {
        $screen->driver->executeScript("document.documentElement.dataset.theme = '{$theme}'");
        $screen->wide($width)->settled()->see($wait);
        expect(violations($screen, $rules))->toBe([], "{$path}, {$theme}, {$width} pixels wide");
    }
    $screen->wide(1280);
})->with([
    'Desk' => ['mira.okafor', '/', 'Needs you now'],
    'Register' => ['mira.okafor', '/register?show=all', 'changes'],
    'Hand-overs' => ['mira.okafor', '/hand-overs', 'Changed in planning'],
    'Ledger' => ['mira.okafor', '/ledger?act=order.', 'records'],
    'Items' => ['mira.okafor', '/items', 'Standard cost'],
    'an item' => ['mira.okafor', '/items/200-0010', 'Not on revision E yet'],
    'a structure summed up' => ['mira.okafor', '/items/200-0001?view=summed', 'Longest lead time'],
    'accountability' => ['mira.okafor', '/items/200-0010?kind=manufacturing&plant=Tarn&view=accounted', 'lines open'],
    'a tree of all levels' => ['mira.okafor', '/items/100-0012?levels=30', 'lines shown'],
    'a comparison' => ['mira.okafor', '/compare?left=210-0100&right=210-0101', 'lines are the same'],
    'a draft of a drawing' => ['mira.okafor', '/items/800-0041/sheet', 'First release'],
    'a document' => ['mira.okafor', '/items/820-0001/sheet', 'Page 1 of'],
    'a cut-in' => ['mira.okafor', '/changes/ECR-00086/cut-in', 'Total'],
    'problem reports' => ['mira.okafor', '/reports', 'Serial or lot'],
    'a problem report' => ['mira.okafor', '/reports/PR-00009', 'Likely duplicates'],
    'a new report' => ['clara.fenn', '/reports/new?items=200-0040', 'gathered into'],
    'forms' => ['mira.okafor', '/changes/ECR-00096/forms', 'Import a returned form'],
    'templates of forms' => ['ivo.tanner', '/set-up/forms', 'Supplier statement'],
    'a reach' => ['mira.okafor', '/changes/ECR-00096/reach', 'Drawings and documents'],
    'a reach as a picture' => ['mira.okafor', '/changes/ECR-00096/reach?as=picture', 'Pointing at one'],
    'dispositions and money' => ['mira.okafor', '/changes/ECR-00096/money', 'Assumptions'],
    'a page for the decision' => ['mira.okafor', '/changes/ECR-00096/decision', 'Exposure'],
    'the meeting' => ['helen.marsh', '/meeting', 'Start with the first'],
    'a mark-up' => ['mira.okafor', '/items/800-0011/mark-up', 'Save mark-up'],
    'a new item' => ['mira.okafor', '/items/new', 'Create item'],
    'taking over files' => ['mira.okafor', '/import', 'Imports'],
    'account' => ['mira.okafor', '/account', 'Sign-ins'],
    'people' => ['ivo.tanner', '/set-up/people', 'Karl Ode'],
    'duties' => ['ivo.tanner', '/set-up/duties', 'Release the order'],
    'responsible' => ['ivo.tanner', '/set-up/responsible', 'Planner of the plant'],
    'roles' => ['ivo.tanner', '/set-up/roles', 'Planner, Weir'],
    'categories' => ['ivo.tanner', '/set-up/categories', 'Check digit'],
    'a change notice' => ['samir.bello', '/change-notices/ECN-00082', 'Distribution'],
    'distribution lists' => ['ivo.tanner', '/set-up/distribution', 'Purchasing'],
    'a design model' => ['mira.okafor', '/items/200-0010/model', 'Tube clamp'],
    'webhooks' => ['ivo.tanner', '/set-up/webhooks', 'Supplier portal'],
    'hand-over profiles' => ['ivo.tanner', '/set-up/hand-over-profiles', 'Line control, Weir'],
    'messages to another system' => ['ivo.tanner', '/set-up/channels/supplier_portal', 'Given up'],
    'plants' => ['ivo.tanner', '/set-up/plants', 'Pump line'],
    'sites, reasons and sources' => ['ivo.tanner', '/set-up/choices', 'shop_floor'],
    'a new request' => ['mira.okafor', '/requests/new?items=200-0001', 'Affected items'],
    'a Dossier being assessed' => ['mira.okafor', '/changes/ECR-00096', 'lots and documents'],
    'a Dossier being planned' => ['mira.okafor', '/changes/ECO-00089', 'missing for the next step'],
    'a Dossier with a hand-over' => ['mira.okafor', '/changes/ECO-00082', 'Answer from planning'],
    'a structure being revised' => ['edda.roth', '/orders/ECO-00086/revise/300-0010', 'missing for the next step'],
    'what a plant builds, under an order' => ['samir.bello', '/orders/ECO-00088/build/230-0001/Tarn', 'Seal the lid'],
    'data of an item, under an order' => ['edda.roth', '/orders/ECO-00086/data/310-0003', 'Quantity per pack'],
    'data of an item' => ['vera.stone', '/items/200-0051?view=data', 'What changed'],
    'a routing' => ['vera.stone', '/items/200-0010?kind=manufacturing&plant=Weir&view=routing', 'at once'],
    'a new order' => ['mira.okafor', '/orders/new?items=200-0040', 'Create order'],
    'a replacement' => ['mira.okafor', '/orders/ECO-00087/replace?old=230-0020&new=230-0021', 'Lead time'],
    'a worksheet' => ['jonas.weir', '/orders/ECO-00087/worksheet', 'lines of'],
    'edits carried over' => [
        'mira.okafor',
        '/orders/ECO-00087/transfer?to=230-0001+engineering%3E230-0002+engineering',
        'fits with a difference',
    ],
    'relations' => ['vera.stone', '/relations/230-0001', 'ties'],
    'a design model' => ['jonas.weir', '/orders/ECO-00087/model', 'What is not modelled stays'],
    'proposed lines' => ['petra.quist', '/changes/ECR-00097', 'Proposed lines'],
    'a review' => ['helen.marsh', '/orders/ECO-00084/review', 'Sign this page'],
]);

it('gives axe nothing to find on the way in', function (): void {
    expect(violations($this->screen->signOut()->visit('/')->see('Sign-in name')))->toBe([]);
});

/**
 * What axe finds against WCAG 2.2 AA and its own best practice.
 *
 * @return list<string>
 */
function violations(Screen $screen, string $rules = ALL): array
{
    if ($screen->driver->executeScript('return window.axe === undefined') === true) {
        $screen->driver->executeScript((string) file_get_contents(dirname(__DIR__, 2) . '/node_modules/axe-core/axe.min.js'));
    }

    return $screen->driver->executeAsyncScript("const done = arguments[arguments.length - 1];
        window.scrollTo(0, 0);
        const still = Promise.allSettled(document.getAnimations().map((one) => one.finished));
        Promise.race([still, new Promise((late) => setTimeout(late, 1000))]).then(() => axe.run(document, {resultTypes: ['violations'], {$rules}}))
            .then((r) => done(r.violations.map((v) => v.id + ': ' + v.nodes.slice(0, 3).map((n) => n.html.slice(0, 160) + ' ' + n.failureSummary).join(' | '))));");
}
