<?php

declare(strict_types=1);

use App\FollowThrough\Jobs\CloseIfDone;
use App\FollowThrough\Jobs\FollowOrder;
use App\FollowThrough\Models\OldDocument;
use App\Verification\Jobs\RunVerification;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\StandIn;
use Tests\Feature\Support\World;

/* What is decided about open documents, told to planning and done there. */

beforeEach(function (): void {
    $this->world = new World($this);
    Http::allowStrayRequests(['http://127.0.0.1:*']);
    $this->planning = StandIn::start();
    config(['orthotaxis.planning.url' => $this->planning->address, 'orthotaxis.planning.token' => StandIn::TOKEN]);
    $row = static fn(string $document, string $kind, array $more = []): array => $more + [
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
        'serial' => '',
    ];
    $this->planning->load(array_map(StandIn::item(...), array_keys($this->world->items)), [
        'rows' => [
            $row('LOT-1', 'stock'),
            $row('PO-1', 'purchase_order'),
            $row('PO-2', 'purchase_order'),
            $row('WO-1', 'work_order', ['start' => World::day(35), 'issued' => '2']),
            $row('SO-1', 'sales_order'),
        ],
    ]);
    $this->work = function (): void {
        foreach ([FollowOrder::class, RunVerification::class, CloseIfDone::class] as $job) {
            foreach (Queue::pushed($job) as $one) {
                app()->call([$one, 'handle']);
            }
        }
    };
    $order = $this->world->signed();
    $this->world->only('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();
    ($this->work)();
    $this->order = $order;
    $this->act = fn(string $what, array $documents, array $more = [], string $as = 'tomas'): TestResponse => $this->world->only(
        $as,
        'POST',
        "/orders/{$order}/old-documents/{$what}",
        ['ids' => OldDocument::query()->whereIn('document', $documents)->pluck('id')->all()] + $more,
    );
    $this->rows = fn(): array => array_column(
        $this->world
            ->only('vera', 'GET', "/orders/{$order}/old-documents?state=all")
            ->assertOk()
            ->json('rows'),
        null,
        'document',
    );
});

afterEach(function (): void {
    $this->planning->behave('normal');
    $this->planning->stop();
});

it('is done there line by line, and what is gone is seen to', function (): void {
    ($this->act)('decision', ['PO-1', 'SO-1'], ['way' => 'change_over'])->assertOk();
    ($this->act)('decision', ['PO-2', 'WO-1'], ['way' => 'cancel', 'note' => 'Not wanted.'])->assertOk();
    ($this->act)('message', ['PO-1', 'PO-2', 'WO-1'])->assertOk();
    ($this->work)();
    $rows = ($this->rows)();
    expect($rows['PO-1']['state'])
        ->toBe('seen')
        ->and($rows['PO-2']['state'])
        ->toBe('seen')
        ->and([$rows['WO-1']['state'], $rows['WO-1']['told'], $rows['WO-1']['told_reason']])
        ->toBe(['decided', 'refused', 'WO-1 has begun: parts were issued to it.'])
        ->and([$rows['SO-1']['state'], $rows['SO-1']['told']])
        ->toBe(['decided', null]);
    $supply = array_column(
        $this->planning
            ->shown()
            ->post('/supply', ['items' => ['200-0010']])
            ->json('rows'),
        'revision',
        'document',
    );
    expect($supply)->toEqual(['LOT-1' => 'A', 'PO-1' => 'B', 'WO-1' => 'A', 'SO-1' => 'A']);
    // It is a hand-over like any other: of its order, answered, on the page of what is not accepted.
    $this->world
        ->only('tomas', 'GET', '/hand-overs')
        ->assertJsonPath('handovers.0.order', $this->order)
        ->assertJsonPath('handovers.0.refused', 1)
        ->assertJsonPath('handovers.0.reason', 'WO-1 has begun: parts were issued to it.');
    $handover = $this->world->only('vera', 'GET', "/dossiers/{$this->order}")->json('handovers.1');
    expect(array_column($handover['entries'], 'data'))
        ->toBe(['PO-1: change over to B', 'PO-2: cancel', 'WO-1: cancel'])
        ->and(DB::table('ledger')->where('act', 'order.documents_told')->count())
        ->toBe(1);
});

it(
    'does not hold the order when planning refused it and somebody has seen to it, nor ask to verify what is no structure',
    function (): void {
        Queue::assertPushed(RunVerification::class, 1);
        ($this->act)('decision', ['WO-1'], ['way' => 'cancel'])->assertOk();
        ($this->act)('message', ['WO-1'])->assertOk();
        Queue::assertPushed(RunVerification::class, 1);
        ($this->work)();
        ($this->act)('seen', ['WO-1', 'LOT-1', 'PO-1', 'PO-2', 'SO-1'], ['seen' => true, 'reason' => 'By telephone.'], 'mira')->assertOk();
        ($this->work)();
        // Nothing was loaded of planning's copy here but what was released: it is closed by itself.
        expect($this->world->state($this->order))->toBe('closed');
    },
);

it('is told once, unless planning refused it or the decision is another', function (): void {
    ($this->act)('message', ['PO-1'])
        ->assertStatus(422)
        ->assertJsonPath('errors.ids.0', 'Nobody has decided on PO-1.');
    ($this->act)('decision', ['LOT-1'], ['way' => 'run_out'])->assertOk();
    ($this->act)('message', ['LOT-1'])
        ->assertStatus(422)
        ->assertJsonPath('errors.ids.0', 'About LOT-1 planning has nothing to do.');
    $this->planning->behave('down');
    ($this->act)('decision', ['PO-1', 'WO-1'], ['way' => 'cancel'])->assertOk();
    ($this->act)('message', ['PO-1'])->assertOk();
    expect(($this->rows)()['PO-1']['told'])->toBe('waiting');
    ($this->act)('message', ['PO-1'])
        ->assertStatus(422)
        ->assertJsonPath('errors.ids.0', 'Planning was told of PO-1 already.');
    ($this->act)('decision', ['PO-1'], ['way' => 'change_over'])->assertOk();
    expect(($this->rows)()['PO-1']['told'])->toBeNull();
    $this->planning->behave('normal');
    ($this->act)('message', ['WO-1'])->assertOk();
    ($this->act)('message', ['WO-1'])->assertOk();
    expect(DB::table('handovers')->where('kind', 'documents')->count())->toBe(3);
});

it('is for those who may, and refused whole', function (): void {
    ($this->act)('decision', ['PO-1'], ['way' => 'cancel'])->assertOk();
    ($this->act)('message', ['PO-1'], as: 'vera')->assertStatus(403);
    ($this->act)('message', ['PO-1', 'PO-2'])->assertStatus(422);
    ($this->act)('message', [])->assertStatus(422)->assertJsonPath('errors.ids.0', 'Choose documents.');
    expect(DB::table('handovers')->where('kind', 'documents')->count())->toBe(0);
});
