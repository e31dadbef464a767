<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->raised = fn(array $other = [], string $by = 'jonas'): string => $this->world
        ->only($by, 'POST', '/requests', $this->world->request($other))
        ->assertOk()
        ->json('number');
    $this->propose = fn(string $request, string $by = 'jonas', array $further = []): TestResponse => $this->world->only(
        $by,
        'POST',
        "/requests/{$request}/proposal",
        ['items' => $further],
    );
    $this->approve = function (string $request): void {
        $version = fn(): int => DB::table('change_requests')->where('number', $request)->value('version');
        $this->world->only('mira', 'POST', "/requests/{$request}/finding", ['finding' => 'Feasible.', 'version' => $version()])->assertOk();
        $this->world
            ->only('mira', 'POST', "/requests/{$request}/decision", [
                'decision' => 'approved',
                'reason' => 'As proposed.',
                'version' => $version(),
            ])
            ->assertOk();
    };
    $this->dossier = fn(string $number, string $by = 'mira'): array => $this->world
        ->as($by, 'GET', "/dossiers/{$number}")
        ->assertOk()
        ->json();
    $this->quantity = fn(string $number, int $find): ?string => collect(
        $this->world
            ->as('mira', 'GET', "/orders/{$number}/items/200-0010/redline")
            ->assertOk()
            ->json('rows'),
    )->first(static fn(array $row): bool => ($row['before'] ?? $row['after'])['find'] === $find)['after']['quantity'];
});

it('is edited by its author like an order, seen before and after, and is none', function (): void {
    Http::fake(['*/supply' => Http::response(['rows' => []])]);
    $request = ($this->raised)();
    ($this->propose)($request)->assertOk();
    $this->world->edit($request, 'change', 20, ['quantity' => '4'])->assertOk();
    expect(($this->quantity)($request, 20))->toBe('4');
    $dossier = ($this->dossier)($request, 'jonas');
    expect($dossier['order'])
        ->toBeNull()
        ->and($dossier['proposals'][0])
        ->toMatchArray(['request' => $request, 'may_propose' => true, 'names_more' => false, 'left_out' => []])
        ->and(array_column($dossier['proposals'][0]['items'], 'changes'))
        ->toBe([1, 0])
        ->and(array_column($dossier['ledger'], 'act'))
        ->toContain('request.lines_proposed');
    // The board reads what a reviewer would; what it costs is told by the lines.
    $review = $this->world->as('helen', 'GET', "/orders/{$request}/review")->assertOk();
    expect($review->json('redlines.0.rows.*.mark'))->toContain('changed')->and($review->json('may_sign'))->toBeFalse();
    $this->world
        ->as('helen', 'GET', "/orders/{$request}/consequences")
        ->assertOk()
        ->assertJsonPath('lines', 1);
    expect(
        json_encode(
            $this->world
                ->as('mira', 'GET', "/requests/{$request}/money")
                ->assertOk()
                ->json(),
        ),
    )->toContain("Edits of {$request}");
    // It is in no list of orders, and nothing counts it as being revised.
    foreach (['/changes?show=all', '/desk', '/items/200-0010'] as $page) {
        expect(json_encode($this->world->as('jonas', 'GET', $page)->assertOk()->json()))->not->toContain('"proposed"');
    }
    expect($this->world->as('mira', 'GET', '/items/200-0010')->json('item.being_revised_by'))->toBe([]);
    $this->world->as('jonas', 'POST', "/orders/{$request}/items/200-0010/works/engineering/undo")->assertOk();
    expect(($this->quantity)($request, 20))->toBe('2');
});

it('becomes edits of the order, from the revision from which they were made; the proposal stays as it was', function (): void {
    $request = ($this->raised)();
    ($this->propose)($request)->assertOk();
    $this->world->edit($request, 'change', 20, ['quantity' => '4'])->assertOk();
    $this->world->edit($request, 'change', 30, ['quantity' => '8'])->assertOk();
    $this->world->as('jonas', 'POST', "/orders/{$request}/items/200-0010/works/engineering/undo")->assertOk();
    // Meanwhile something else is released: both sides meet on the order.
    World::planningTakes();
    $other = $this->world->opened();
    $this->world->edit($other, 'change', 10, ['quantity' => '0.6'])->assertOk();
    $this->world->released($other);
    ($this->approve)($request);
    $order = $this->world
        ->only('mira', 'POST', "/requests/{$request}/order")
        ->assertOk()
        ->json('number');
    expect(($this->quantity)($order, 20))->toBe('4')->and(($this->quantity)($order, 30))->toBe('6');
    $this->world
        ->only('mira', 'PATCH', "/orders/{$order}", [
            'editor' => 'edda',
            'signer' => 'helen',
            'effective_on' => World::day(60),
            'version' => $this->world->version($order),
        ])
        ->assertOk();
    foreach (['200-0010' => 'revise', '200-0040' => 'keep'] as $item => $outcome) {
        $this->world
            ->only('mira', 'PUT', "/orders/{$order}/items/{$item}", [
                'outcome' => $outcome,
                'disposition' => 'use_up',
                'version' => $this->world->version($order),
            ])
            ->assertOk();
    }
    $this->world->only('mira', 'POST', "/orders/{$order}/opening", ['version' => $this->world->version($order)])->assertOk();
    $redline = $this->world->as('edda', 'GET', "/orders/{$order}/items/200-0010/redline")->assertOk();
    expect($redline->json('base'))->toBe('A')->and($redline->json('moved_on'))->toBeTrue()->and($redline->json('may_edit'))->toBeTrue();
    $this->world->as('edda', 'POST', "/orders/{$order}/items/200-0010/works/engineering/undo")->assertOk();
    expect(($this->quantity)($order, 20))->toBe('2')->and(($this->quantity)($request, 20))->toBe('4');
});

it('names the parents in which it replaces a part, which come with it and go with it', function (): void {
    $parents = $this->world->parents(3, '600-0014', 3, 'pc');
    $request = ($this->raised)();
    ($this->propose)($request)->assertOk();
    $rows = $this->world
        ->as('jonas', 'GET', "/orders/{$request}/replacement?old=600-0014&new=200-0042")
        ->assertOk()
        ->json('rows');
    $this->world
        ->only('jonas', 'POST', "/orders/{$request}/replacement", [
            'old' => '600-0014',
            'new' => '200-0042',
            'from' => '',
            'lines' => array_map(
                static fn(array $row): array => [
                    'item' => $row['item']['number'],
                    'work' => $row['work'],
                    'line' => $row['before']['key'],
                ],
                $rows,
            ),
        ])
        ->assertOk();
    ($this->approve)($request);
    $order = $this->world
        ->only('mira', 'POST', "/requests/{$request}/order")
        ->assertOk()
        ->json('number');
    $items = fn(): array => array_column(array_column(($this->dossier)($order)['order']['items'], 'item'), 'number');
    expect($items())->toEqualCanonicalizing(['200-0010', '200-0040', ...$parents]);
    $strokes = fn(string $of): array => DB::table('edits')
        ->join('works', 'works.id', '=', 'edits.work_id')
        ->join('change_order_items AS i', 'i.id', '=', 'works.order_item_id')
        ->join('change_orders AS o', 'o.id', '=', 'i.order_id')
        ->where('o.number', $of)
        ->distinct()
        ->pluck('stroke')
        ->all();
    expect($strokes($order))->toHaveCount(1)->not->toBe($strokes($request));
    $at = fn(string $method): TestResponse => $this->world->only('mira', $method, "/orders/{$order}/requests/{$request}", [
        'version' => $this->world->version($order),
    ]);
    $at('DELETE')->assertOk();
    expect($items())->toBe([])->and($strokes($order))->toBe([])->and($strokes($request))->toHaveCount(1);
    $at('PUT')->assertOk();
    expect($items())->toHaveCount(5)->and($strokes($order))->toHaveCount(1);
});

it('says what of it was left out because another request proposes otherwise', function (): void {
    $requests = [];
    foreach (['4', '5'] as $quantity) {
        $requests[] = $request = ($this->raised)();
        ($this->propose)($request)->assertOk();
        $this->world->edit($request, 'change', 20, ['quantity' => $quantity])->assertOk();
        ($this->approve)($request);
    }
    $order = $this->world
        ->only('mira', 'POST', '/orders', [
            'title' => 'Both',
            'description' => '',
            'priority' => 'low',
            'items' => [],
            'requests' => $requests,
        ])
        ->assertOk()
        ->json('number');
    expect(($this->quantity)($order, 20))
        ->toBe('4')
        ->and(array_column(($this->dossier)($order)['proposals'], 'left_out', 'request'))
        ->toBe([$requests[0] => [], $requests[1] => ['200-0010 engineering']]);
    // Of what was left out, somebody decides line by line in an order that is open.
    $open = $this->world->opened();
    $this->world->edit($open, 'change', 20, ['quantity' => '3'])->assertOk();
    $to = urlencode('200-0010 engineering>200-0010 engineering');
    $row = $this->world
        ->as('jonas', 'GET', "/orders/{$requests[1]}/transfer?into={$open}&to={$to}")
        ->assertOk()
        ->json('rows.0');
    expect([$row['fit'], $row['reason']])->toBe(['differs', 'Quantity 3 in place of 2.']);
    $this->world
        ->only('jonas', 'POST', "/orders/{$requests[1]}/transfer", [
            'into' => $open,
            'to' => '200-0010 engineering>200-0010 engineering',
            'decisions' => [['row' => $row['key'], 'taken' => true]],
        ])
        ->assertOk();
    expect(($this->quantity)($open, 20))->toBe('5');
    // The first goes: what the second proposes has room now.
    $this->world
        ->only('mira', 'DELETE', "/orders/{$order}/requests/{$requests[0]}", ['version' => $this->world->version($order)])
        ->assertOk();
    expect(($this->quantity)($order, 20))
        ->toBe('5')
        ->and(array_column(($this->dossier)($order)['proposals'], 'left_out'))
        ->toBe([[]]);
});

it('is said by who raised it and by coordinators, until the board has decided', function (): void {
    $request = ($this->raised)(by: 'tomas');
    ($this->propose)($request, 'jonas')
        ->assertStatus(422)
        ->assertJsonPath('errors.request.0', "Only who raised {$request} or a coordinator says what it proposes.");
    ($this->propose)($request, 'vera')->assertForbidden();
    ($this->propose)($request, 'tomas')->assertOk();
    ($this->propose)($request, 'tomas')->assertStatus(422);
    $this->world->edit($request, 'change', 20, ['quantity' => '4'], 'tomas')->assertOk();
    $this->world->edit($request, 'change', 20, ['quantity' => '5'], 'jonas')->assertStatus(422);
    $this->world->edit($request, 'change', 20, ['quantity' => '5'], 'mira')->assertOk();
    // It is no order: nobody opens, reviews or signs it.
    foreach (['opening', 'review', 'withdrawal'] as $act) {
        $this->world->as('mira', 'POST', "/orders/{$request}/{$act}", ['version' => 1, 'reason' => 'No.'])->assertStatus(422);
    }
    $this->world
        ->as('mira', 'DELETE', "/requests/{$request}/proposal")
        ->assertStatus(422)
        ->assertJsonPath('errors.request.0', 'Lines have been edited in it: it stays on record. Undo takes edits back.');
    ($this->approve)($request);
    $this->world
        ->edit($request, 'change', 20, ['quantity' => '6'], 'tomas')
        ->assertStatus(422)
        ->assertJsonPath('errors.editor.0', "{$request} is decided or has an order: what it proposes stays as it is.");
    expect(($this->quantity)($request, 20))->toBe('5');
});

it('opens further items, and is dropped as long as nothing is edited', function (): void {
    $request = ($this->raised)(['items' => ['200-0010']]);
    ($this->propose)($request)->assertOk();
    foreach (['200-9999' => 'There is no item 200-9999', '200-0010' => 'It is open for the proposal already.'] as $item => $why) {
        expect(($this->propose)($request, further: [$item])->assertStatus(422)->json('errors.items.0'))->toContain($why);
    }
    ($this->propose)($request, further: ['200-0001'])->assertOk();
    expect(array_column(array_column(($this->dossier)($request)['proposals'][0]['items'], 'item'), 'number'))->toBe([
        '200-0010',
        '200-0001',
    ]);
    $this->world->as('jonas', 'DELETE', "/requests/{$request}/proposal")->assertOk();
    expect(DB::table('change_orders')->count())->toBe(0);
    $this->world->as('jonas', 'DELETE', "/requests/{$request}/proposal")->assertStatus(422);
});
