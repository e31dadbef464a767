<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

/* A check of judgement is let go as it reads, with a reason, before an order is judged; whoever signs sees it. */

beforeEach(function (): void {
    $this->world = new World($this);
    World::planningTakes();
    // It uses a part that is not released.
    $this->order = $this->world->opened();
    $this->world->edit($this->order, 'replace', 30, ['component' => '200-0099'])->assertOk();
    $this->data = fn(): array => $this->world->as('mira', 'GET', "/dossiers/{$this->order}")->json('order');
    $this->check = fn(): array => collect(($this->data)()['checks'])->firstWhere('waivable', 'components_in_force') ?? [];
    $this->waive = fn(string $who = 'mira', array $other = []): TestResponse => $this->world->only(
        $who,
        'POST',
        "/orders/{$this->order}/waivers",
        $other + [
            'check' => 'components_in_force',
            'fault' => ($this->check)()['reason'] ?? 'It uses something.',
            'reason' => 'Its own order is released the week before.',
            'version' => $this->world->version($this->order),
        ],
    );
    $this->submit = fn(): TestResponse => $this->world->only('jonas', 'POST', "/orders/{$this->order}/review", [
        'version' => $this->world->version($this->order),
    ]);
});

it('lets an order go on, is shown in review and in the change notice, and stays on record', function (): void {
    expect(($this->check)()['reason'])->toContain('200-0099');
    ($this->submit)()->assertStatus(422);
    $missing = fn(): array => collect($this->world->as('mira', 'GET', "/dossiers/{$this->order}")->json('steps'))->firstWhere(
        'state',
        'now',
    )['missing'];
    expect($missing())->toContain(($this->check)()['reason']);
    ($this->waive)()->assertOk();
    // What was let go is missing no more.
    expect($missing())->not->toContain(($this->check)()['reason']);
    expect(($this->check)())
        ->toMatchArray(['met' => false, 'waived' => true])
        ->and(($this->data)()['waivers'][0])
        ->toMatchArray(['by' => 'Mira', 'reason' => 'Its own order is released the week before.']);
    ($this->submit)()->assertOk();
    $review = $this->world->as('helen', 'GET', "/orders/{$this->order}/review")->json('order');
    expect($review['waivers'][0]['fault'])->toContain('200-0099')->and($review['may_waive'])->toBeFalse();
    // While it is judged nothing is let go, and nothing taken back.
    $this->world
        ->only('mira', 'DELETE', "/orders/{$this->order}/waivers/components_in_force", ['version' => $this->world->version($this->order)])
        ->assertStatus(422);
    $this->world
        ->only('helen', 'POST', "/orders/{$this->order}/signature", ['password' => 'secret', 'digest' => $review['digest']])
        ->assertOk();
    $this->world->only('mira', 'POST', "/orders/{$this->order}/release", ['version' => $this->world->version($this->order)])->assertOk();
    expect(json_decode((string) DB::table('change_notices')->value('content'), true)['waivers'][0]['by'])->toBe('Mira');
});

it('covers what was on screen and nothing else', function (): void {
    ($this->waive)('mira', ['fault' => 'It uses 200-0001.'])
        ->assertStatus(422)
        ->assertJsonPath('errors.check.0', fn(string $told): bool => str_starts_with($told, 'It reads otherwise by now'));
    ($this->waive)()->assertOk();
    // Another line uses it too: that is another matter.
    $this->world->edit($this->order, 'replace', 20, ['component' => '200-0099'])->assertOk();
    $now = ($this->check)();
    if ($now['reason'] !== ($this->data)()['waivers'][0]['fault']) {
        expect($now['waived'])->toBeFalse();
        ($this->waive)()->assertOk();
    }
    expect(($this->check)()['waived'])->toBeTrue()->and(($this->data)()['waivers'])->toHaveCount(1);
    $this->world
        ->only('mira', 'DELETE', "/orders/{$this->order}/waivers/components_in_force", ['version' => $this->world->version($this->order)])
        ->assertOk();
    expect(($this->check)()['waived'])->toBeFalse();
    $this->world
        ->only('mira', 'DELETE', "/orders/{$this->order}/waivers/components_in_force", ['version' => $this->world->version($this->order)])
        ->assertStatus(422);
    expect(DB::table('ledger')->where('act', 'order.waiver_withdrawn')->count())->toBe(1);
});

it('is refused to who may not, to the editor, without a reason, and where a check has to hold', function (): void {
    ($this->waive)('vera')->assertForbidden();
    ($this->waive)('jonas')->assertForbidden();
    $this->world->people['jonas']->update(['roles' => ['design_engineer', 'coordinator']]);
    ($this->waive)('jonas')
        ->assertStatus(422)
        ->assertJson(['errors' => ['check' => ['The editor of an order lets none of its checks go.']]]);
    ($this->waive)('mira', ['reason' => ' '])
        ->assertStatus(422)
        ->assertJson(['errors' => ['reason' => ['Give the reason.']]]);
    ($this->waive)('mira', ['check' => 'is_signed'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['check']]);
    ($this->waive)('mira', ['version' => 1])->assertStatus(409);
    expect(DB::table('order_waivers')->count())->toBe(0);
});
