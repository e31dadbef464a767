<?php

declare(strict_types=1);

use App\Orders\Models\ChangeOrder;
use App\Releases\HandoverSchema;
use App\Releases\Models\Handover;
use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(fn() => ($this->world = new World($this)));

it('takes a change from its request to what planning has taken', function (): void {
    World::planningTakes();
    $order = $this->world->signed();
    $this->world
        ->as('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])
        ->assertOk()
        ->assertJsonPath('order.state', 'released')
        ->assertJsonPath('handovers.0.state', 'taken')
        ->assertJsonPath('steps.6.state', 'now')
        ->assertJsonPath('steps.6.missing', ['Close the order.']);

    $revisions = Item::query()->where('number', '200-0010')->firstOrFail()->revisions()->get();
    expect($revisions->pluck('code')->all())
        ->toBe(['B', 'A'])
        ->and($revisions[0]->status->value)
        ->toBe('released')
        ->and($revisions[0]->effective_from)
        ->toBe(World::day(30))
        ->and($revisions[1]->status->value)
        ->toBe('superseded')
        ->and($revisions[1]->effective_to)
        ->toBe(World::day(30));

    // Today the old tube, from the date on the new one.
    $components = fn(string $on): array => array_column(
        array_column($this->world->as('vera', 'GET', "/items/200-0010/structure?on={$on}")->json('rows'), 'line'),
        'component',
    );
    expect($components(World::day(29)))
        ->toContain('200-0040')
        ->not->toContain('200-0041')
        ->and($components(World::day(30)))
        ->toContain('200-0041')
        ->not->toContain('200-0040');

    $this->world->as('mira', 'POST', "/orders/{$order}/closing", ['version' => $this->world->version($order)])->assertOk();
    expect($this->world->state($order))->toBe('closed');
    $this->artisan('ledger:verify')->assertSuccessful();
});

it('carries everything over from the request; nothing is typed again', function (): void {
    $order = $this->world->order();
    $dossier = $this->world->as('vera', 'GET', "/dossiers/{$order}")->assertOk();
    $dossier
        ->assertJsonPath('order.title', 'Pump tube wears out')
        ->assertJsonPath('order.priority', 'critical')
        ->assertJsonPath('order.requests', ['ECR-00001'])
        ->assertJsonPath('requests.0.orders', [$order])
        ->assertJsonPath('order.items.*.item.number', ['200-0010', '200-0040'])
        // What has a structure is proposed for revision.
        ->assertJsonPath('order.items.*.outcome', ['revise', 'keep']);
    expect($dossier->json('order.description'))->toContain('Tears after 200 hours.')->toContain('Feasible.');
});

it('shows who, when, why and under which order in the history', function (): void {
    World::planningTakes();
    $order = $this->world->signed();
    $this->world->as('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();
    $this->world
        ->as('vera', 'GET', '/items/200-0010')
        ->assertJsonPath('revisions.0.order', $order)
        ->assertJsonPath('revisions.0.released_by', 'Mira')
        ->assertJsonPath('revisions.0.reason', 'Pump tube wears out')
        ->assertJsonPath('revisions.1.last_day', World::day(29));
});

it('writes the hand-over in three formats that say the same', function (): void {
    World::planningTakes();
    $order = $this->world->signed();
    $this->world->as('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();
    $handover = Handover::query()->with('files')->firstOrFail();
    $number = str_pad((string) $handover->number, 6, '0', STR_PAD_LEFT);
    expect($handover->name)->toBe("{$order}_" . World::day(30) . "_{$number}");
    foreach (['xml', 'json', 'csv'] as $format) {
        $this->actingAs($this->world->people['vera'])
            ->get("/api/handovers/{$handover->name}/files/{$format}")
            ->assertOk()
            ->assertSee('200-0041');
    }
    (new HandoverSchema())->check($handover->files[0]->content);
    $this->actingAs($this->world->people['vera'])
        ->getJson("/api/handovers/{$handover->name}/files/exe")
        ->assertNotFound();
});

it('tells what an order means while it is edited', function (): void {
    $order = $this->world->opened();
    $this->world->edit($order, 'replace', 10, ['component' => '200-0041'])->assertOk();
    // 0.5 m × (12.60 − 9.80) in one head, one head in one module.
    $this->world
        ->as('jonas', 'GET', "/orders/{$order}/consequences")
        ->assertJsonPath('lines', 1)
        ->assertJsonPath('items_above', ['200-0001'])
        ->assertJsonPath('products.0.difference', '1.40')
        ->assertJsonPath('affected', ['200-0010', '200-0040']);
});

it('puts what needs a person on their desk', function (): void {
    $todo = fn(string $login): array => array_column($this->world->as($login, 'GET', '/desk')->assertOk()->json('tasks'), 'todo');
    $this->world->as('jonas', 'POST', '/requests', $this->world->request())->assertOk();
    expect($todo('mira'))
        ->toBe(['Assess'])
        ->and($todo('jonas'))
        ->toBe([]);
    $this->world->inReview();
    expect($todo('helen'))
        ->toBe(['Read and sign'])
        ->and($todo('jonas'))
        ->toBe([]);
});

it('shows critical requests first', function (): void {
    foreach (['low', 'critical', 'normal'] as $priority) {
        $this->world->as('jonas', 'POST', '/requests', $this->world->request(['priority' => $priority]))->assertOk();
    }
    expect(array_column($this->world->as('vera', 'GET', '/desk')->json('requests'), 'priority'))->toBe(['critical', 'normal', 'low']);
});

it('sends a request back, and takes the answer of whoever raised it', function (): void {
    $this->world->as('jonas', 'POST', '/requests', $this->world->request())->assertOk();
    $answer = fn(string $by, int $version, string $text = 'Serial numbers 17 to 20.') => $this->world->as(
        $by,
        'POST',
        '/requests/ECR-00001/answer',
        ['answer' => $text, 'version' => $version],
    );
    $answer('jonas', 1)
        ->assertStatus(422)
        ->assertJsonValidationErrors(['request' => 'was not sent back']);
    $this->world->as('mira', 'POST', '/requests/ECR-00001/finding', ['finding' => 'Which ones?', 'version' => 1])->assertOk();
    $this->world
        ->as('mira', 'POST', '/requests/ECR-00001/decision', ['decision' => 'returned', 'reason' => 'Add serial numbers.', 'version' => 2])
        ->assertOk()
        ->assertJsonPath('steps.0.state', 'now')
        ->assertJsonPath('steps.0.missing', ['Sent back: Add serial numbers.']);
    expect($this->world->as('jonas', 'GET', '/desk')->json('tasks.0.todo'))->toBe('Answer what was asked');
    $answer('edda', 3)->assertStatus(422);
    $answer('jonas', 3, '')->assertStatus(422)->assertJsonValidationErrors('answer');
    $answer('jonas', 3)->assertOk()->assertJsonPath('requests.0.state', 'raised');
    expect($this->world->as('vera', 'GET', '/dossiers/ECR-00001')->json('requests.0.description'))
        ->toContain('Tears after 200 hours.')
        ->toContain('Jonas answers: Serial numbers 17 to 20.');
});

it('lets an order be withdrawn, and its request be ordered again', function (): void {
    $order = $this->world->opened();
    $this->world
        ->as('mira', 'POST', "/orders/{$order}/withdrawal", [
            'reason' => 'Another way was found.',
            'version' => $this->world->version($order),
        ])
        ->assertOk();
    expect($this->world->state($order))->toBe('withdrawn')->and($this->world->state('ECR-00001'))->toBe('approved');
    $this->world->as('mira', 'POST', '/requests/ECR-00001/order')->assertOk();
    expect(ChangeOrder::query()->count())->toBe(2);
});

it('keeps the number of queries of the main pages the same however much there is', function (): void {
    $order = $this->world->inReview();
    $this->world->as('jonas', 'POST', '/requests', $this->world->request())->assertOk();
    $count = function (string $login, string $path): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->world->as($login, 'GET', $path)->assertOk();

        return count(DB::getQueryLog());
    };
    $paths = [
        '/desk' => 15,
        '/changes?show=all' => 8,
        "/dossiers/{$order}" => 59,
        '/items' => 6,
        '/items/200-0010' => 16,
        '/items/200-0010/structure' => 10,
        '/items/200-0040/where-used' => 8,
        "/orders/{$order}/items/200-0010/redline" => 32,
        "/orders/{$order}/review" => 69,
    ];
    $few = array_map(fn(string $path): int => $count('vera', $path), array_keys($paths));
    for ($i = 0; $i < 5; $i++) {
        $this->world->as('jonas', 'POST', '/requests', $this->world->request())->assertOk();
    }
    $many = array_map(fn(string $path): int => $count('vera', $path), array_keys($paths));
    expect($many)->toBe($few);
    foreach (array_combine(array_keys($paths), $few) as $path => $queries) {
        expect($queries)->toBeLessThanOrEqual($paths[$path], $path);
    }
});

it('answers an act with the version that the next act names, and reads no page for it', function (): void {
    $number = $this->world
        ->only('jonas', 'POST', '/requests', $this->world->request())
        ->assertOk()
        ->assertJsonPath('version', 1)
        ->json('number');
    $asked = 0;
    DB::listen(static function () use (&$asked): void {
        $asked++;
    });
    $version = 1;
    foreach (['Torn at the rollers.', 'Torn at the clamp.'] as $finding) {
        $asked = 0;
        $version = $this->world
            ->only('mira', 'POST', "/requests/{$number}/finding", ['finding' => $finding, 'version' => $version])
            ->assertOk()
            ->assertExactJson(['number' => $number, 'version' => $version + 1])
            ->json('version');
        // The half of them find out who is told of it.
        expect($asked)->toBeLessThan(30);
    }
    $this->world->as('mira', 'GET', "/dossiers/{$number}")->assertJsonPath('requests.0.version', 3);
});
