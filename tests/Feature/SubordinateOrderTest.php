<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

/* An order of which another team judges a part: it goes its own path, and is not released before its parent, or with it in one stroke. */

beforeEach(function (): void {
    $this->world = new World($this);
    World::planningTakes();
    $this->put = fn(string $order, string $parent, bool $together = false, string $who = 'mira'): TestResponse => $this->world->only(
        $who,
        'PUT',
        "/orders/{$order}/parent",
        ['parent' => $parent, 'together' => $together, 'version' => $this->world->version($order)],
    );
    $this->free = fn(string $order): TestResponse => $this->world->only('mira', 'DELETE', "/orders/{$order}/parent", [
        'version' => $this->world->version($order),
    ]);
    // For a small matter, of one item; its day after that of the others.
    $this->raised = fn(array $other = []): string => $this->world
        ->only(
            'mira',
            'POST',
            '/orders',
            $other + ['title' => 'Module', 'description' => 'Note.', 'priority' => 'normal', 'items' => ['200-0001'], 'requests' => []],
        )
        ->assertOk()
        ->json('number');
    $this->signedModule = function (string $order): string {
        $this->world
            ->only('mira', 'PATCH', "/orders/{$order}", [
                'editor' => 'jonas',
                'signer' => 'helen',
                'effective_on' => World::day(45),
                'version' => $this->world->version($order),
            ])
            ->assertOk();
        $this->world
            ->only('mira', 'PUT', "/orders/{$order}/items/200-0001", [
                'outcome' => 'revise',
                'disposition' => 'use_up',
                'version' => $this->world->version($order),
            ])
            ->assertOk();
        $this->world->only('mira', 'POST', "/orders/{$order}/opening", ['version' => $this->world->version($order)])->assertOk();
        $redline = $this->world->as('jonas', 'GET', "/orders/{$order}/items/200-0001/redline")->json();
        $this->world
            ->only('jonas', 'POST', "/orders/{$order}/items/200-0001/edits", [
                'operation' => 'change',
                'line' => $redline['rows'][0]['key'],
                'fields' => ['notes' => 'with the thick tube'],
                'seen' => $redline['seen'],
            ])
            ->assertOk();
        $this->world->only('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])->assertOk();
        $digest = $this->world->as('helen', 'GET', "/orders/{$order}/review")->json('order.digest');
        $this->world->only('helen', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => $digest])->assertOk();

        return $order;
    };
    $this->release = fn(string $order): TestResponse => $this->world->only('mira', 'POST', "/orders/{$order}/release", [
        'version' => $this->world->version($order),
    ]);
    $this->of = fn(string $order): array => $this->world->as('vera', 'GET', "/dossiers/{$order}")->json('order');
});

it('is not released before its parent, and both see each other', function (): void {
    $parent = $this->world->signed();
    $child = ($this->raised)(['parent' => $parent]);
    ($this->signedModule)($child);
    expect(($this->of)($child)['parent'])
        ->toMatchArray(['number' => $parent, 'state' => 'signed', 'together' => false])
        ->and(array_column(($this->of)($parent)['subordinates'], 'number'))
        ->toBe([$child])
        ->and(array_column(array_filter(($this->of)($child)['checks'], static fn(array $check): bool => !$check['met']), 'reason'))
        ->toBe(["Its parent {$parent} is not released yet."])
        // Nobody is asked to do what cannot be done yet.
        ->and(array_column($this->world->as('mira', 'GET', '/desk')->json('tasks'), 'todo'))
        ->toBe(['Release']);
    ($this->release)($child)
        ->assertStatus(422)
        ->assertJson(['errors' => ['parent' => ["Its parent {$parent} is not released yet."]]]);
    expect($this->world->state($child))->toBe('signed');
    ($this->release)($parent)->assertOk();
    expect($this->world->state($child))->toBe('signed');
    ($this->release)($child)->assertOk();
    expect(
        array_column(
            collect($this->world->as('vera', 'GET', "/relations/{$child}")->json('ties'))->firstWhere('tie', 'subordinate')['related'],
            'number',
        ),
    )->toBe([$parent]);
});

it('is released with its parent in one stroke, or neither is', function (): void {
    $parent = $this->world->signed();
    $child = ($this->raised)();
    ($this->put)($child, $parent, true)->assertOk();
    ($this->release)($parent)
        ->assertStatus(422)
        ->assertJson(['errors' => ['subordinates' => ["Not signed yet: {$child}."]]]);
    ($this->signedModule)($child);
    ($this->release)($child)
        ->assertStatus(422)
        ->assertJson(['errors' => ['parent' => ["It is released together with its parent {$parent}: release that one."]]]);
    // What goes wrong with one of them stops both.
    $hold = fn(string $method): TestResponse => $this->world->only('mira', $method, "/orders/{$child}/hold", [
        'reason' => 'Ask first.',
        'version' => $this->world->version($child),
    ]);
    $hold('POST')->assertOk();
    ($this->release)($parent)
        ->assertStatus(422)
        ->assertJson(['errors' => ['order' => ["{$child}: {$child} is on hold: Ask first."]]]);
    expect($this->world->state($parent))->toBe('signed');
    $hold('DELETE')->assertOk();
    ($this->release)($parent)->assertOk();
    expect([$this->world->state($parent), $this->world->state($child)])
        ->toBe(['released', 'released'])
        ->and(DB::table('handovers')->count())
        ->toBe(2)
        ->and(DB::table('change_notices')->pluck('number')->sort()->values()->all())
        ->toBe(['ECN-00001', 'ECN-00002']);
});

it('goes down chains of orders that are released together', function (): void {
    $parent = $this->world->signed();
    $middle = ($this->raised)(['items' => ['200-0001']]);
    ($this->put)($middle, $parent, true)->assertOk();
    $last = ($this->raised)(['items' => ['200-0042']]);
    ($this->put)($last, $middle)->assertOk();
    ($this->signedModule)($middle);
    ($this->release)($parent)->assertOk();
    expect([$this->world->state($middle), $this->world->state($last)])->toBe(['released', 'planning']);
});

it('refuses circles, ends, and what was changed meanwhile, at its place', function (): void {
    [$a, $b, $c] = [($this->raised)(), ($this->raised)(['items' => ['200-0010']]), ($this->raised)(['items' => ['200-0042']])];
    ($this->put)($b, $a)->assertOk();
    ($this->put)($c, $b)->assertOk();
    ($this->put)($a, $c)
        ->assertStatus(422)
        ->assertJson([
            'errors' => [
                'parent' => ["That would be a circle: {$a} to {$c}, which is subordinate to {$b}, which is subordinate to {$a}."],
            ],
        ]);
    ($this->put)($a, $a)->assertStatus(422);
    ($this->put)($a, 'ECO-99999')
        ->assertStatus(422)
        ->assertJson(['errors' => ['parent' => ['There is no such order.']]]);
    ($this->put)($a, '')
        ->assertStatus(422)
        ->assertJson(['errors' => ['parent' => ['Choose an order.']]]);
    ($this->put)($a, $b, false, 'jonas')->assertForbidden();
    $this->world->only('mira', 'PUT', "/orders/{$c}/parent", ['parent' => $a, 'together' => false, 'version' => 1])->assertStatus(409);
    ($this->free)($b)->assertOk();
    ($this->free)($b)->assertStatus(422);
    ($this->put)($a, $c)->assertOk();
    expect(
        DB::table('ledger')
            ->whereIn('act', ['order.subordinated', 'order.freed'])
            ->count(),
    )->toBe(4);
});

it('says that its parent was withdrawn, and goes on without', function (): void {
    $parent = ($this->raised)(['items' => ['200-0042']]);
    $child = ($this->signedModule)(($this->raised)(['parent' => $parent]));
    $this->world
        ->only('mira', 'POST', "/orders/{$parent}/withdrawal", ['reason' => 'Not needed.', 'version' => $this->world->version($parent)])
        ->assertOk();
    ($this->release)($child)
        ->assertStatus(422)
        ->assertJson([
            'errors' => ['parent' => ["Its parent {$parent} was withdrawn. Make it subordinate to none, or withdraw it too."]],
        ]);
    ($this->free)($child)->assertOk();
    ($this->release)($child)->assertOk();
});

it('takes effect no earlier than its parent', function (): void {
    $parent = ($this->raised)(['items' => ['200-0042']]);
    $this->world
        ->only('mira', 'PATCH', "/orders/{$parent}", ['effective_on' => World::day(90), 'version' => $this->world->version($parent)])
        ->assertOk();
    $child = ($this->raised)(['parent' => $parent]);
    expect(fn() => ($this->signedModule)($child))->toThrow(PHPUnit\Framework\ExpectationFailedException::class);
    $this->world
        ->only('jonas', 'POST', "/orders/{$child}/review", ['version' => $this->world->version($child)])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['effective_on']]);
});
