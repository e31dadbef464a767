<?php

declare(strict_types=1);

use App\Days\Today;
use App\FollowThrough\Jobs\CloseIfDone;
use App\FollowThrough\Jobs\FollowOrder;
use App\Verification\Actions\AskVerification;
use App\Verification\DigestPart;
use App\Verification\Jobs\RunVerification;
use App\Verification\Models\PlanningDifference;
use App\Verification\Models\Verification;
use App\Verification\OurCopy;
use App\Verification\OurDigests;
use Illuminate\Http\Client\Events\RequestSending;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Facades\Queue;
use Tests\Feature\Support\StandIn;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    Http::allowStrayRequests(['http://127.0.0.1:*']);
    $this->planning = StandIn::start();
    config(['orthotaxis.planning.url' => $this->planning->address, 'orthotaxis.planning.token' => StandIn::TOKEN]);
    $keys = DB::table('structure_lines')
        ->orderBy('find')
        ->where('find', '>', 0)
        ->whereIn('content_id', DB::table('revisions')->select('id')->where('item_id', $this->world->items['200-0010']))
        ->pluck('line_key', 'find');
    $this->world->built('200-0010', 'Weir', [
        [10, '200-0040', 0.5, 'm', null, null, $keys[10]],
        [20, '200-0042', 2, 'pc', null, null, $keys[20]],
        [30, '600-0014', 6, 'pc', null, null, $keys[30]],
    ]);
    DB::table('work_centres')->insert(['plant' => 'Weir', 'code' => 'PUMP', 'name' => 'Pumps', 'rate' => 480_000]);
    $items = array_keys($this->world->items);
    $this->planning->load(array_map(StandIn::item(...), $items), ['copy' => app(OurCopy::class)->of($items, (string) Today::day())]);
    /** Everything that was asked for, as a worker does it. */
    $this->work = function (): void {
        foreach ([RunVerification::class, FollowOrder::class, CloseIfDone::class] as $job) {
            foreach (Queue::pushed($job) as $one) {
                app()->call([$one, 'handle']);
            }
        }
    };
    $this->verify = function (): Verification {
        app(AskVerification::class)->everything();
        ($this->work)();

        return Verification::query()->orderByDesc('id')->firstOrFail();
    };
    $this->differences = fn(string $query = ''): array => $this->world
        ->only('vera', 'GET', "/hand-overs/differences{$query}")
        ->assertOk()
        ->json('rows');
    /** What somebody over there does to a row on the page of its subject. */
    $this->there = function (string $page, string $cell, array $fields): void {
        $html = Http::get("{$this->planning->address}{$page}")->body();
        expect(preg_match('~<td>' . preg_quote($cell, '~') . '</td>.*?action="(/copy/\d+)"~s', $html, $form))->toBe(1);
        Http::asForm()
            ->withoutRedirecting()
            ->post($this->planning->address . $form[1], $fields);
    };
    /** An order that changes lines, a routing and data, released. */
    $this->release = function (): string {
        $order = $this->world->opened();
        $this->world->edit($order, 'replace', 10, ['component' => '200-0041'])->assertOk();
        $this->world
            ->only('jonas', 'POST', "/orders/{$order}/items/200-0010/data", [
                'fields' => ['standard_cost' => '12.80', 'minimum_lot@Weir' => '250'],
                'seen' => 0,
            ])
            ->assertOk();
        $path = "/orders/{$order}/items/200-0010/plants/Weir";
        $page = $this->world->only('jonas', 'GET', "{$path}/redline")->assertOk();
        $key = collect($page->json('rows'))->firstWhere('after.find', 10)['key'];
        $this->world
            ->only('jonas', 'POST', "{$path}/edits", [
                'edits' => [
                    [
                        'edit' => 'add_operation',
                        'part' => '',
                        'fields' => [
                            'number' => '10',
                            'title' => 'Fit the "rotor"',
                            'work_centre' => 'PUMP',
                            'set_up' => '15',
                            'run' => '2.50',
                        ],
                    ],
                    [
                        'edit' => 'add_operation',
                        'part' => '',
                        'fields' => ['number' => '20', 'title' => 'Coat', 'supplier' => 'Fjellheim', 'cost' => '3.10', 'lead_time' => '6'],
                    ],
                    ['edit' => 'set_batch', 'part' => '', 'fields' => ['batch' => '20']],
                    ['edit' => 'replace', 'part' => $key, 'fields' => ['component' => '200-0041', 'operation' => '10', 'scrap' => '2.5']],
                ],
                'seen' => $page->json('seen'),
            ])
            ->assertOk();
        $this->world->released($order);

        return $order;
    };
});

afterEach(function (): void {
    $this->planning->behave('normal');
    $this->planning->stop();
});

it('finds what holds here in planning, before a release and after it, and says how many rows that were', function (): void {
    $before = ($this->verify)();
    expect($before->state->value)->toBe('done')->and($before->differing)->toBe(0)->and($before->compared)->toBeGreaterThan(10);
    $order = ($this->release)();
    // Its own hand-over was answered: its items are compared by themselves.
    ($this->work)();
    $own = Verification::query()->whereRelation('order', 'number', $order)->sole();
    expect(($this->differences)())
        ->toBe([])
        ->and($own->state->value)
        ->toBe('done')
        ->and($own->items)
        ->toBe(['200-0010']);
    // What held before holds until the day, and what comes from it on: both are there.
    $copy = app(OurCopy::class)->of(['200-0010'], (string) Today::day());
    expect($copy)
        ->toContain("engineering\t\t200-0010\tA\tline\t10\t200-0040")
        ->toContain("engineering\t\t200-0010\tB\tline\t10\t200-0041")
        ->toContain('"operationTitle": "Fit the \\"rotor\\""')
        ->toContain("item_data\t\t200-0010\tB\tfield\tminimum_lot@Weir");
    expect(DB::table('ledger')->where('act', 'planning.verified')->orderBy('number')->pluck('subject')->all())->toBe(['planning', $order]);
});

it('finds what somebody changed, took away and added over there, and hands over what puts it right', function (): void {
    ($this->release)();
    ($this->verify)();
    ($this->there)('/structures/200-0010', '200-0041', ['name' => 'quantity', 'value' => '0.75']);
    ($this->there)('/plants/Weir/200-0010', 'Coat', ['drop' => '1']);
    ($this->there)('/items/200-0010', 'minimum lot (Weir)', ['name' => 'value', 'value' => '300']);
    ($this->verify)();
    $rows = ($this->differences)();
    expect(array_map(static fn(array $row): array => [$row['structure'], $row['part'], $row['mark'], $row['mover']], $rows))->toBe([
        ['engineering', 'Line 10 200-0041', 'change', 'there'],
        ['item_data', 'Minimum lot at Weir', 'change', 'there'],
        ['manufacturing', 'Operation 20', 'add', 'there'],
    ]);
    expect($rows[0]['fields'])
        ->toBe([['field' => 'quantity', 'there' => '0.75', 'here' => '0.5']])
        ->and($rows[0]['order'])
        ->toBe('ECO-00001')
        ->and(($this->differences)('?mover=never'))
        ->toBe([])
        ->and(count(($this->differences)('?order=ECO-00001&item=200-0010')))
        ->toBe(3);
    // Found again, it is what it was, since when it was.
    $since = PlanningDifference::query()->orderBy('id')->pluck('found_at', 'id')->all();
    $this->travel(1)->hours();
    ($this->verify)();
    expect(PlanningDifference::query()->orderBy('id')->pluck('found_at', 'id')->all())->toEqual($since);

    $ids = array_column(($this->differences)(), 'id');
    $this->world->only('tomas', 'POST', '/hand-overs/corrections', ['ids' => $ids])->assertOk();
    ($this->work)();
    expect(($this->differences)())->toBe([]);
    $name = DB::table('handovers')->whereNull('order_id')->value('name');
    expect($name)
        ->toStartWith('correction_')
        ->and(DB::table('ledger')->where('act', 'planning.corrected')->value('subject'))
        ->toBe($name)
        ->and(DB::table('ledger')->where('act', 'hand_over.taken')->where('subject', $name)->count())
        ->toBe(1);
    $this->world
        ->only('tomas', 'POST', '/hand-overs/corrections', ['ids' => $ids])
        ->assertStatus(422)
        ->assertJsonPath('errors.ids.0', 'Some of them do not differ any more, or were found anew. Look again.');
});

it('reads rows of all that is verified only where digests differ, and reckons those of what is released once', function (): void {
    $asked = [];
    Event::listen(function (RequestSending $one) use (&$asked): void {
        str_contains($one->request->url(), '/copy') &&
            ($asked[] = [basename($one->request->url()), $one->request->data()['items'] ?? null]);
    });
    $read = function () use (&$asked): array {
        $asked = [];
        ($this->verify)();

        return $asked;
    };
    expect($read())->toBe([['digests', null]]);
    $kept = DB::table('content_digests')->orderBy('content_id')->pluck('sha256', 'content_id')->all();
    ($this->release)();
    // Its own items are compared row by row after its hand-over.
    expect($read())->toBe([['copy', ['200-0010']], ['digests', null]]);
    expect(array_intersect_key(DB::table('content_digests')->pluck('sha256', 'content_id')->all(), $kept))
        ->toEqual($kept)
        ->and(DB::table('content_digests')->count())
        ->toBe(count($kept) + 3);
    ($this->there)('/structures/200-0001', '200-0010', ['name' => 'quantity', 'value' => '2']);
    expect($read())
        ->toBe([['digests', null], ['copy', ['200-0001']]])
        ->and(array_column(($this->differences)(), 'part'))
        ->toBe(['Line 10 200-0010']);
    // As the rule reads.
    $rows = [];
    foreach (explode("\n", app(OurCopy::class)->of(array_keys($this->world->items), (string) Today::day())) as $row) {
        $key = implode("\t", array_slice(explode("\t", $row), 0, 4)) . "\t";
        $rows[$key] = ($rows[$key] ?? '') . "{$row}\n";
    }
    $digests = implode(
        '',
        array_map(static fn(DigestPart $part): string => $part->text, app(OurDigests::class)->parts((string) Today::day())),
    );
    expect(explode("\n", $digests))->toEqualCanonicalizing(
        array_map(static fn(string $key, string $of): string => $key . hash('sha256', $of), array_keys($rows), $rows),
    );
});

it('tells what planning never took from what is on its way, and resends what it refused', function (): void {
    ($this->verify)();
    $this->planning->behave('half taken');
    $order = ($this->release)();
    ($this->work)();
    $rows = ($this->differences)("?order={$order}");
    expect(array_unique(array_column($rows, 'mover')))
        ->toBe(['never'])
        ->and(array_unique(array_column($rows, 'reason')))
        ->toBe(['Planning stopped in the middle.']);
    $health = $this->world->only('tomas', 'GET', '/hand-overs')->assertOk();
    $health
        ->assertJsonPath('handovers.0.order', $order)
        ->assertJsonPath('handovers.0.state', 'partly_refused')
        ->assertJsonPath('handovers.0.reason', 'Planning stopped in the middle.')
        ->assertJsonPath('differing', count($rows))
        ->assertJsonPath('verification.state', 'done')
        ->assertJsonPath('may', true);
    expect($health->json('handovers.0.refused'))->toBeGreaterThan(1);

    $this->planning->behave('answers twice');
    $this->world->only('tomas', 'POST', '/hand-overs/deliveries', [])->assertOk();
    ($this->work)();
    expect(($this->differences)())
        ->toBe([])
        ->and($this->planning->handOvers()[0])
        ->toMatchArray(['received' => '2', 'applied' => '1']);
    $this->world->only('tomas', 'POST', '/hand-overs/deliveries', [])->assertStatus(422)->assertJsonValidationErrors('names');
});

it('is not led by an answer that comes late: what planning took is not taken twice', function (): void {
    $this->planning->behave('answers late');
    $order = ($this->release)();
    expect(DB::table('handovers')->value('state'))->toBe('unanswered');
    $this->world->only('tomas', 'POST', '/hand-overs/deliveries', ['names' => [DB::table('handovers')->value('name')]])->assertStatus(422);
    DB::table('outbox')->update(['tries' => 99]);
    $this->world->only('tomas', 'POST', '/hand-overs/deliveries', ['names' => [DB::table('handovers')->value('name')]])->assertOk();
    ($this->work)();
    expect(DB::table('handovers')->value('state'))
        ->toBe('taken')
        ->and($this->planning->handOvers()[0])
        ->toMatchArray(['received' => '2', 'applied' => '1'])
        ->and(($this->differences)("?order={$order}"))
        ->toBe([]);
});

it('takes nothing for gone or equal while planning is silent or talks nonsense', function (string $mode): void {
    ($this->verify)();
    ($this->there)('/structures/200-0010', '200-0040', ['drop' => '1']);
    ($this->verify)();
    $found = ($this->differences)();
    expect($found)->toHaveCount(1);
    $this->planning->behave($mode);
    $run = ($this->verify)();
    expect($run->state->value)->toBe('silent')->and($run->fault)->not->toBe('')->and(($this->differences)())->toBe($found);
    $this->world->only('vera', 'GET', '/hand-overs')->assertJsonPath('verification.fault', $run->fault)->assertJsonPath('may', false);
})->with(['down', 'nonsense']);

it('is done once at a time, is cancelled, and is for those who may', function (): void {
    $this->world->only('vera', 'POST', '/hand-overs/verification')->assertStatus(403);
    $this->world->only('tomas', 'POST', '/hand-overs/verification')->assertOk();
    $this->world
        ->only('mira', 'POST', '/hand-overs/verification')
        ->assertStatus(422)
        ->assertJsonPath('errors.verification.0', 'Planning is being verified already.');
    $this->world->only('tomas', 'DELETE', '/hand-overs/verification')->assertOk();
    ($this->work)();
    expect(Verification::query()->sole())
        ->state->value->toBe('cancelled')
        ->parts_done->toBe(0);
    foreach (['deliveries' => [], 'corrections' => ['ids' => [1]]] as $what => $body) {
        $this->world->only('vera', 'POST', "/hand-overs/{$what}", $body)->assertStatus(403);
    }
    foreach ([[], ['ids' => 'all'], ['ids' => ['x']], ['ids' => [0]]] as $body) {
        $this->world->only('tomas', 'POST', '/hand-overs/corrections', $body)->assertStatus(422);
    }
});

it('asks the database as often for many differences as for one', function (): void {
    ($this->release)();
    ($this->verify)();
    $count = function (): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        ($this->differences)();
        $this->world->only('vera', 'GET', '/hand-overs')->assertOk();

        return count(DB::getQueryLog());
    };
    ($this->there)('/structures/200-0010', '200-0041', ['drop' => '1']);
    ($this->verify)();
    $one = $count();
    ($this->there)('/structures/200-0010', '200-0042', ['drop' => '1']);
    ($this->there)('/plants/Weir/200-0010', 'Coat', ['drop' => '1']);
    ($this->verify)();
    expect(count(($this->differences)()))->toBe(3)->and($count())->toBe($one);
});

it('closes the order by itself once planning has it all, and nothing names the old any more', function (): void {
    $order = ($this->release)();
    $state = fn(): string => $this->world->state($order);
    // Planning is still to be read back.
    app()->call([new CloseIfDone($order), 'handle']);
    expect($state())->toBe('released');
    ($this->there)('/structures/200-0010', '200-0041', ['name' => 'quantity', 'value' => '9']);
    DB::table('old_documents')->delete();
    ($this->work)();
    expect($state())->toBe('released');
    $this->world
        ->as('mira', 'POST', "/orders/{$order}/closing", ['version' => $this->world->version($order)])
        ->assertStatus(422)
        ->assertJsonPath('errors.documents.0', "Planning's copy differs in one row from what this order released.");
    $this->world->only('tomas', 'POST', '/hand-overs/corrections', ['ids' => array_column(($this->differences)(), 'id')])->assertOk();
    // What planning makes up of stock and orders for the item names the old: seen to by hand.
    ($this->work)();
    foreach (DB::table('old_documents')->pluck('id') as $id) {
        $this->world
            ->only('mira', 'POST', "/orders/{$order}/old-documents/seen", ['ids' => [$id], 'seen' => true, 'reason' => 'Used up.'])
            ->assertOk();
    }
    ($this->work)();
    expect($state())
        ->toBe('closed')
        ->and(DB::table('ledger')->where('act', 'order.closed')->value('actor'))
        ->toBe('orthotaxis');
    app()->call([new CloseIfDone($order), 'handle']);
    expect(DB::table('ledger')->where('act', 'order.closed')->count())->toBe(1);
});
