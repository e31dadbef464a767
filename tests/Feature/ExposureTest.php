<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Http;
use Tests\Feature\Support\World;

beforeEach(fn () => $this->world = new World($this));

$row = ['kind' => 'stock', 'document' => 'LOT-1', 'item' => '200-0040', 'revision' => 'A', 'quantity' => '12.5', 'unit' => 'm', 'unit_value' => '9.80', 'due' => null, 'place' => 'Weir', 'status' => 'free'];

it('asks planning once for all items, with its token', function () use ($row): void {
    config(['orthotaxis.planning.token' => 'of this house']);
    Http::fake(['*/supply' => Http::response(['rows' => [$row, ['kind' => 'sales_order', 'due' => World::day(5)] + $row]])]);
    $this->world->as('vera', 'GET', '/exposure?items=200-0040,200-0010')->assertOk()
        ->assertJsonPath('1.item', '200-0040')->assertJsonPath('1.value', '245.00')->assertJsonPath('1.totals.0.quantity', '12.5')
        ->assertJsonPath('1.rows.1.due', World::day(5))->assertJsonPath('0.rows', [])->assertJsonPath('0.fault', null);
    Http::assertSentCount(1);
    Http::assertSent(fn ($request): bool => $request->hasHeader('Authorization', 'Bearer of this house'));
});

it('shows what planning last said, and its age, when planning is silent or talks nonsense', function (callable $answer, string $fault) use ($row): void {
    Http::fake(['*/supply' => Http::response(['rows' => [$row]])]);
    $this->world->as('vera', 'GET', '/exposure?items=200-0040')->assertJsonPath('0.fault', null);
    Http::swap(new Illuminate\Http\Client\Factory);
    Http::fake(['*' => $answer]);
    $told = $this->world->as('vera', 'GET', '/exposure?items=200-0040,200-0042')->assertOk();
    expect($told->json('0.fault'))->toContain($fault)->and($told->json('0.fetched_at'))->not->toBeNull()->and($told->json('0.value'))->toBe('122.50')
        ->and($told->json('1.fetched_at'))->toBeNull();
})->with([
    'down' => [fn () => Http::response('', 500), 'error (500)'],
    'slow' => [fn () => throw new Illuminate\Http\Client\ConnectionException('timed out'), 'does not answer'],
    'nonsense' => [fn () => Http::response('hello'), 'not JSON'],
    'rows that make no sense' => [fn () => Http::response(['rows' => [['kind' => 'gift']]]), 'makes no sense'],
    'a unit that does not fit' => [fn () => Http::response(['rows' => [['unit' => 'kg', 'kind' => 'stock', 'document' => 'x', 'item' => '200-0040', 'revision' => 'A', 'quantity' => '1', 'unit_value' => '1', 'place' => '', 'status' => '']]]), 'cannot be converted'],
]);

it('wants to know of which items', function (): void {
    $this->world->as('vera', 'GET', '/exposure')->assertStatus(422)->assertJsonValidationErrors('items');
});
