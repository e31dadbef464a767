<?php

declare(strict_types=1);

use App\FollowThrough\Jobs\FollowOrder;
use App\FollowThrough\Models\OldDocument;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    /** What planning tells of the pump head; the order takes it from A to B in thirty days. */
    $this->told = [];
    $this->silent = false;
    Http::fake([
        '*/supply' => fn() => $this->silent
            ? Http::response('', 503)
            : Http::response(['rows' => $this->told, 'unknown' => $this->unknown ?? []]),
    ]);
    World::planningTakes();
    $this->row = fn(string $document, string $kind = 'purchase_order', array $more = []): array => $more + [
        'kind' => $kind,
        'document' => $document,
        'item' => '200-0010',
        'revision' => 'A',
        'quantity' => '4',
        'unit' => 'pc',
        'unit_value' => '262.00',
        'due' => $kind === 'stock' ? null : World::day(40),
        'place' => 'Tarn',
        'status' => 'open',
    ];
    $this->release = function (): string {
        $order = $this->world->signed();
        $this->world->only('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();

        ($this->work)();

        return $order;
    };
    /** The job that was queued last, as a worker does it. */
    $this->work = function (): void {
        foreach (Queue::pushed(FollowOrder::class)->unique('order') as $job) {
            app()->call([$job, 'handle']);
        }
    };
    $this->page = fn(string $order, string $query = 'state=all', string $as = 'vera') => $this->world
        ->as($as, 'GET', "/orders/{$order}/old-documents?{$query}")
        ->assertOk()
        ->json();
    $this->states = fn(string $order): array => array_column(($this->page)($order)['rows'], 'state', 'document');
    $this->id = fn(string $document): int => (int) OldDocument::query()->where('document', $document)->value('id');
    $this->act = fn(string $order, string $what, array $documents, array $more, string $as = 'mira'): TestResponse => $this->world->only(
        $as,
        'POST',
        "/orders/{$order}/old-documents/{$what}",
        ['ids' => array_map($this->id, $documents)] + $more,
    );
});

it('finds what names the old on the day it is for, with what is proposed about each, as soon as the order is released', function (): void {
    $this->told = [
        ($this->row)('LOT-1', 'stock'),
        ($this->row)('PO-1'),
        ($this->row)('PO-2', more: ['due' => World::day(20)]),
        ($this->row)('PO-3', more: ['revision' => 'B']),
        ($this->row)('SO-1', 'sales_order', ['revision' => '']),
        ($this->row)('WO-1', 'work_order', ['issued' => '2']),
    ];
    $order = ($this->release)();
    $page = ($this->page)($order);
    expect(array_column($page['rows'], 'proposed', 'document'))
        ->toBe(['LOT-1' => 'run_out', 'PO-1' => 'change_over', 'WO-1' => 'run_out'])
        ->and([$page['open'], $page['decided'], $page['seen'], $page['may'], $page['reading']])
        ->toBe([3, 0, 0, false, false])
        ->and($page['rows'][0]['comes'])
        ->toBe('B')
        ->and(array_column($page['rows'], 'is_new'))
        ->toBe([false, false, false]);
});

it('decides on many at once, and takes for seen to what planning does not tell of any more', function (): void {
    $this->told = [($this->row)('LOT-1', 'stock'), ($this->row)('PO-1'), ($this->row)('PO-2')];
    $order = ($this->release)();
    ($this->act)(
        $order,
        'decision',
        ['LOT-1', 'PO-1'],
        ['as_proposed' => true, 'owner' => 'tomas', 'due_on' => World::day(10)],
    )->assertOk();
    expect(($this->states)($order))->toBe(['PO-2' => 'open', 'LOT-1' => 'decided', 'PO-1' => 'decided']);
    $this->world
        ->as('tomas', 'GET', '/desk')
        ->assertOk()
        ->assertJsonFragment(['todo' => 'See to 2 documents in planning', 'due_on' => World::day(10)]);
    $this->told = [
        ($this->row)('LOT-1', 'stock', ['quantity' => '1']),
        ($this->row)('PO-1', more: ['revision' => 'B']),
        ($this->row)('PO-2'),
    ];
    ($this->act)($order, 'reading', [], [])->assertOk();
    ($this->work)();
    $page = ($this->page)($order);
    expect(array_column($page['rows'], 'state', 'document'))
        ->toBe(['PO-2' => 'open', 'LOT-1' => 'decided', 'PO-1' => 'seen'])
        ->and(array_column($page['rows'], 'quantity', 'document')['LOT-1'])
        ->toBe('1')
        ->and(array_column($page['rows'], 'owner', 'document'))
        ->toBe(['PO-2' => null, 'LOT-1' => 'tomas', 'PO-1' => 'tomas']);
});

it('names what appears with an old revision after the release, and what comes back is open again', function (): void {
    $this->told = [($this->row)('PO-1')];
    $order = ($this->release)();
    ($this->act)($order, 'decision', ['PO-1'], ['way' => 'cancel'])->assertOk();
    $this->told = [($this->row)('PO-9')];
    $this->artisan('orders:follow')->assertSuccessful();
    ($this->work)();
    expect(($this->states)($order))->toBe(['PO-9' => 'open', 'PO-1' => 'seen']);
    $this->travel(1)->hours();
    $this->told = [($this->row)('PO-1'), ($this->row)('PO-9')];
    $this->artisan('orders:follow')->assertSuccessful();
    ($this->work)();
    expect(($this->states)($order))
        ->toBe(['PO-1' => 'open', 'PO-9' => 'open'])
        ->and(array_column(($this->page)($order)['rows'], 'is_new'))
        ->toBe([true, true]);
    // Also when a person had seen to it before.
    ($this->act)($order, 'seen', ['PO-1'], ['seen' => true, 'reason' => 'Delivered.'])->assertOk();
    foreach ([[], [($this->row)('PO-1')]] as $this->told) {
        $this->artisan('orders:follow')->assertSuccessful();
        ($this->work)();
    }
    expect(($this->states)($order)['PO-1'])->toBe('open');
});

it('takes nothing for gone when planning is silent, or does not know the item any more', function (): void {
    $this->told = [($this->row)('PO-1')];
    $order = ($this->release)();
    $this->silent = true;
    ($this->act)($order, 'reading', [], [])->assertOk();
    ($this->work)();
    expect(($this->states)($order))
        ->toBe(['PO-1' => 'open'])
        ->and(($this->page)($order)['fault'])
        ->toContain('503');
    [$this->silent, $this->told, $this->unknown] = [false, [], ['200-0010']];
    ($this->act)($order, 'reading', [], [])->assertOk();
    ($this->work)();
    expect(($this->states)($order))
        ->toBe(['PO-1' => 'open'])
        ->and(($this->page)($order)['fault'])
        ->toBe('');
});

it('is not closed while one is open, unless somebody who may lets it go on record', function (): void {
    $this->told = [($this->row)('PO-1'), ($this->row)('PO-2')];
    $order = ($this->release)();
    $close = fn(array $more = [], string $as = 'mira'): TestResponse => $this->world->only(
        $as,
        'POST',
        "/orders/{$order}/closing",
        $more + ['version' => $this->world->version($order)],
    );
    $close()->assertJsonValidationErrors(['documents' => '2 documents in planning still name what this order replaced.']);
    expect($this->world->as('mira', 'GET', "/dossiers/{$order}")->json('steps.6.missing'))->toContain(
        '2 documents in planning still name what this order replaced.',
    );
    ($this->act)($order, 'seen', ['PO-1'], ['seen' => true, 'reason' => ''])->assertJsonValidationErrors([
        'reason' => 'Say why nothing is left to do.',
    ]);
    ($this->act)($order, 'seen', ['PO-1'], ['seen' => true, 'reason' => 'The supplier delivers B by telephone.'])->assertOk();
    $close()->assertJsonValidationErrors(['documents' => 'One document']);
    $close(['reason' => 'It is the last one, for a customer who wants A.'])->assertOk();
    expect($this->world->state($order))
        ->toBe('closed')
        ->and(json_decode((string) DB::table('ledger')->where('act', 'order.check_waived')->value('details'), true)['reason'])
        ->toContain('a customer who wants A');
    ($this->act)($order, 'seen', ['PO-2'], ['seen' => true, 'reason' => 'x'])->assertJsonValidationErrors('order');
    ($this->act)($order, 'reading', [], [])->assertJsonValidationErrors('order');
});

it('accepts as it is only with a reason, can be taken back, and refuses what makes no sense at its place', function (): void {
    $this->told = [($this->row)('PO-1'), ($this->row)('WO-1', 'work_order', ['issued' => '1'])];
    $order = ($this->release)();
    DB::table('old_documents')
        ->where('document', 'WO-1')
        ->update(['proposed' => null]);
    $decide = fn(array $more, array $of = ['PO-1'], string $as = 'mira'): TestResponse => ($this->act)($order, 'decision', $of, $more, $as);
    $decide(['way' => 'accept'])->assertJsonValidationErrors(['note' => 'Say why it is accepted as it is.']);
    $decide(['as_proposed' => true], ['PO-1', 'WO-1'])->assertJsonValidationErrors(['ids' => 'Of WO-1 nothing is proposed']);
    $decide(['way' => 'cancel', 'owner' => 'vera'])->assertJsonValidationErrors(['owner' => 'Vera may not see to documents.']);
    $decide(['way' => 'cancel', 'owner' => 'nobody'])->assertJsonValidationErrors('owner');
    $decide(['way' => 'burn'])->assertJsonValidationErrors('way');
    $decide(['due_on' => 'soon'])->assertJsonValidationErrors('due_on');
    $decide(['way' => 'cancel'], [])->assertJsonValidationErrors('ids');
    $decide(['way' => 'cancel'], ['PO-1'], 'vera')->assertForbidden();
    ($this->act)($order, 'seen', ['PO-1'], ['seen' => false])->assertJsonValidationErrors('ids');
    expect(($this->states)($order))->toBe(['PO-1' => 'open', 'WO-1' => 'open']);
    $decide(['way' => 'accept', 'note' => 'The customer wants A.'])->assertOk();
    expect(($this->states)($order))->toBe(['WO-1' => 'open', 'PO-1' => 'seen']);
    $decide(['way' => 'cancel'])->assertJsonValidationErrors(['ids' => 'PO-1 is seen to already.']);
    ($this->act)($order, 'seen', ['PO-1'], ['seen' => false])->assertOk();
    expect(($this->states)($order))->toBe(['PO-1' => 'open', 'WO-1' => 'open']);
});

it('lets what an earlier order replaced be that order’s to follow until it is closed', function (): void {
    $this->told = [($this->row)('PO-1')];
    $first = ($this->release)();
    $second = $this->world->opened();
    $this->world->edit($second, 'change', 20, ['quantity' => '3'])->assertOk();
    $this->world
        ->only('mira', 'PATCH', "/orders/{$second}", ['effective_on' => World::day(60), 'version' => $this->world->version($second)])
        ->assertOk();
    $this->told = [
        ($this->row)('PO-1', more: ['due' => World::day(70)]),
        ($this->row)('PO-2', more: ['revision' => 'B', 'due' => World::day(70)]),
    ];
    $this->world->released($second);
    ($this->work)();
    expect(array_keys(($this->states)($second)))->toBe(['PO-2']);
    $this->world
        ->only('mira', 'POST', "/orders/{$first}/closing", ['version' => $this->world->version($first), 'reason' => 'Left.'])
        ->assertOk();
    $this->artisan('orders:follow')->assertSuccessful();
    ($this->work)();
    expect(array_keys(($this->states)($second)))->toBe(['PO-2', 'PO-1']);
});

it('decides on hundreds in as many questions as on one', function (): void {
    $this->told = array_map(fn(int $at): array => ($this->row)("PO-{$at}"), range(1, 300));
    $order = ($this->release)();
    $asked = 0;
    DB::listen(function () use (&$asked): void {
        $asked++;
    });
    $count = function (array $documents) use ($order, &$asked): int {
        $ids = OldDocument::query()->whereIn('document', $documents)->pluck('id')->all();
        $asked = 0;
        $this->world->only('mira', 'POST', "/orders/{$order}/old-documents/decision", ['ids' => $ids, 'as_proposed' => true])->assertOk();

        return $asked;
    };
    $one = $count(['PO-1']);
    expect($count(array_map(fn(int $at): string => "PO-{$at}", range(2, 300))))
        ->toBe($one)
        ->and(($this->page)($order)['decided'])
        ->toBe(300);
});

it('asks planning in the background, and says so until it has answered', function (): void {
    $order = ($this->release)();
    $this->travel(1)->minutes();
    ($this->act)($order, 'reading', [], [])->assertOk();
    Queue::assertPushedOn('long', FollowOrder::class);
    expect(($this->page)($order)['reading'])->toBeTrue();
});
