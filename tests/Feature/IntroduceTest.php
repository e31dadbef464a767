<?php

declare(strict_types=1);

use Illuminate\Http\Client\ConnectionException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Tests\Feature\Support\StandIn;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->introduce = fn(array $items, string $by = 'mira') => $this->world->only($by, 'POST', '/planning/items', ['items' => $items]);
});

it('tells planning of items that it lacks, one or many; what it has stays as it is', function (): void {
    Http::allowStrayRequests(['http://127.0.0.1:*']);
    $planning = StandIn::start();
    config(['orthotaxis.planning.url' => $planning->address, 'orthotaxis.planning.token' => StandIn::TOKEN]);
    $unknown = static fn(): array => $planning
        ->shown()
        ->post('/supply', ['items' => ['200-0010', '200-0041', '600-0014']])
        ->throw()
        ->json('unknown');
    $planning->load([StandIn::item('600-0014')], []);
    expect($unknown())->toBe(['200-0010', '200-0041']);
    ($this->introduce)(['200-0041', '600-0014', '200-0010'])->assertNoContent();
    expect($unknown())->toBe([]);
    ($this->introduce)(['200-0041'])->assertNoContent();
    $acts = DB::table('ledger')->where('act', 'item.introduced')->pluck('subject')->countBy()->all();
    expect($acts)->toBe(['200-0010' => 1, '200-0041' => 2, '600-0014' => 1]);
    $planning->stop();
});

it('says what planning refused and why, and what it did not say', function (): void {
    Http::fake(['*/items' => Http::response(['items' => [['number' => '200-0041', 'reason' => 'It has no released revision.']]])]);
    $errors = ($this->introduce)(['200-0041', '200-0010'])
        ->assertStatus(422)
        ->json('errors');
    expect($errors['items.200-0041'][0])
        ->toBe('Planning refused 200-0041: It has no released revision.')
        ->and($errors['items.200-0010'][0])
        ->toContain('did not say')
        ->and(DB::table('ledger')->where('act', 'item.introduced')->count())
        ->toBe(0);
});

it('introduces nothing where planning is silent or talks nonsense, there is no such item, or nobody may', function (): void {
    Http::fake(['*/items' => static fn() => throw new ConnectionException('gone')]);
    ($this->introduce)(['200-0041'])
        ->assertStatus(422)
        ->assertJsonPath('errors.planning.0', 'Planning does not answer. Nothing was introduced.');
    Http::fake(['*/items' => Http::response(['items' => ['nonsense']])]);
    ($this->introduce)(['200-0041'])->assertStatus(422);
    ($this->introduce)(['999-9999'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['items']]);
    ($this->introduce)([])->assertStatus(422);
    ($this->introduce)(['200-0041'], 'vera')->assertStatus(403);
    expect(DB::table('ledger')->where('act', 'item.introduced')->count())->toBe(0);
});
