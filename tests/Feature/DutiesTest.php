<?php

declare(strict_types=1);

use App\People\ShippedRole;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    // What is handed over waits.
    Queue::fake();
    $this->world->people['nils']->update(['roles' => [ShippedRole::Administrator->value]]);
    /** Keeps two duties apart. */
    $this->apart = fn(string $one, string $other) => $this->world->only('nils', 'PUT', '/separation', [
        'pairs' => [['one' => $one, 'other' => $other]],
        'version' => DB::table('separation_of_duties')->value('version'),
    ]);
    $this->sign = fn(string $login, string $order) => $this->world->only($login, 'POST', "/orders/{$order}/signature", [
        'password' => 'secret',
        'digest' => $this->world->as($login, 'GET', "/orders/{$order}/review")->json('order.digest'),
    ]);
    $this->release = fn(string $login, string $order) => $this->world->only($login, 'POST', "/orders/{$order}/release", [
        'version' => $this->world->version($order),
    ]);
});

it('lets one person do both while nothing is kept apart', function (): void {
    $this->world->people['helen']->update(['roles' => ['board_member', 'coordinator']]);
    $order = $this->world->inReview();
    ($this->sign)('helen', $order)->assertOk();
    ($this->release)('helen', $order)->assertOk();
});

it('keeps who signed from releasing, and says so before and when they try', function (): void {
    $this->world->people['helen']->update(['roles' => ['board_member', 'coordinator']]);
    ($this->apart)('release', 'sign')->assertOk();
    $order = $this->world->inReview();
    ($this->sign)('helen', $order)->assertOk();
    expect($this->world->as('helen', 'GET', "/dossiers/{$order}")->json('order.may'))->not->toContain('release');
    ($this->release)('helen', $order)
        ->assertStatus(422)
        ->assertJsonValidationErrors(['order' => 'You signed, so another person must release the order.']);
    expect($this->world->state($order))->toBe('signed');
    expect($this->world->as('mira', 'GET', "/dossiers/{$order}")->json('order.may'))->toContain('release');
    ($this->release)('mira', $order)->assertOk();
});

it('keeps who decided on the request from signing: nobody is asked who may not', function (): void {
    $order = $this->world->inReview();
    DB::table('change_requests')->update(['decided_by' => $this->world->people['helen']->id]);
    expect(DB::table('order_actors')->count())->toBe(1);
    ($this->apart)('decide', 'sign')->assertOk();
    // Who can act is asked anew at once, and the path says that nobody can.
    expect(DB::table('order_actors')->count())->toBe(0);
    $page = $this->world->as('mira', 'GET', "/dossiers/{$order}")->json('order');
    expect($page['path']['stuck'])->not->toBe([]);
    expect($this->world->as('helen', 'GET', "/orders/{$order}/review")->json('may_sign'))->toBeFalse();
    ($this->sign)('helen', $order)
        ->assertStatus(422)
        ->assertJsonValidationErrors(['signer' => 'You decided on the request']);
    expect(DB::table('signatures')->count())->toBe(0);
});

it('names nobody to edit or sign who may not', function (): void {
    ($this->apart)('request', 'edit')->assertOk();
    $order = $this->world->order();
    $this->world
        ->only('mira', 'PATCH', "/orders/{$order}", ['editor' => 'jonas', 'version' => $this->world->version($order)])
        ->assertStatus(422)
        ->assertJsonValidationErrors(['editor' => 'Jonas raised the request']);
    $this->world->only('mira', 'PATCH', "/orders/{$order}", ['editor' => 'edda', 'version' => $this->world->version($order)])->assertOk();
});

it('keeps who decided on the request from raising the order: nothing of it is left', function (): void {
    ($this->apart)('decide', 'originate')->assertOk();
    $before = DB::table('change_orders')->count();
    $number = $this->world->only('jonas', 'POST', '/requests', $this->world->request())->json('number');
    $this->world->only('mira', 'POST', "/requests/{$number}/finding", ['finding' => 'Feasible.', 'version' => 1])->assertOk();
    $this->world
        ->only('mira', 'POST', "/requests/{$number}/decision", ['decision' => 'approved', 'reason' => 'Yes.', 'version' => 2])
        ->assertOk();
    $this->world
        ->only('mira', 'POST', "/requests/{$number}/order", ['version' => 3])
        ->assertStatus(422)
        ->assertJsonValidationErrors(['order' => 'You decided on the request, so another person must raise the order.']);
    expect(DB::table('change_orders')->count())->toBe($before);
});

it('keeps who raised a request from any decision on it, where that is set', function (): void {
    $this->world->people['jonas']->update(['roles' => ['design_engineer', 'board_member']]);
    $number = $this->world->only('jonas', 'POST', '/requests', $this->world->request())->json('number');
    $this->world->only('mira', 'POST', "/requests/{$number}/finding", ['finding' => 'Feasible.', 'version' => 1])->assertOk();
    $reject = fn() => $this->world->only('jonas', 'POST', "/requests/{$number}/decision", [
        'decision' => 'rejected',
        'reason' => 'No.',
        'version' => 2,
    ]);
    ($this->apart)('request', 'decide')->assertOk();
    $reject()
        ->assertStatus(422)
        ->assertJsonValidationErrors(['decision' => 'does not decide']);
    expect($this->world->state($number))->toBe('assessing');
    ($this->apart)('sign', 'decide')->assertOk();
    $reject()->assertOk();
});

it('keeps who released from closing', function (): void {
    ($this->apart)('close', 'release')->assertOk();
    $order = $this->world->signed();
    ($this->release)('mira', $order)->assertOk();
    expect($this->world->as('mira', 'GET', "/dossiers/{$order}")->json('order.may'))->not->toContain('close');
    $this->world->only('mira', 'POST', "/orders/{$order}/closing", ['version' => $this->world->version($order)])->assertStatus(422);
    expect($this->world->state($order))->toBe('released');
});

it('says at its place what is no pair, and lets two not overwrite each other', function (): void {
    ($this->apart)('sign', 'sign')->assertStatus(422);
    ($this->apart)('sign', 'fly')->assertStatus(422);
    expect(DB::table('separation_of_duties')->value('pairs'))->toBe('[]');
    ($this->apart)('sign', 'close')->assertOk()->assertJsonPath('version', 2);
    $this->world->only('nils', 'PUT', '/separation', ['pairs' => [], 'version' => 1])->assertStatus(409);
    $this->world->only('mira', 'PUT', '/separation', ['pairs' => [], 'version' => 2])->assertForbidden();
    $this->world->as('vera', 'GET', '/separation')->assertOk()->assertJsonPath('pairs.0.one', 'sign');
});
