<?php

declare(strict_types=1);

use App\Orders\Models\EditRecord;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->world->built('200-0010', 'Weir', [[10, '200-0040', 0.5, 'm', 10], [30, '600-0014', 6, 'pc', 20]], function (int $content): void {
        DB::table('routings')->insert(['content_id' => $content, 'batch' => 5_000_000]);
        foreach ([10, 20] as $number) {
            DB::table('operations')->insert([
                'content_id' => $content,
                'key' => (string) Str::uuid7(),
                'work_centre' => 'PUMP',
                'number' => $number,
                'title' => "Operation {$number}",
            ]);
        }
    });
    $this->parents = $this->world->parents(40, '600-0014', 3, 'pc');
    $this->order = $this->world->opened();
    $this->world
        ->only('mira', 'POST', "/orders/{$this->order}/items", [
            'items' => $this->parents,
            'version' => $this->world->version($this->order),
        ])
        ->assertOk();
    $this->page = fn(string $by = 'jonas'): array => $this->world->worksheet($by, $this->order);
    $this->edit = function (array $edits, string $by = 'jonas', ?array $page = null): TestResponse {
        $page ??= ($this->page)();

        return $this->world->only($by, 'POST', "/orders/{$this->order}/worksheet", [
            'edits' => array_map(
                static fn(array $edit): array => [
                    'item' => $page['subjects'][$edit['row']['subject']]['item'],
                    'work' => $page['subjects'][$edit['row']['subject']]['work'],
                    'operation' => $edit['operation'] ?? 'change',
                    'line' => ($edit['operation'] ?? '') === 'add' ? '' : $edit['row']['line']['key'],
                    'fields' => (object) ($edit['fields'] ?? []),
                ],
                $edits,
            ),
            'seen' => array_map(
                static fn(array $one): array => ['item' => $one['item'], 'work' => $one['work'], 'seen' => $one['seen']],
                $page['subjects'],
            ),
        ]);
    };
    $this->of = fn(string $component): array => array_values(
        array_filter(($this->page)()['rows'], static fn(array $row): bool => $row['line']['component'] === $component),
    );
});

it('has all lines of all subjects, engineering and plants', function (): void {
    $page = ($this->page)();
    expect(array_map(static fn(array $one): string => "{$one['item']} {$one['work']}", array_slice($page['subjects'], 0, 3)))
        ->toBe(['200-0010 engineering', '200-0010 manufacturing:Weir', '300-0001 engineering'])
        ->and($page['rows'])
        ->toHaveCount(3 + 2 + 40)
        ->and($page['may_edit'])
        ->toBeTrue()
        ->and(array_column($page['items'], 'title', 'number')['600-0014'])
        ->toBe('Screw')
        ->and(($this->page)('helen')['may_edit'])
        ->toBeFalse();
});

it('comes in parts, items whole and in their order, and is read of single items as well', function (): void {
    $ask = fn(string $query): TestResponse => $this->world->only('jonas', 'GET', "/orders/{$this->order}/worksheet{$query}");
    $first = $ask('')->assertOk();
    $next = $first->json('next');
    $rest = $ask("?from={$next}")
        ->assertOk()
        ->assertJsonPath('next', null);
    $items = static fn(TestResponse $of): array => array_values(array_unique(array_column($of->json('subjects'), 'item')));
    expect(count($items($first)))
        ->toBeGreaterThan(20)
        ->toBeLessThan(31)
        ->and([...$items($first), ...$items($rest)])
        ->toBe(['200-0010', ...$this->parents])
        ->and($first->json('items_in_all'))
        ->toBe(DB::table('change_order_items')->count())
        // Each part names all that stands in it.
        ->and(
            array_diff(array_column(array_column($rest->json('rows'), 'line'), 'component'), array_column($rest->json('items'), 'number')),
        )
        ->toBe([]);
    $some = $ask("?items={$this->parents[35]},{$this->parents[2]}")
        ->assertOk()
        ->assertJsonPath('next', null);
    expect($items($some))
        ->toBe([$this->parents[2], $this->parents[35]])
        ->and($some->json('rows'))
        ->toHaveCount(2);
    $ask('?items=600-9999')->assertOk()->assertJsonPath('rows', []);
    $ask('?from=x')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['from']]);
});

it('says at which items something was undone', function (): void {
    $rows = array_slice(($this->of)('600-0014'), 4, 3);
    ($this->edit)(array_map(static fn(array $row): array => ['row' => $row, 'fields' => ['quantity' => '9']], $rows))->assertOk();
    $items = array_map(fn(array $row): string => ($this->page)()['subjects'][$row['subject']]['item'], $rows);
    foreach (['undo', 'redo'] as $turn) {
        $this->world
            ->only('jonas', 'POST', "/orders/{$this->order}/{$turn}")
            ->assertOk()
            ->assertJsonPath('items', $items);
    }
});

it('edits forty parents in one act and one undo, and says who did it', function (): void {
    $rows = ($this->of)('600-0014');
    $stroke = ($this->edit)(array_map(static fn(array $row): array => ['row' => $row, 'fields' => ['quantity' => '8']], $rows))
        ->assertOk()
        ->json('stroke');
    $now = ($this->of)('600-0014');
    expect(array_unique(array_column(array_column($now, 'line'), 'quantity')))
        ->toBe(['8'])
        ->and(array_unique(array_column($now, 'mark')))
        ->toBe(['changed'])
        ->and($now[0]['before']['quantity'])
        ->toBe('6')
        ->and(array_unique(array_column($now, 'edited_by')))
        ->toBe(['Jonas'])
        ->and(EditRecord::query()->where('stroke', $stroke)->count())
        ->toBe(42)
        ->and(DB::table('ledger')->where('act', 'order.edited_together')->count())
        ->toBe(1);
    $this->world->only('jonas', 'POST', "/orders/{$this->order}/undo")->assertOk();
    expect(array_unique(array_column(($this->of)('600-0014'), 'mark')))->toBe(['unchanged']);
    $this->world->only('jonas', 'POST', "/orders/{$this->order}/redo")->assertOk();
    expect(array_unique(array_column(($this->of)('600-0014'), 'mark')))->toBe(['changed']);
    $this->world
        ->only('jonas', 'POST', "/orders/{$this->order}/redo")
        ->assertStatus(422)
        ->assertJsonPath('errors.edits.0', 'There is nothing to redo.');
});

it('undoes what was done last, to whichever subject', function (): void {
    $rows = ($this->of)('600-0014');
    ($this->edit)([['row' => $rows[2], 'fields' => ['quantity' => '4']]])->assertOk();
    $this->world->edit($this->order, 'change', 20, ['quantity' => '4'])->assertOk();
    ($this->edit)([['row' => $rows[3], 'operation' => 'remove']])->assertOk();
    $marks = fn(): array => array_count_values(array_column(($this->page)()['rows'], 'mark'));
    expect($marks())->toBe(['unchanged' => 42, 'changed' => 2, 'removed' => 1]);
    foreach ([['unchanged' => 43, 'changed' => 2], ['unchanged' => 44, 'changed' => 1], ['unchanged' => 45]] as $left) {
        $this->world->only('jonas', 'POST', "/orders/{$this->order}/undo")->assertOk();
        expect($marks())->toEqual($left);
    }
    $this->world->only('jonas', 'POST', "/orders/{$this->order}/undo")->assertStatus(422);
});

it('does again first what was undone last, also where both were undone within a second', function (): void {
    $rows = ($this->of)('600-0014');
    ($this->edit)([['row' => $rows[2], 'fields' => ['quantity' => '4']]])->assertOk();
    $this->world->only('jonas', 'POST', "/orders/{$this->order}/undo")->assertOk();
    ($this->edit)([['row' => $rows[3], 'fields' => ['quantity' => '7']]])->assertOk();
    $this->world->only('jonas', 'POST', "/orders/{$this->order}/undo")->assertOk();
    $changed = fn(): array => array_column(
        array_map(
            static fn(array $row): array => $row['line'],
            array_filter(($this->page)()['rows'], static fn(array $row): bool => $row['mark'] === 'changed'),
        ),
        'quantity',
    );
    foreach ([['7'], ['4', '7']] as $again) {
        $this->world->only('jonas', 'POST', "/orders/{$this->order}/redo")->assertOk();
        expect($changed())->toEqualCanonicalizing($again);
    }
});

it('adds, removes and replaces lines of several subjects together', function (): void {
    $rows = ($this->of)('600-0014');
    ($this->edit)([
        ['row' => $rows[2], 'operation' => 'add', 'fields' => ['find' => '20', 'component' => '710-0001', 'quantity' => '2']],
        ['row' => $rows[1], 'operation' => 'change', 'fields' => ['operation' => '10']],
        ['row' => $rows[3], 'operation' => 'remove'],
        ['row' => $rows[4], 'operation' => 'replace', 'fields' => ['component' => '200-0042']],
    ])->assertOk();
    $marks = array_count_values(array_column(($this->page)()['rows'], 'mark'));
    expect($marks)->toEqual(['unchanged' => 42, 'changed' => 1, 'removed' => 1, 'replaced' => 1, 'added' => 1]);
    $added = collect(($this->page)()['rows'])->firstWhere('mark', 'added');
    // Counted in the unit of its component where nobody says otherwise.
    expect([$added['line']['component'], $added['line']['unit']])->toBe(['710-0001', 'g']);
});

it('saves nothing for one bad cell, and marks each', function (): void {
    $rows = ($this->of)('600-0014');
    ($this->edit)([
        ['row' => $rows[0], 'fields' => ['quantity' => '8']],
        ['row' => $rows[2], 'fields' => ['quantity' => '1.5']],
        ['row' => $rows[3], 'operation' => 'replace', 'fields' => ['component' => '600-0041']],
        ['row' => $rows[1], 'fields' => ['operation' => '77']],
    ])
        ->assertStatus(422)
        ->assertJsonPath(
            'errors',
            fn(array $errors): bool => array_diff(['edits.1.quantity', 'edits.2.component', 'edits.3.operation'], array_keys($errors)) ===
                [] && count($errors) === 3,
        );
    ($this->edit)([['row' => $rows[0], 'fields' => ['operation' => '10']]])
        ->assertStatus(422)
        ->assertJsonPath('errors', fn(array $errors): bool => $errors['edits.0.operation'] === ['Only a plant says this of a line.']);
    expect(EditRecord::query()->count())->toBe(0);
});

it('never lays one over what another has done meanwhile', function (): void {
    $page = ($this->page)();
    $rows = ($this->of)('600-0014');
    ($this->edit)([['row' => $rows[0], 'fields' => ['quantity' => '8']]])->assertOk();
    ($this->edit)([['row' => $rows[2], 'fields' => ['quantity' => '4']], ['row' => $rows[0], 'fields' => ['quantity' => '7']]], page: $page)
        ->assertStatus(409)
        ->assertJsonPath('message', 'Jonas changed a line of 200-0010 meanwhile. Nothing was saved; look at it again.');
    expect(EditRecord::query()->count())->toBe(1);
    // Another field of the same line is no quarrel.
    ($this->edit)([['row' => $rows[0], 'fields' => ['notes' => 'torque 2 Nm']]], page: $page)->assertOk();
});

it('is edited by the person named on the order alone, while it is open', function (): void {
    $rows = ($this->of)('600-0014');
    $edits = [['row' => $rows[0], 'fields' => ['quantity' => '8']]];
    ($this->edit)($edits, 'edda')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['editor']]);
    ($this->edit)($edits, 'vera')->assertForbidden();
    ($this->edit)($edits, 'mira')->assertStatus(422);
    ($this->edit)($edits)->assertOk();
    $this->world->only('vera', 'POST', "/orders/{$this->order}/undo")->assertForbidden();
    $this->world->only('edda', 'POST', "/orders/{$this->order}/undo")->assertStatus(422);
});

it('asks the database as often for forty parents as for one', function (): void {
    $count = function (Closure $do): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        $do();
        $asked = count(DB::getQueryLog());
        DB::disableQueryLog();

        return $asked;
    };
    $rows = ($this->of)('600-0014');
    $page = ($this->page)();
    $edits = static fn(array $some, string $quantity): array => array_map(
        static fn(array $row): array => ['row' => $row, 'fields' => ['quantity' => $quantity]],
        $some,
    );
    $one = $count(fn() => ($this->edit)($edits(array_slice($rows, 2, 1), '5'), page: $page)->assertOk());
    expect($count(fn() => ($this->edit)($edits(array_slice($rows, 3), '5'), page: $page)->assertOk()))
        ->toBeLessThanOrEqual($one + 2)
        ->and($count(fn() => ($this->page)()))
        ->toBeLessThan(40);
});

it('is what it was before after undoing anything, in any order of acts, and what it was after doing it again', function (int $seed): void {
    mt_srand($seed);
    $read = function (): array {
        $page = ($this->page)();
        $rows = array_map(
            static fn(array $row): string => implode(' ', [
                $page['subjects'][$row['subject']]['item'],
                $row['mark'],
                $row['line']['find'],
                $row['line']['component'],
                $row['line']['quantity'],
                $row['line']['notes'],
            ]),
            $page['rows'],
        );
        sort($rows);

        return $rows;
    };
    $states = [$read()];
    $at = 0;
    for ($act = 0; $act < 14; $act++) {
        $turn = mt_rand(0, 3);
        if ($turn === 0 && $at > 0) {
            $this->world->only('jonas', 'POST', "/orders/{$this->order}/undo")->assertOk();
            $at--;
        } elseif ($turn === 1 && $at < count($states) - 1) {
            $this->world->only('jonas', 'POST', "/orders/{$this->order}/redo")->assertOk();
            $at++;
        } else {
            $rows = array_values(array_filter(($this->page)()['rows'], static fn(array $row): bool => $row['mark'] !== 'removed'));
            $some = array_map(static fn(int $place): array => $rows[$place], (array) array_rand($rows, mt_rand(2, 5)));
            $edits = [];
            foreach ($some as $place => $row) {
                $edits[] = match (mt_rand(0, 3)) {
                    0 => ['row' => $row, 'operation' => 'remove'],
                    1 => [
                        'row' => $row,
                        'operation' => 'add',
                        'fields' => ['find' => (string) (900 + 10 * $act + $place), 'component' => '710-0001', 'quantity' => '2'],
                    ],
                    default => ['row' => $row, 'fields' => ['quantity' => (string) mt_rand(100, 999), 'notes' => "act {$act}"]],
                };
            }
            ($this->edit)($edits)->assertOk();
            // What was undone cannot come back once something else is done.
            $states = [...array_slice($states, 0, $at + 1), $read()];
            $at++;
        }
        expect($read())->toBe($states[$at]);
    }
    for (; $at > 0; $at--) {
        $this->world->only('jonas', 'POST', "/orders/{$this->order}/undo")->assertOk();
        expect($read())->toBe($states[$at - 1]);
    }
    $this->world->only('jonas', 'POST', "/orders/{$this->order}/undo")->assertStatus(422);
})->with([1, 2, 3, 4]);
