<?php

declare(strict_types=1);

use App\Orders\Models\EditRecord;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    foreach (['Tarn', 'Weir'] as $plant) {
        $this->world->built('200-0010', $plant, [[30, '600-0014', 6, 'pc', 10]]);
    }
    // Siblings with three screws, none with a tube.
    $this->siblings = $this->world->parents(2, '600-0014', 6, 'pc');
    $this->order = $this->world->opened();
    $this->world->edit($this->order, 'replace', 30, ['component' => '200-0042'])->assertOk();
    $this->world->edit($this->order, 'change', 10, ['notes' => 'cut square'])->assertOk();
    $this->to = implode(',', array_map(static fn(string $one): string => "200-0010 engineering>{$one} engineering", $this->siblings));
    $this->page = fn(string $to, string $into = '', string $by = 'mira'): TestResponse => $this->world->only(
        $by,
        'GET',
        "/orders/{$this->order}/transfer?" . http_build_query(['to' => $to, 'into' => $into]),
    );
    $this->carry = fn(string $to, array $decisions = [], ?string $into = null, string $by = 'mira'): TestResponse => $this->world->only(
        $by,
        'POST',
        "/orders/{$this->order}/transfer",
        [
            'into' => $into ?? $this->order,
            'to' => $to,
            'decisions' => array_map(
                static fn(string $row, bool $taken): array => ['row' => $row, 'taken' => $taken],
                array_keys($decisions),
                $decisions,
            ),
        ],
    );
});

it('shows for each edit and sibling whether it fits, and why not', function (): void {
    $page = ($this->page)($this->to)->assertOk();
    expect(
        array_map(
            static fn(array $row): string => explode('>', $row['key'])[1] === '' ? '' : "{$row['target']}: {$row['fit']} {$row['reason']}",
            $page->json('rows'),
        ),
    )
        ->toBe([
            '300-0001 engineering: none It has no 200-0040.',
            '300-0001 engineering: fits ',
            '300-0002 engineering: none It has no 200-0040.',
            '300-0002 engineering: fits ',
        ])
        ->and($page->json('sources.0'))
        ->toMatchArray(['item' => '200-0010', 'work' => 'engineering', 'changes' => 2])
        ->and($page->json('may_transfer'))
        ->toBeNull()
        ->and($page->json('log'))
        ->toBe([]);
});

it('carries them over in one act, and each edit knows where it came from', function (): void {
    $stroke = ($this->carry)($this->to)->assertOk()->json('stroke');
    foreach ($this->siblings as $sibling) {
        $this->world
            ->as('jonas', 'GET', "/orders/{$this->order}/items/{$sibling}/redline")
            ->assertJsonPath('rows.0.mark', 'replaced')
            ->assertJsonPath('rows.0.after.component', '200-0042');
    }
    $log = ($this->page)('')->json('log.0');
    expect([$log['from'], $log['into'], $log['by'], $log['stroke']])
        ->toBe([$this->order, $this->order, 'Mira', $stroke])
        ->and(array_column($log['rows'], 'taken'))
        ->toBe([false, true, false, true])
        ->and($log['rows'][1]['what'])
        ->toBe('600-0014 replaced by 200-0042')
        ->and(EditRecord::query()->where('stroke', $stroke)->count())
        ->toBe(2)
        ->and(DB::table('ledger')->where('act', 'order.edits_transferred')->count())
        ->toBe(1);
    // Again there is nothing left to carry.
    expect(array_column(($this->page)($this->to)->json('rows'), 'fit'))->toBe(['none', 'already', 'none', 'already']);
    ($this->carry)($this->to)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['rows']]);
    $this->world->only('mira', 'POST', "/orders/{$this->order}/strokes/{$stroke}/undo")->assertOk();
    expect(array_column(($this->page)($this->to)->json('rows'), 'fit'))->toBe(['none', 'fits', 'none', 'fits']);
    // What was done stays on record all the same.
    expect(($this->page)('')->json('log'))->toHaveCount(1);
    DB::table('transfers')->update(['rows' => '[]']);
})->throws('stays on record');

it('does nothing before every row that does not simply fit is decided', function (): void {
    DB::statement("SELECT set_config('session_replication_role', 'replica', true)");
    DB::table('structure_lines')
        ->where('component_id', $this->world->items['600-0014'])
        ->where('quantity', 6_000_000)
        ->where('find', 10)
        ->update(['quantity' => 4_000_000]);
    DB::statement("SELECT set_config('session_replication_role', 'origin', true)");
    $rows = ($this->page)($this->to)->json('rows');
    expect($rows[1]['fit'])->toBe('differs')->and($rows[1]['reason'])->toBe('Quantity 4 in place of 6.');
    $errors = ($this->carry)($this->to)->assertStatus(422)->json('errors');
    expect($errors)
        ->toHaveCount(2)
        ->toHaveKey("rows.{$rows[1]['key']}");
    expect(EditRecord::query()->whereNotNull('stroke')->count())->toBe(0);
    ($this->carry)($this->to, [$rows[1]['key'] => true, $rows[3]['key'] => false])->assertOk();
    $this->world->as('jonas', 'GET', "/orders/{$this->order}/items/300-0001/redline")->assertJsonPath('rows.0.after.quantity', '4');
    expect(DB::table('change_order_items')->count())->toBe(3);
});

it('goes from plant to plant, and into another order', function (): void {
    $line = $this->world->as('jonas', 'GET', "/orders/{$this->order}/items/200-0010/plants/Weir/redline")->json('rows.0.key');
    $this->world
        ->only('jonas', 'POST', "/orders/{$this->order}/items/200-0010/plants/Weir/edits", [
            'edits' => [['edit' => 'change', 'part' => $line, 'fields' => ['quantity' => '5']]],
            'seen' => 0,
        ])
        ->assertOk();
    $to = '200-0010 manufacturing:Weir>200-0010 manufacturing:Tarn';
    expect(($this->page)($to)->json('rows.0.does'))->toBe('quantity 5');
    ($this->carry)($to)->assertOk();
    $this->world
        ->as('jonas', 'GET', "/orders/{$this->order}/items/200-0010/plants/Tarn/redline")
        ->assertJsonPath('rows.0.after.quantity', '5');
    $other = $this->world->opened();
    ($this->carry)($this->to, into: $other)->assertOk();
    expect(($this->page)('', $other)->json('into'))
        ->toBe($other)
        ->and($this->world->as('jonas', 'GET', "/orders/{$other}/items/300-0001/redline")->json('rows.0.after.component'))
        ->toBe('200-0042');
});

it('refuses what is no way, and who may not', function (): void {
    foreach (
        [
            '200-0010 engineering' => 'to',
            '200-0010 engineering>200-0010 engineering' => 'to',
            '200-0010 engineering>200-0010 manufacturing:Weir' => 'to',
            '200-0010 engineering>NONE engineering' => 'to',
            '200-0001 engineering>300-0001 engineering' => 'to',
            '200-0010 engineering>200-0099 engineering' => 'to',
        ]
        as $to => $place
    ) {
        ($this->page)($to)
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => [$place]]);
    }
    ($this->page)($this->to, 'ECO-99999')->assertJsonStructure(['errors' => ['into']]);
    ($this->carry)($this->to, by: 'vera')->assertForbidden();
    ($this->carry)($this->to, by: 'edda')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['editor']]);
    // The editor names no further items.
    ($this->carry)($this->to, by: 'jonas')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['items.300-0001']]);
});
