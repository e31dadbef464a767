<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->request = $this->world->only('jonas', 'POST', '/requests', $this->world->request())->assertOk()->json('number');
    $this->add = fn(array $other = [], string $by = 'jonas', ?string $of = null): TestResponse => $this->world->only(
        $by,
        'POST',
        '/changes/' . ($of ?? $this->request) . '/references',
        $other + ['kind' => 'complaint', 'number' => 'C-2031', 'address' => 'https://complaints.example/C-2031'],
    );
});

it('refers to records elsewhere, by kind, number and address, on requests and orders', function (): void {
    ($this->add)()->assertOk()->assertJsonPath('0.number', 'C-2031')->assertJsonPath('0.by', 'Jonas');
    ($this->add)(['kind' => 'project', 'address' => ''])
        ->assertOk()
        ->assertJsonCount(2);
    $order = $this->world->order();
    ($this->add)(['number' => 'A-7', 'kind' => 'audit'], 'mira', $order)->assertOk();
    $this->world
        ->only('vera', 'GET', "/changes/{$order}/references")
        ->assertOk()
        ->assertJsonPath('0.kind', 'audit');
    expect(DB::table('ledger')->where('act', 'change.reference_added')->where('subject', $this->request)->count())->toBe(2);
});

it('finds changes by the number of a record elsewhere', function (): void {
    $found = fn(string $words): array => array_column(
        $this->world->only('vera', 'GET', '/changes?show=all&words=' . rawurlencode($words))->json('rows'),
        'number',
    );
    expect($found('c-2031'))->toBe([]);
    ($this->add)();
    expect($found('c-2031'))
        ->toBe([$this->request])
        ->and($found('C-20'))
        ->toBe([]);
});

it('is taken back, and stays in the ledger', function (): void {
    $id = ($this->add)()->json('0.id');
    $this->world
        ->only('jonas', 'DELETE', "/changes/{$this->request}/references/{$id}")
        ->assertOk()
        ->assertExactJson([]);
    $this->world->only('jonas', 'DELETE', "/changes/{$this->request}/references/{$id}")->assertNotFound();
    expect(DB::table('ledger')->where('act', 'change.reference_removed')->count())->toBe(1);
});

it('refuses what is none, at its place, and adds nothing', function (array $other, string $place): void {
    ($this->add)($other)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => [$place]]);
    expect(DB::table('record_references')->count())->toBe(0);
})->with([
    'a kind that is not set up' => [['kind' => 'rumour'], 'kind'],
    'no number' => [['number' => ' '], 'number'],
    'an address that is none' => [['address' => 'complaints'], 'address'],
    'a script' => [['address' => 'javascript:alert(1)'], 'address'],
]);

it('refers to one record once, of a change that there is, by who may', function (): void {
    ($this->add)()->assertOk();
    ($this->add)()
        ->assertStatus(422)
        ->assertJsonPath('errors.number.0', "{$this->request} refers to C-2031 already.");
    ($this->add)(of: 'ECR-99999')->assertNotFound();
    ($this->add)(['number' => 'C-2032'], 'vera')->assertForbidden();
    $this->world->only('vera', 'GET', '/changes/ECR-99999/references')->assertNotFound();
});
