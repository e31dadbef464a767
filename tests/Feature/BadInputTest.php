<?php

declare(strict_types=1);

use App\Orders\Models\ChangeOrder;
use App\Orders\Models\EditRecord;
use App\Requests\Models\ChangeRequest;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(fn() => ($this->world = new World($this)));

it('refuses a request that lacks something, at its place, and saves nothing', function (array $wrong, string $place): void {
    $ledger = DB::table('ledger')->count();
    $this->world->as('jonas', 'POST', '/requests', $this->world->request($wrong))->assertStatus(422)->assertJsonValidationErrors($place);
    expect(ChangeRequest::query()->count())
        ->toBe(0)
        ->and(DB::table('ledger')->count())
        ->toBe($ledger)
        ->and(DB::table('number_ranges')->where('name', 'request')->value('next'))
        ->toBe(1);
})->with([
    'empty title' => [['title' => '  '], 'title'],
    'long title' => [['title' => str_repeat('a', 201)], 'title'],
    'no description' => [['description' => ''], 'description'],
    'huge description' => [['description' => str_repeat('a', 10_001)], 'description'],
    'no items' => [['items' => []], 'items'],
    'unknown item' => [['items' => ['999-9999']], 'items'],
    'an item twice' => [['items' => ['200-0010', '200-0010']], 'items.1'],
    'unknown priority' => [['priority' => 'huge'], 'priority'],
    'no source' => [['source' => ''], 'source'],
    'text for items' => [['items' => 'all'], 'items'],
]);

it('refuses an edit that cannot be, at its field, and saves nothing', function (
    string $operation,
    array $fields,
    string $place,
    string $reason,
): void {
    $order = $this->world->opened();
    $refused = $this->world->edit($order, $operation, 10, $fields)->assertStatus(422)->assertJsonValidationErrors($place);
    expect($refused->json("errors.{$place}.0"))
        ->toContain($reason)
        ->and(EditRecord::query()->count())
        ->toBe(0);
})->with([
    'zero' => ['change', ['quantity' => '0'], 'quantity', 'more than zero'],
    'negative' => ['change', ['quantity' => '-1'], 'quantity', 'more than zero'],
    'words for a quantity' => ['change', ['quantity' => 'much'], 'quantity', 'number'],
    'a quantity beyond measure' => ['change', ['quantity' => '99999999999999999999'], 'quantity', 'number'],
    'a unit that measures something else' => ['change', ['unit' => 'pc', 'quantity' => '1'], 'unit', 'counted in m'],
    'an unknown unit' => ['change', ['unit' => 'furlong'], 'unit', 'no unit in use'],
    'an unknown item' => ['replace', ['component' => '999-9999'], 'component', 'There is no item 999-9999'],
    'itself' => ['add', ['find' => '40', 'component' => '200-0010', 'quantity' => '1', 'unit' => 'pc'], 'component', '200-0010 → 200-0010'],
    'its own parent' => [
        'add',
        ['find' => '40', 'component' => '200-0001', 'quantity' => '1', 'unit' => 'pc'],
        'component',
        '200-0010 → 200-0001 → 200-0010',
    ],
    'nothing at all' => ['add', [], 'component', 'item number'],
    'a long note' => ['change', ['notes' => str_repeat('a', 501)], 'notes', 'At most 500'],
    'a field that lines do not have' => ['change', ['colour' => 'red'], 'fields', 'no such field'],
]);

it('finds a loop through what another open order is about to do', function (): void {
    $order = $this->world->opened();
    // Under another order the clamp gets a module inside.
    $number = $this->world->as('jonas', 'POST', '/requests', $this->world->request(['items' => ['200-0042']]))->json('number');
    $this->world->as('mira', 'POST', "/requests/{$number}/finding", ['finding' => 'x', 'version' => 1]);
    $this->world->as('mira', 'POST', "/requests/{$number}/decision", ['decision' => 'approved', 'reason' => 'x', 'version' => 2]);
    $other = $this->world->as('mira', 'POST', "/requests/{$number}/order")->json('number');
    $this->world->as('mira', 'PATCH', "/orders/{$other}", ['editor' => 'jonas', 'version' => 1])->assertOk();
    $this->world
        ->as('mira', 'PUT', "/orders/{$other}/items/200-0042", ['outcome' => 'revise', 'disposition' => 'hold', 'version' => 2])
        ->assertOk();
    $this->world->as('mira', 'POST', "/orders/{$other}/opening", ['version' => 3])->assertOk();
    $this->world
        ->as('jonas', 'POST', "/orders/{$other}/items/200-0042/edits", [
            'operation' => 'add',
            'line' => '',
            'fields' => ['find' => '10', 'component' => '600-0014', 'quantity' => '1', 'unit' => 'pc'],
            'seen' => 0,
        ])
        ->assertOk();
    $this->world
        ->as('jonas', 'POST', "/orders/{$other}/items/200-0042/edits", [
            'operation' => 'add',
            'line' => '',
            'fields' => ['find' => '20', 'component' => '200-0010', 'quantity' => '1', 'unit' => 'pc'],
            'seen' => 1,
        ])
        ->assertStatus(422)
        ->assertJsonValidationErrors('component');
    expect($this->world->state($order))->toBe('revising');
});

it('refuses a date in the past, a person without the right, and the author as signer', function (array $fields, string $place): void {
    $order = $this->world->order();
    $this->world
        ->as('mira', 'PATCH', "/orders/{$order}", $fields + ['version' => 1])
        ->assertStatus(422)
        ->assertJsonValidationErrors($place);
    expect(
        ChangeOrder::query()
            ->where('number', $order)
            ->firstOrFail()
            ->only(['effective_on', 'editor_id', 'signer_id', 'version']),
    )->toBe(['effective_on' => null, 'editor_id' => null, 'signer_id' => null, 'version' => 1]);
})->with([
    'yesterday' => fn() => [['effective_on' => World::day(-1)], 'effective_on'],
    'no day' => [['effective_on' => '31 Feb'], 'effective_on'],
    'an editor who may not' => [['editor' => 'tomas'], 'editor'],
    'a signer who may not' => [['signer' => 'jonas'], 'signer'],
    'nobody' => [['editor' => 'somebody'], 'editor'],
    'no title' => [['title' => ''], 'title'],
    'a priority that is none' => [['priority' => 'urgent'], 'priority'],
]);

it('asks for everything before review and names what is missing', function (): void {
    $order = $this->world->opened();
    $this->world
        ->as('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])
        ->assertStatus(422)
        ->assertJsonValidationErrors(['edits' => 'nothing is changed yet']);
    $this->world->edit($order, 'replace', 20, ['component' => '200-0099'])->assertOk();
    $this->world
        ->as('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])
        ->assertStatus(422)
        ->assertJsonValidationErrors(['edits' => '200-0099, which has no revision in force on']);
    expect($this->world->state($order))->toBe('revising');
});

it('does not decide before the finding, nor twice, nor without a reason', function (): void {
    $this->world->as('jonas', 'POST', '/requests', $this->world->request())->assertOk();
    $decide = fn(int $version, string $reason = 'Needed.') => $this->world->as('mira', 'POST', '/requests/ECR-00001/decision', [
        'decision' => 'approved',
        'reason' => $reason,
        'version' => $version,
    ]);
    $decide(1)->assertStatus(422)->assertJsonValidationErrors('finding');
    $this->world
        ->as('mira', 'POST', '/requests/ECR-00001/finding', ['finding' => '', 'version' => 1])
        ->assertStatus(422)
        ->assertJsonValidationErrors('finding');
    $this->world->as('mira', 'POST', '/requests/ECR-00001/finding', ['finding' => 'Feasible.', 'version' => 1])->assertOk();
    $decide(2, '')->assertStatus(422)->assertJsonValidationErrors('reason');
    $decide(2)->assertOk();
    $decide(3)->assertStatus(422)->assertJsonValidationErrors('decision');
    $this->world->as('mira', 'POST', '/requests/ECR-00001/order')->assertOk();
    $this->world->as('mira', 'POST', '/requests/ECR-00001/order')->assertStatus(422)->assertJsonValidationErrors('request');
});

it('says so when there is nothing of a number, and when a day is none', function (): void {
    $this->world
        ->as('vera', 'GET', '/dossiers/ECO-99999')
        ->assertNotFound()
        ->assertJsonPath('message', 'There is nothing of this number here.');
    $this->world->as('vera', 'GET', '/items/999-9999')->assertNotFound();
    $this->world->as('vera', 'GET', '/items/200-0010/structure?on=tomorrow')->assertStatus(422)->assertJsonValidationErrors('on');
    $this->world->as('vera', 'GET', '/items/200-0010/structure?kind=imaginary')->assertStatus(422);
    $this->world->as('vera', 'GET', '/nowhere')->assertNotFound();
});

it('refuses at the door what cannot be kept, with its field, and keeps the ledger whole', function (
    string $method,
    string $path,
    mixed $body,
    string $place,
): void {
    $ledger = DB::table('ledger')->count();
    $send = fn() => $this->actingAs($this->world->people['mira'])->call(
        $method,
        "/api{$path}",
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
        is_string($body) ? $body : json_encode($body, JSON_PRESERVE_ZERO_FRACTION),
    );
    $send()
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => [$place]]);
    expect(DB::table('ledger')->count())->toBe($ledger);
    $this->artisan('ledger:verify')->assertSuccessful();
})->with([
    'NUL' => ['POST', '/categories', ['name' => "Pu\0mp"], 'name'],
    'NUL in a list' => ['POST', '/requests', ['title' => 'x', 'items' => ["200-0010\0"]], 'items.0'],
    'half a letter' => ['POST', '/categories', '{"name": "Pump ' . "\xC3" . '"}', 'body'],
    'no JSON' => ['POST', '/categories', '{"name": ', 'body'],
    'a number alone' => ['POST', '/categories', '7', 'body'],
    'turned text' => ['POST', '/favourites', ['address' => '/', 'name' => "Desk\u{202E}"], 'name'],
    'beyond numbers' => ['PATCH', '/categories/pump', '{"version": 1e400}', 'version'],
    'too deep' => ['POST', '/categories', str_repeat('[', 40) . str_repeat(']', 40), 'body'],
    'a list in a query' => ['GET', '/items?kind[]=part', '', 'kind'],
    'half a letter in a query' => ['GET', '/items?words=%ff', '', 'words'],
    'an unseen letter in a number' => ['POST', '/requests', ['items' => ["200\u{200B}-0010"]], 'items.0'],
]);

it('knows nothing of what is no address', function (string $path): void {
    $this->world->as('mira', 'GET', $path)->assertNotFound();
})->with(['/items/%ff', '/items/200-0010%00', '/items/200-0010%E2%80%AE/where-used', '/change-files/99999999999999999999']);

it('answers an anonymous sign-in that is none with a reason, never with an error', function (mixed $login): void {
    $this->postJson('/api/session', ['login' => $login, 'password' => 'x'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['login']]);
})->with([[[]], [['a']], [null], [7], [true]]);

it('says that the database is away, and nothing else, also to whoever watches over the product', function (string $path): void {
    config(['database.connections.pgsql.port' => 1]);
    $this->actingAs($this->world->people['vera']);
    DB::purge();
    $answer = $this->get($path, ['Accept' => 'application/json'])
        ->assertStatus(503)
        ->assertHeader('Retry-After', '10');
    expect($answer->json('message'))
        ->toStartWith('The database cannot be reached.')
        ->and($answer->getContent())
        ->not->toContain('SQLSTATE')
        ->not->toContain('127.0.0.1');
})->with(['/up', '/api/items']);
