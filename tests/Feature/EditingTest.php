<?php

declare(strict_types=1);

use App\Orders\Actions\EditStructure;
use App\Orders\Models\EditRecord;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Orthotaxis\Core\Edit\EditOperation;
use Orthotaxis\Core\Edit\LineEdit;
use Tests\Feature\Support\World;

beforeEach(fn() => ($this->world = new World($this)));

it('shows before and after in one table', function (): void {
    $order = $this->world->opened();
    $this->world->edit($order, 'replace', 10, ['component' => '200-0041', 'notes' => 'wall 2.4 mm'])->assertOk();
    $this->world->edit($order, 'change', 20, ['quantity' => '4', 'find' => '25'])->assertOk();
    $this->world->edit($order, 'remove', 30)->assertOk();
    $rows = $this->world
        ->edit($order, 'add', 0, ['find' => '40', 'component' => '710-0001', 'quantity' => '2.5', 'unit' => 'g', 'not_modelled' => 'yes'])
        ->assertOk()
        ->assertJsonPath('base', 'A')
        ->assertJsonPath('becomes', 'B')
        ->assertJsonPath('seen', 4)
        ->json('rows');
    expect(array_column($rows, 'mark'))
        ->toBe(['replaced', 'changed', 'removed', 'added'])
        ->and($rows[0]['before']['component'])
        ->toBe('200-0040')
        ->and($rows[0]['after']['component'])
        ->toBe('200-0041')
        ->and($rows[0]['fields'])
        ->toBe(['component', 'notes'])
        ->and($rows[0]['edited_by'])
        ->toBe('Jonas')
        ->and($rows[3]['after']['not_modelled'])
        ->toBeTrue()
        ->and($rows[3]['after']['quantity'])
        ->toBe('2.5');
    // The released structure itself is untouched.
    expect(
        array_column(array_column($this->world->as('vera', 'GET', '/items/200-0010/structure')->json('rows'), 'line'), 'component'),
    )->toBe(['200-0040', '200-0042', '600-0014']);
});

it('undoes and redoes, one edit after another; what is done anew ends redoing', function (): void {
    $order = $this->world->opened();
    $turn = fn(string $which) => $this->world->as('jonas', 'POST', "/orders/{$order}/items/200-0010/works/engineering/{$which}");
    $quantity = fn($answer): array => array_map(fn(array $row): ?string => $row['after']['quantity'] ?? null, $answer->json('rows'));
    $this->world->edit($order, 'change', 20, ['quantity' => '4'])->assertOk();
    $this->world->edit($order, 'change', 20, ['quantity' => '5'])->assertOk();
    expect($quantity($turn('undo')->assertOk()))
        ->toBe(['0.5', '4', '6'])
        ->and($quantity($turn('undo')->assertOk()))
        ->toBe(['0.5', '2', '6'])
        ->and($quantity($turn('redo')->assertOk()))
        ->toBe(['0.5', '4', '6']);
    $this->world
        ->edit($order, 'change', 30, ['quantity' => '8'])
        ->assertOk()
        ->assertJsonPath('can_redo', false);
    $turn('redo')->assertStatus(422)->assertJsonValidationErrors('edits');
    // Nothing is forgotten: what was withdrawn is still on record.
    expect(EditRecord::query()->count())->toBe(3);
    $turn('undo')->assertOk();
    $turn('undo')->assertOk();
    $turn('undo')->assertStatus(422);
});

it('loses nobody\'s work when two save the same line: the later is told and shown both', function (): void {
    $order = $this->world->opened();
    $this->world->edit($order, 'change', 20, ['quantity' => '4'])->assertOk();
    DB::table('change_orders')
        ->where('number', $order)
        ->update(['editor_id' => $this->world->people['edda']->id]);
    // Edda still has the state before Jonas's edit on her screen.
    $this->world
        ->edit($order, 'change', 20, ['quantity' => '3'], by: 'edda', seen: 0)
        ->assertStatus(409)
        ->assertJsonPath('theirs.quantity', '4')
        ->assertJsonPath('message', 'Jonas changed this line meanwhile. Yours was not saved; both are shown.');
    $this->world->edit($order, 'remove', 20, by: 'edda', seen: 0)->assertStatus(409);
    // Another field of that line, and another line, are no conflict.
    $this->world->edit($order, 'change', 20, ['notes' => 'twist'], by: 'edda', seen: 0)->assertOk();
    $this->world->edit($order, 'change', 30, ['quantity' => '8'], by: 'edda', seen: 0)->assertOk();
    // Once seen, it may be changed.
    $this->world->edit($order, 'change', 20, ['quantity' => '3'], by: 'edda')->assertOk();
});

it('loses nobody\'s work when two save the same order or request', function (): void {
    $order = $this->world->order();
    $this->world->as('mira', 'PATCH', "/orders/{$order}", ['title' => 'Thicker tube', 'version' => 1])->assertOk();
    $this->world->as('mira', 'PATCH', "/orders/{$order}", ['title' => 'Other tube', 'version' => 1])->assertStatus(409);
    $this->world->as('jonas', 'POST', '/requests', $this->world->request())->assertOk();
    $this->world->as('mira', 'POST', '/requests/ECR-00002/finding', ['finding' => 'One.', 'version' => 1])->assertOk();
    $this->world->as('mira', 'POST', '/requests/ECR-00002/finding', ['finding' => 'Two.', 'version' => 1])->assertStatus(409);
    expect(DB::table('change_requests')->where('number', 'ECR-00002')->value('finding'))->toBe('One.');
});

it('keeps an item with edits on its order until they are undone', function (): void {
    $order = $this->world->opened();
    $this->world->edit($order, 'change', 20, ['quantity' => '4'])->assertOk();
    $this->world->as('mira', 'DELETE', "/orders/{$order}/items/200-0010", ['version' => $this->world->version($order)])->assertStatus(422);
    $this->world
        ->as('mira', 'PUT', "/orders/{$order}/items/200-0010", [
            'outcome' => 'keep',
            'disposition' => 'hold',
            'version' => $this->world->version($order),
        ])
        ->assertStatus(422);
    $this->world->as('jonas', 'POST', "/orders/{$order}/items/200-0010/works/engineering/undo")->assertOk();
    $this->world->as('mira', 'DELETE', "/orders/{$order}/items/200-0010", ['version' => $this->world->version($order)])->assertOk();
});

it('brings in what another order has released meanwhile, when it is not the same', function (): void {
    World::planningTakes();
    $second = $this->world->opened();
    $this->world->edit($second, 'change', 30, ['quantity' => '8'])->assertOk();
    $first = $this->world->signed();
    $this->world->as('mira', 'GET', "/dossiers/{$second}")->assertJsonPath('collisions.0.order', $first);
    $this->world->as('mira', 'POST', "/orders/{$first}/release", ['version' => $this->world->version($first)])->assertOk();

    $this->world
        ->as('mira', 'PATCH', "/orders/{$second}", ['effective_on' => World::day(60), 'version' => $this->world->version($second)])
        ->assertOk();
    $this->world
        ->as('jonas', 'POST', "/orders/{$second}/review", ['version' => $this->world->version($second)])
        ->assertStatus(422)
        ->assertJsonValidationErrors(['items' => 'is at revision B by now']);
    $this->world
        ->as('jonas', 'POST', "/orders/{$second}/items/200-0010/works/engineering/newer")
        ->assertOk()
        ->assertJsonPath('base', 'B')
        ->assertJsonPath('becomes', 'C')
        ->assertJsonPath('moved_on', false)
        ->assertJsonPath('rows.0.after.component', '200-0041');
    $this->world->as('jonas', 'POST', "/orders/{$second}/review", ['version' => $this->world->version($second)])->assertOk();
});

it('brings back a line that another order took out and this one changed, where this one is kept', function (): void {
    World::planningTakes();
    $second = $this->world->opened();
    $this->world->edit($second, 'change', 30, ['quantity' => '8'])->assertOk();
    $this->world->edit($second, 'change', 20, ['quantity' => '5'])->assertOk();
    $first = $this->world->signed('remove', 30, []);
    $this->world->as('mira', 'POST', "/orders/{$first}/release", ['version' => $this->world->version($first)])->assertOk();
    $works = "/orders/{$second}/items/200-0010/works/engineering/newer";
    $newer = $this->world->only('jonas', 'GET', $works)->assertOk()->json();
    expect($newer['conflicts'])->toHaveCount(1);
    $merge = fn(string $choice): TestResponse => $this->world->only('jonas', 'POST', $works, [
        'choices' => [['conflict' => $newer['conflicts'][0]['key'], 'choice' => $choice]],
    ]);
    $merge('mine')->assertOk();
    $rows = array_column($this->world->only('jonas', 'GET', "/orders/{$second}/items/200-0010/redline")->json('rows'), null, 'mark');
    expect([$rows['added']['after']['find'], $rows['added']['after']['component'], $rows['added']['after']['quantity']])
        ->toBe([30, '600-0014', '8'])
        ->and($rows['changed']['after']['quantity'])
        ->toBe('5');
    // What was done last is undone first: the clamps; then the line that came back.
    foreach ([['unchanged', 'unchanged', 'added'], ['unchanged', 'unchanged']] as $marks) {
        $this->world->only('jonas', 'POST', "/orders/{$second}/items/200-0010/works/engineering/undo")->assertOk();
        $rows = $this->world->only('jonas', 'GET', "/orders/{$second}/items/200-0010/redline")->json('rows');
        expect(array_column($rows, 'mark'))->toBe($marks);
    }
});

it('makes several edits together or none, and names each place that cannot be so', function (): void {
    $order = $this->world->opened();
    $rows = collect($this->world->as('jonas', 'GET', "/orders/{$order}/items/200-0010/redline")->json('rows'))->pluck('key', 'after.find');
    $together = fn(array $edits, int $seen = 0) => $this->world->as('jonas', 'POST', "/orders/{$order}/items/200-0010/edits-together", [
        'edits' => $edits,
        'seen' => $seen,
    ]);
    $change = ['operation' => 'change', 'line' => $rows[20], 'fields' => ['quantity' => '4']];
    $together([
        $change,
        ['operation' => 'replace', 'line' => $rows[10], 'fields' => ['component' => '999']],
        ['operation' => 'add', 'line' => '', 'fields' => ['find' => '40', 'component' => '710-0001', 'quantity' => 'much']],
    ])
        ->assertStatus(422)
        ->assertJsonPath('errors', fn(array $errors): bool => array_keys($errors) === ['edits.1.component', 'edits.2.quantity']);
    expect($this->world->as('jonas', 'GET', "/orders/{$order}/items/200-0010/redline")->json('seen'))->toBe(0);
    // A new line is counted in the unit of its component.
    $together([$change, ['operation' => 'add', 'line' => '', 'fields' => ['find' => '40', 'component' => '710-0001', 'quantity' => '2.5']]])
        ->assertOk()
        ->assertJsonPath('rows.1.after.quantity', '4')
        ->assertJsonPath('rows.3.after.unit', 'g');
    $this->world
        ->as('edda', 'POST', "/orders/{$order}/items/200-0010/edits-together", ['edits' => [$change], 'seen' => 2])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['editor']]);
    $together([['operation' => 'change', 'line' => $rows[20], 'fields' => ['quantity' => '5']]], 0)->assertStatus(409);
    $together([])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['edits']]);
    $together([['operation' => 'change', 'line' => $rows[20], 'fields' => ['colour' => 'red']]])->assertStatus(422);
});

it('makes many edits in a fixed number of queries, and one record of the ledger', function (): void {
    $order = $this->world->opened();
    $add = fn(int $from, int $count): array => array_map(
        static fn(int $at): array => [
            'operation' => 'add',
            'line' => '',
            'fields' => ['find' => (string) $at, 'component' => '600-0014', 'quantity' => '1'],
        ],
        range($from, $from + $count - 1),
    );
    $queries = function (array $edits, int $seen) use ($order): int {
        $this->actingAs($this->world->people['jonas']);
        $count = 0;
        DB::listen(static function () use (&$count): void {
            $count++;
        });
        app(EditStructure::class)->makeSeveral(
            $this->world->people['jonas'],
            $order,
            '200-0010',
            array_map(
                static fn(array $edit): LineEdit => EditOperation::from($edit['operation'])->of($edit['line'], $edit['fields']),
                $edits,
            ),
            $seen,
        );

        return $count;
    };
    $queries($add(100, 1), 0);
    $few = $queries($add(110, 1), 1);
    $records = DB::table('ledger')->count();
    expect($queries($add(200, 400), 2))
        ->toBe($few)
        ->and(DB::table('ledger')->count())
        ->toBe($records + 1);
    $record = DB::table('ledger')->orderByDesc('number')->first();
    expect($record->act)
        ->toBe('structure.edited_together')
        ->and(json_decode($record->details, true))
        ->toMatchArray(['item' => '200-0010', 'edits' => 400, 'first' => 3, 'last' => 402]);
    $page = $this->world->as('jonas', 'GET', "/orders/{$order}/items/200-0010/redline")->assertOk();
    expect($page->json('rows'))->toHaveCount(405)->and($page->json('seen'))->toBe(402);
    $this->artisan('ledger:verify')->assertSuccessful();
    // What was made at one stroke is taken back at one, and brought again.
    $this->world
        ->as('jonas', 'POST', "/orders/{$order}/items/200-0010/works/engineering/undo")
        ->assertOk()
        ->assertJsonCount(5, 'rows');
    $this->world
        ->as('jonas', 'POST', "/orders/{$order}/items/200-0010/works/engineering/redo")
        ->assertOk()
        ->assertJsonCount(405, 'rows');
});
