<?php

declare(strict_types=1);

use App\Releases\Jobs\DeliverHandover;
use App\Releases\Models\Handover;
use App\Releases\Models\OutboxMessage;
use App\Structures\Models\Revision;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Facades\Queue;
use Tests\Feature\Support\StandIn;
use Tests\Feature\Support\World;

beforeEach(fn() => ($this->world = new World($this)));

$release = fn(World $world, string $order) => $world->as('mira', 'POST', "/orders/{$order}/release", [
    'version' => $world->version($order),
]);

it('releases once, however often it is asked', function () use ($release): void {
    World::planningTakes();
    $order = $this->world->signed();
    $version = $this->world->version($order);
    $release($this->world, $order)->assertOk();
    $this->world
        ->as('mira', 'POST', "/orders/{$order}/release", ['version' => $version])
        ->assertStatus(422)
        ->assertJsonValidationErrors(['order' => 'released already']);
    expect(Revision::query()->where('code', 'B')->count())
        ->toBe(1)
        ->and(Handover::query()->count())
        ->toBe(1);
});

it('does not release what is not signed', function () use ($release): void {
    $order = $this->world->inReview();
    $release($this->world, $order)->assertStatus(422)->assertJsonValidationErrors('signature');
    expect(Revision::query()->where('code', 'B')->count())->toBe(0);
});

it('releases all or nothing: when the hand-over cannot be written, nothing is released', function () use ($release): void {
    $order = $this->world->signed();
    $ledger = DB::table('ledger')->count();
    DB::unprepared('ALTER TABLE handover_files ADD CONSTRAINT broken CHECK (false)');
    $release($this->world, $order)->assertStatus(500);
    expect($this->world->state($order))
        ->toBe('signed')
        ->and(Revision::query()->where('code', 'B')->count())
        ->toBe(0)
        ->and(Revision::query()->where('status', 'superseded')->count())
        ->toBe(0)
        ->and(Handover::query()->count())
        ->toBe(0)
        ->and(OutboxMessage::query()->count())
        ->toBe(0)
        ->and(DB::table('ledger')->count())
        ->toBe($ledger);
});

it('refuses when the date has passed since it was signed', function () use ($release): void {
    $order = $this->world->signed();
    $this->travel(40)->days();
    $release($this->world, $order)
        ->assertStatus(422)
        ->assertJsonValidationErrors(['effective_on' => 'in the past']);
    expect($this->world->state($order))->toBe('signed');
});

it('writes the outbox in the same stroke and sends through the queue', function () use ($release): void {
    Queue::fake();
    $order = $this->world->signed();
    $release($this->world, $order)->assertOk()->assertJsonPath('handovers.0.state', 'waiting');
    $message = OutboxMessage::query()->sole();
    Queue::assertPushed(DeliverHandover::class, fn(DeliverHandover $job): bool => $job->message === $message->id);
});

it('shows line by line what planning refused, and keeps the order open', function () use ($release): void {
    World::planningTakes('200-0041');
    $order = $this->world->signed();
    $release($this->world, $order)
        ->assertOk()
        ->assertJsonPath('handovers.0.state', 'partly_refused')
        ->assertJsonPath('handovers.0.entries.1.answer', 'refused')
        ->assertJsonPath('handovers.0.entries.1.reason', 'Not known.')
        ->assertJsonPath('handovers.0.entries.0.answer', 'taken');
    $this->world
        ->as('mira', 'POST', "/orders/{$order}/closing", ['version' => $this->world->version($order)])
        ->assertStatus(422)
        ->assertJsonValidationErrors('handover');
    // Put right over there, sent again: the same name, so that nothing is done twice.
    Http::swap(new Illuminate\Http\Client\Factory());
    World::planningTakes();
    $name = Handover::query()->value('name');
    $this->world
        ->as('tomas', 'POST', "/handovers/{$name}/delivery")
        ->assertOk()
        ->assertJsonPath('handovers.0.state', 'taken');
    Http::assertSent(fn($request): bool => $request->hasHeader('Idempotency-Key', $name));
    expect(Handover::query()->count())->toBe(1);
});

it('introduces what planning lacks before it is named, and says so', function () use ($release): void {
    Http::allowStrayRequests(['http://127.0.0.1:*']);
    $planning = StandIn::start();
    config(['orthotaxis.planning.url' => $planning->address, 'orthotaxis.planning.token' => StandIn::TOKEN]);
    $planning->load([StandIn::item('200-0010'), StandIn::item('200-0040')]);
    $order = $this->world->signed();
    $release($this->world, $order)->assertOk();
    $handover = $this->world->as('vera', 'GET', "/dossiers/{$order}")->json('handovers.0');
    expect($handover['state'])
        ->toBe('taken')
        ->and($handover['introduced'])
        ->toBe(['200-0041', '200-0042', '600-0014'])
        ->and(DB::table('ledger')->where('act', 'item.introduced')->orderBy('number')->pluck('subject')->all())
        ->toEqualCanonicalizing(['200-0041', '200-0042', '600-0014']);
    $planning->stop();
});

it('loses nothing when planning is down, slow or talks nonsense', function (callable $answer, string $error, ?callable $asked = null) use (
    $release,
): void {
    Http::fake(['*/hand-overs' => $answer, '*/items/unknown' => $asked ?? Http::response(['unknown' => []])]);
    $order = $this->world->signed();
    $release($this->world, $order)
        ->assertOk()
        ->assertJsonPath('order.state', 'released')
        ->assertJsonPath('handovers.0.state', 'unanswered');
    $message = OutboxMessage::query()->sole();
    expect($message->last_error)->toContain($error)->and($message->delivered_at)->toBeNull()->and($message->tries)->toBe(1);

    Http::swap(new Illuminate\Http\Client\Factory());
    World::planningTakes();
    app()->call((new DeliverHandover($message->id))->handle(...));
    expect(Handover::query()->value('state'))->toBe('taken');
})->with([
    'down' => [fn() => Http::response(['error' => 'down'], 503), 'error (503)'],
    'not there, or too slow' => [fn() => throw new Illuminate\Http\Client\ConnectionException('timed out'), 'does not answer'],
    'nonsense' => [fn() => Http::response('<html>Welcome!</html>'), 'not JSON'],
    'nonsense in JSON' => [fn() => Http::response(['entries' => [['entry' => 'one', 'answer' => 'maybe']]]), 'makes no sense'],
    'nothing' => [fn() => Http::response(['entries' => []]), 'without saying'],
    'silence about what it knows' => [fn() => Http::response([]), 'did not say which items it knows', fn() => Http::response([])],
]);

it('queues again what was lost on the way', function () use ($release): void {
    Queue::fake();
    $order = $this->world->signed();
    $release($this->world, $order)->assertOk();
    $this->travel(11)->minutes();
    $this->artisan('outbox:sweep')->expectsOutputToContain('1 queued again')->assertSuccessful();
    Queue::assertPushed(DeliverHandover::class, 2);
    $this->artisan('outbox:sweep')->expectsOutputToContain('0 queued again')->assertSuccessful();
});

it('does nothing when a message was delivered already', function () use ($release): void {
    World::planningTakes();
    $order = $this->world->signed();
    $release($this->world, $order)->assertOk();
    $records = DB::table('ledger')->count();
    app()->call((new DeliverHandover(OutboxMessage::query()->sole()->id))->handle(...));
    expect(DB::table('ledger')->count())->toBe($records);
});

it('releases nothing whose quantities multiply beyond what can be counted, and says where', function (): void {
    World::planningTakes();
    $release = function (string $quantity) {
        $order = $this->world->opened();
        $this->world->edit($order, 'change', 30, ['quantity' => $quantity])->assertOk();
        $this->world->as('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])->assertOk();
        $digest = $this->world->as('helen', 'GET', "/orders/{$order}/review")->json('order.digest');
        $this->world->as('helen', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => $digest])->assertOk();

        return $this->world->as('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)]);
    };
    // 3,000,000 heads in a module by a line of long ago, with half a million screws each.
    DB::statement("SET session_replication_role = 'replica'");
    DB::table('structure_lines')
        ->where('component_id', $this->world->items['200-0010'])
        ->update(['quantity' => 3_000_000 * 1_000_000]);
    DB::statement("SET session_replication_role = 'origin'");
    $before = DB::table('ledger')->count();
    $release('500000')
        ->assertStatus(422)
        ->assertJsonPath('errors.edits.0', fn(string $told): bool => str_contains($told, 'Through 200-0010, more than a million million'));
    expect(DB::table('revisions')->where('item_id', $this->world->items['200-0010'])->where('status', 'released')->count())
        ->toBe(1)
        ->and(DB::table('ledger')->where('act', 'order.released')->count())
        ->toBe(0);
    DB::table('change_orders')->update(['state' => 'withdrawn']);
    $release('30000')->assertOk();
});

it('leaves what plants build and what the model says as they are: each goes on until it is revised itself', function (): void {
    World::planningTakes();
    $this->world->built('200-0010', 'Weir', [[10, '200-0041', 1, 'm', 20]]);
    $drawn = $this->world->design('200-0010', [[10, '200-0042', 2, 'pc']]);
    $order = $this->world->opened();
    $this->world->edit($order, 'replace', 10, ['component' => '200-0041'])->assertOk();
    $this->world->follows($order, 'Weir');
    $this->world->released($order);
    $lives = fn(string $kind): array => DB::table('contents')
        ->where('item_id', $this->world->items['200-0010'])
        ->where('kind', $kind)
        ->orderBy('id')
        ->get()
        ->map(static fn(stdClass $one): array => [$one->code, $one->status, $one->effective_to])
        ->all();
    $day = (string) DB::table('change_orders')->where('number', $order)->value('effective_on');
    expect($lives('engineering'))
        ->toBe([['A', 'superseded', $day], ['B', 'released', null]])
        ->and($lives('manufacturing'))
        ->toBe([['A', 'released', null]])
        ->and($lives('design'))
        ->toBe([['A', 'released', null]]);
    $shown = fn(string $kind, string $on): array => $this->world
        ->as('vera', 'GET', "/items/200-0010/structure?kind={$kind}&on={$on}")
        ->json('rows.*.line.component');
    expect($shown('manufacturing', World::day(0)))
        ->toBe(['200-0041'])
        ->and($shown('manufacturing', $day))
        ->toBe(['200-0041'])
        ->and($shown('design', $day))
        ->toBe(['200-0042']);

    // The model of B is taken over: from the day of B, and not before.
    $this->world->design('200-0010', [[10, '200-0042', 3, 'pc']]);
    expect($drawn)
        ->toBe('done')
        ->and($lives('design'))
        ->toBe([['A', 'superseded', $day], ['B', 'released', null]]);
});

it('releases what was drawn for a revision in work together with it', function () use ($release): void {
    World::planningTakes();
    expect($this->world->design('200-0099', [[10, '600-0014', 1, 'pc']]))->toBe('done');
    $order = $this->world->opened();
    $this->world
        ->as('mira', 'PUT', "/orders/{$order}/items/200-0099", ['outcome' => 'revise', 'version' => $this->world->version($order)])
        ->assertOk();
    $this->world->edit($order, 'remove', 30)->assertOk();
    $this->world->as('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])->assertOk();
    $digest = $this->world->as('helen', 'GET', "/orders/{$order}/review")->json('order.digest');
    $this->world->as('helen', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => $digest])->assertOk();
    expect(DB::table('contents')->where('kind', 'design')->value('status'))->toBe('in_work');
    $release($this->world, $order)->assertOk();
    $drawn = DB::table('contents')->where('kind', 'design')->first();
    expect([$drawn->status, $drawn->code, $drawn->effective_from])->toBe([
        'released',
        'A',
        (string) DB::table('change_orders')->where('number', $order)->value('effective_on'),
    ]);
});
