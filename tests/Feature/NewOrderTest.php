<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->raise = fn(array $other = [], string $by = 'mira'): TestResponse => $this->world->only(
        $by,
        'POST',
        '/orders',
        $other + [
            'title' => 'Clamp with a longer tail',
            'description' => 'Fitters ask for it.',
            'priority' => 'low',
            'items' => ['200-0010', '200-0042'],
            'requests' => [],
        ],
    );
    $this->approved = function (array $other = []): string {
        $number = $this->world->only('jonas', 'POST', '/requests', $this->world->request($other))->assertOk()->json('number');
        $this->world
            ->only('mira', 'POST', "/requests/{$number}/finding", ['finding' => "Finding of {$number}.", 'version' => 1])
            ->assertOk();
        $this->world
            ->only('mira', 'POST', "/requests/{$number}/decision", ['decision' => 'approved', 'reason' => 'Needed.', 'version' => 2])
            ->assertOk();

        return $number;
    };
    $this->order = fn(string $number): array => $this->world
        ->as('mira', 'GET', "/dossiers/{$number}")
        ->assertOk()
        ->json();
    $this->items = fn(string $number): array => array_column(array_column(($this->order)($number)['order']['items'], 'item'), 'number');
});

it('is raised directly for a small matter, and starts at the order', function (): void {
    $number = ($this->raise)()->assertOk()->json('number');
    $dossier = ($this->order)($number);
    expect($dossier['requests'])
        ->toBe([])
        ->and(array_column($dossier['steps'], 'state', 'step'))
        ->toMatchArray(['take_in' => 'done', 'assess' => 'not_needed', 'order' => 'now', 'revise' => 'ahead'])
        ->and($dossier['order']['description'])
        ->toBe('Fitters ask for it.')
        // What has a structure is proposed for a new revision.
        ->and(array_column($dossier['order']['items'], 'outcome'))
        ->toBe(['revise', 'keep'])
        ->and($dossier['order']['priority'])
        ->toBe('low');
    foreach (["/orders/{$number}/review", "/orders/{$number}/consequences", '/changes?show=all', '/desk'] as $page) {
        $this->world->as('mira', 'GET', $page)->assertOk();
    }
});

it('goes all the way without a request', function (): void {
    World::planningTakes();
    $number = ($this->raise)(['items' => ['200-0010']])->json('number');
    $this->world
        ->only('mira', 'PATCH', "/orders/{$number}", [
            'editor' => 'jonas',
            'signer' => 'helen',
            'effective_on' => World::day(30),
            'version' => 1,
        ])
        ->assertOk();
    $this->world
        ->only('mira', 'PUT', "/orders/{$number}/items/200-0010", [
            'outcome' => 'revise',
            'disposition' => 'use_up',
            'version' => 2,
        ])
        ->assertOk();
    $this->world->only('mira', 'POST', "/orders/{$number}/opening", ['version' => 3])->assertOk();
    $this->world->edit($number, 'change', 20, ['quantity' => '4'])->assertOk();
    $this->world->released($number);
    expect($this->world->state($number))->toBe('released');
});

it('is made of several approved requests, of which all is carried over', function (): void {
    $tube = ($this->approved)();
    $screw = ($this->approved)([
        'title' => 'Screws rust',
        'priority' => 'normal',
        'description' => 'In salt water.',
        'items' => ['600-0014', '200-0010'],
    ]);
    $number = ($this->raise)(['requests' => [$tube, $screw], 'items' => [], 'description' => '', 'priority' => 'normal'])
        ->assertOk()
        ->json('number');
    $dossier = ($this->order)($number);
    expect(array_column($dossier['requests'], 'state'))
        ->toBe(['ordered', 'ordered'])
        ->and(($this->items)($number))
        ->toBe(['200-0010', '200-0040', '600-0014'])
        ->and($dossier['order']['priority'])
        ->toBe('critical')
        ->and($dossier['order']['description'])
        ->toContain('Tears after 200 hours.')
        ->toContain("Finding of {$tube}.")
        ->toContain("From {$screw}, Screws rust: In salt water.")
        ->toContain("Finding of {$screw}.");
    ($this->raise)(['requests' => [$tube]])
        ->assertStatus(422)
        ->assertJsonPath('errors.request.0', "{$tube} has an order already.");
});

it('takes an approved request in while it is planned, and lets it out again with what it alone brought', function (): void {
    $number = ($this->raise)(['items' => ['200-0010']])->json('number');
    $tube = ($this->approved)(['items' => ['200-0040', '600-0014', '200-0010']]);
    $at = fn(string $method, ?int $version = null, string $by = 'mira'): TestResponse => $this->world->only(
        $by,
        $method,
        "/orders/{$number}/requests/{$tube}",
        ['version' => $version ?? $this->world->version($number)],
    );
    $at('PUT', by: 'jonas')->assertForbidden();
    $at('PUT', 99)->assertStatus(409);
    $at('PUT')->assertOk()->assertJsonPath('version', 2);
    expect(($this->items)($number))->toBe(['200-0010', '200-0040', '600-0014']);
    $at('PUT')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['request']]);
    // Somebody decides on one of what it brought: that stays.
    $this->world
        ->only('mira', 'PUT', "/orders/{$number}/items/600-0014", ['outcome' => 'keep', 'disposition' => 'scrap', 'version' => 2])
        ->assertOk();
    $at('DELETE')->assertOk();
    expect(($this->items)($number))
        ->toContain('600-0014')
        ->not->toContain('200-0040')
        ->and($this->world->state($tube))
        ->toBe('approved')
        ->and(($this->order)($number)['requests'])
        ->toBe([]);
    $at('DELETE')
        ->assertStatus(422)
        ->assertJsonPath('errors.request.0', "{$tube} is not on {$number}.");
    $at('PUT')->assertOk();
    $this->world
        ->only('mira', 'PATCH', "/orders/{$number}", [
            'editor' => 'jonas',
            'signer' => 'helen',
            'effective_on' => World::day(30),
            'version' => $this->world->version($number),
        ])
        ->assertOk();
    foreach (['200-0010' => 'revise', '200-0040' => 'keep'] as $item => $outcome) {
        $this->world
            ->only('mira', 'PUT', "/orders/{$number}/items/{$item}", [
                'outcome' => $outcome,
                'disposition' => 'use_up',
                'version' => $this->world->version($number),
            ])
            ->assertOk();
    }
    $this->world->only('mira', 'POST', "/orders/{$number}/opening", ['version' => $this->world->version($number)])->assertOk();
    $at('DELETE')
        ->assertStatus(422)
        ->assertJsonPath('errors.request.0', "{$number} is not being planned any more: its requests stay as they are.");
    // Withdrawn, it gives its requests free.
    $this->world
        ->only('mira', 'POST', "/orders/{$number}/withdrawal", ['reason' => 'Not now.', 'version' => $this->world->version($number)])
        ->assertOk();
    expect($this->world->state($tube))->toBe('approved');
});

it('refuses what is no order, at its place, and raises none', function (array $other, string $place): void {
    ($this->raise)($other)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => [$place]]);
    expect(DB::table('change_orders')->count())->toBe(0);
})->with([
    'no title' => [['title' => ''], 'title'],
    'no reason' => [['description' => ''], 'description'],
    'no item' => [['items' => []], 'items'],
    'an item that is not there' => [['items' => ['200-9999']], 'items'],
    'a request that is not there' => [['requests' => ['ECR-99999']], 'requests'],
    'a priority that is none' => [['priority' => 'soon'], 'priority'],
]);

it('refuses a request that is not approved, and raises none', function (): void {
    $raw = $this->world->only('jonas', 'POST', '/requests', $this->world->request())->json('number');
    ($this->raise)(['requests' => [$raw]])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['request']]);
    expect(DB::table('change_orders')->count())->toBe(0);
    ($this->raise)(by: 'jonas')->assertForbidden();
});
