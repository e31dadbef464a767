<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

/* What others have done to a change since somebody looked at it last. */

beforeEach(function (): void {
    $this->world = new World($this);
    $this->request = $this->world->as('jonas', 'POST', '/requests', $this->world->request())->json('number');
    $this->look = fn(string $who, string $number): array => $this->world
        ->only($who, 'POST', "/changes/{$number}/look")
        ->assertOk()
        ->json();
});

it('is told once, of others alone, and stays while the visit lasts', function (): void {
    expect(($this->look)('mira', $this->request))->toMatchArray(['since' => null, 'total' => 0, 'acts' => []]);
    $this->travel(2)->hours();
    $this->world->only('mira', 'POST', "/requests/{$this->request}/finding", ['finding' => 'Feasible.', 'version' => 1])->assertOk();
    $this->world->only('edda', 'POST', "/discussions/{$this->request}", ['text' => 'It fits.'])->assertOk();
    $new = ($this->look)('mira', $this->request);
    expect(array_column($new['acts'], 'act'))
        ->toBe(['comment.added'])
        ->and($new['names'])
        ->toBe(['edda' => 'Edda'])
        ->and($new['since'])
        ->not->toBeNull();
    $this->travel(5)->minutes();
    expect(($this->look)('mira', $this->request)['total'])->toBe(1);
    $this->travel(2)->hours();
    expect(($this->look)('mira', $this->request)['total'])
        ->toBe(0)
        ->and(DB::table('looks')->count())
        ->toBe(1);
});

it('is of an order and of the requests from which it came, and each person has their own', function (): void {
    $order = $this->world->opened();
    ($this->look)('vera', $order);
    $this->travel(1)->hours();
    $this->world->edit($order, 'change', 30, ['quantity' => '8'])->assertOk();
    $request = (string) DB::table('change_requests')->orderByDesc('id')->value('number');
    $this->world->only('mira', 'POST', "/discussions/{$request}", ['text' => 'Said on the request.'])->assertOk();
    $this->world->only('mira', 'POST', "/discussions/{$this->request}", ['text' => 'Of another one.'])->assertOk();
    expect(array_column(($this->look)('vera', $order)['acts'], 'subject'))
        ->toContain($request)
        ->not->toContain($this->request)
        ->and(($this->look)('jonas', $order)['total'])
        ->toBe(0);
});

it('knows nothing of what is not there', function (): void {
    $this->world->only('mira', 'POST', '/changes/ECR-99999/look')->assertNotFound();
    expect(DB::table('looks')->count())->toBe(0);
});
