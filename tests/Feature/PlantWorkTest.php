<?php

declare(strict_types=1);

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

/** Weir makes the pump head at two operations; an order changes how. */
beforeEach(function (): void {
    $this->world = new World($this);
    $this->world->built(
        '200-0010',
        'Weir',
        [[10, '200-0040', 0.5, 'm', 10], [20, '200-0042', 2, 'pc', 10], [30, '600-0014', 6, 'pc', 20]],
        function (int $content): void {
            DB::table('routings')->insert(['content_id' => $content, 'batch' => 5_000_000]);
            foreach ([10 => 'Fit the tube', 20 => 'Close'] as $number => $title) {
                DB::table('operations')->insert([
                    'content_id' => $content,
                    'key' => "00000000-0000-7000-8000-0000000000{$number}",
                    'number' => $number,
                    'title' => $title,
                    'work_centre' => 'PUMP',
                    'run' => 2_000,
                ]);
            }
        },
    );
    DB::table('work_centres')->insert(['plant' => 'Weir', 'code' => 'PUMP', 'name' => 'Pump line', 'rate' => 480_000]);
    $this->order = $this->world->opened();
    $this->path = fn(string $rest, ?string $order = null): string => '/orders/' . ($order ?? $this->order) . "/items/200-0010/{$rest}";
    $this->redline = fn(?string $order = null): array => $this->world
        ->as('jonas', 'GET', ($this->path)('plants/Weir/redline', $order))
        ->assertOk()
        ->json();
    $this->line = fn(int $find): string => collect(($this->redline)()['rows'])->firstWhere('before.find', $find)['key'];
    $this->edit = fn(string $edit, string $part, array $fields, ?string $order = null) => $this->world->only(
        'jonas',
        'POST',
        ($this->path)('plants/Weir/edits', $order),
        ['edits' => [['edit' => $edit, 'part' => $part, 'fields' => (object) $fields]], 'seen' => 99],
    );
    $this->work = fn(string $act, array $body = [], string $by = 'jonas', ?string $order = null) => $this->world->only(
        $by,
        'POST',
        ($this->path)("works/manufacturing:Weir/{$act}", $order),
        $body,
    );
    $this->sheet = fn(string $csv, int $seen = 0) => $this->actingAs($this->world->people['jonas'])->post(
        '/api' . ($this->path)('plants/Weir/sheet'),
        ['file' => UploadedFile::fake()->createWithContent('weir.csv', $csv), 'seen' => $seen],
        ['Accept' => 'application/json'],
    );
    $this->taken = fn(): string => (string) $this->world->only('vera', 'GET', ($this->path)('plants/Weir/sheet/csv'))->streamedContent();
});

it('is taken away as a sheet and read back: what differs becomes edits, one step to undo', function (): void {
    $csv = ($this->taken)();
    ($this->sheet)($csv)->assertOk();
    expect(DB::table('edits')->count())->toBe(0);
    $rows = array_map(static fn(string $row): array => str_getcsv($row), array_filter(explode("\n", trim($csv))));
    $at = array_flip($rows[0]);
    expect(count($rows))->toBe(6);
    // The screws go to a new operation, the second one goes, the tube needs more; the batch doubles.
    foreach ($rows as $i => $row) {
        if ($row[$at['record']] === 'operation') {
            $rows[$i][$at['batch']] = '10';
        }
        if ($row[$at['title']] === 'Close') {
            $rows[$i][$at['title']] = 'Screw down';
            $rows[$i][$at['key']] = '';
        }
        if ($row[$at['component']] === '200-0040') {
            $rows[$i][$at['quantity']] = '0.6';
        }
    }
    $written = implode("\n", array_map(static fn(array $row): string => '"' . implode('","', $row) . '"', $rows));
    ($this->sheet)($written)->assertOk();
    $now = ($this->redline)();
    expect(array_map(static fn(array $one): array => [$one['mark'], $one['after']['title'] ?? null], $now['operations']))
        ->toBe([['unchanged', 'Fit the tube'], ['changed', 'Screw down']])
        ->and(collect($now['rows'])->firstWhere('after.find', 10)['after']['quantity'])
        ->toBe('0.6')
        ->and($now['batch'])
        ->toBe('10')
        ->and($now['faults'])
        ->toBe([]);
    ($this->work)('iterations', ['note' => 'by the sheet'])->assertOk();
    ($this->work)('undo')->assertOk();
    // Where all is undone, what was kept is still there to go back to.
    expect(($this->redline)())
        ->toMatchArray(['becomes' => null, 'working' => 'B.2'])
        ->and(($this->redline)()['iterations'][0]['name'])
        ->toBe('B.1');
});

it('names each bad cell of a sheet, and saves nothing of it', function (): void {
    $csv = ($this->taken)();
    $bad = fn(string $was, string $is) => ($this->sheet)(str_replace($was, $is, $csv))->assertStatus(422)->json('errors');
    expect($bad('PUMP', 'MOON'))
        ->toHaveCount(2)
        ->and(implode(' ', array_merge(...array_values($bad('PUMP', 'MOON')))))
        ->toContain('Operation 10 Fit the tube, work_centre')
        ->and(array_keys($bad('200-0042', '999-9999')))
        ->toBe(['line 20 999-9999, component'])
        ->and(array_values($bad('200-0010', '200-0001'))[0][0])
        ->toContain('is read for 200-0010 at Weir alone')
        ->and(implode(' ', array_merge(...array_values($bad(',0.5,', ',-1,')))))
        ->toContain('Row 4, quantity');
    expect(DB::table('edits')->count())->toBe(0);
    ($this->sheet)('plant,parent,record', 0)->assertStatus(422);
    ($this->edit)('set_batch', '', ['batch' => '7'])->assertOk();
    // Somebody with an older page is told.
    ($this->sheet)($csv)->assertStatus(409);
});

it('keeps what a sheet has no column for', function (): void {
    $tube = ($this->line)(10);
    ($this->edit)('change', $tube, ['notes' => 'twist', 'scrap' => '4'])->assertOk();
    $csv = "plant,parent,record,operation,find,component,quantity,unit,key\n";
    foreach (($this->redline)()['rows'] as $row) {
        $line = $row['after'];
        $csv .= "Weir,200-0010,line,{$line['operation']},{$line['find']},{$line['component']},{$line['quantity']},{$line['unit']},{$row['key']}\n";
    }
    foreach (($this->redline)()['operations'] as $row) {
        $csv .= "Weir,200-0010,operation,{$row['after']['number']},,,,,{$row['after']['key']}\n";
    }
    ($this->sheet)($csv, 1)->assertOk();
    expect(($this->redline)()['seen'])->toBe(1);
});

it('keeps iterations of what a plant builds, compares with them and goes back in one step', function (): void {
    ($this->edit)('change', ($this->line)(30), ['quantity' => '8'])->assertOk();
    ($this->work)('iterations', ['note' => 'eight screws'])->assertOk();
    ($this->work)('iterations')->assertStatus(422)->assertJsonPath('errors.note.0', 'Nothing was changed since the last iteration.');
    ($this->work)('iterations', ['note' => 'x'], 'vera')->assertForbidden();
    ($this->edit)('remove', ($this->line)(30), [])->assertOk();
    ($this->edit)('remove_operation', '00000000-0000-7000-8000-000000000020', [])->assertOk();
    ($this->edit)('set_batch', '', ['batch' => '1'])->assertOk();
    expect(($this->redline)())
        ->toMatchArray(['working' => 'B.2', 'moved_on' => false])
        ->and(($this->redline)()['iterations'][0])
        ->toMatchArray(['name' => 'B.1', 'note' => 'eight screws', 'edits' => 1]);
    $side = fn(string $name): string => "{$name}=200-0010&{$name}_kind=manufacturing&{$name}_plant=Weir&{$name}_order={$this->order}";
    $this->world
        ->as('vera', 'GET', "/comparison?{$side('left')}&left_iteration=1&{$side('right')}&levels=one")
        ->assertOk()
        ->assertJsonPath('totals.removed', 1)
        ->assertJsonPath('rows.0.before.quantity', '8');
    $this->world
        ->as('vera', 'GET', "/routing-comparison?{$side('left')}&left_iteration=1&{$side('right')}")
        ->assertOk()
        ->assertJsonPath('operations.1.mark', 'removed')
        ->assertJsonPath('before.batch', '5');
    $seen = ($this->redline)()['seen'];
    ($this->work)('iterations/1/return', ['seen' => $seen - 1])->assertStatus(409);
    ($this->work)('iterations/1/return', ['seen' => $seen])->assertOk();
    $back = ($this->redline)();
    expect(collect($back['rows'])->firstWhere('after.find', 30)['after'])
        ->toMatchArray(['quantity' => '8', 'operation' => 20])
        ->and($back['batch'])
        ->toBe('5')
        ->and($back['faults'])
        ->toBe([]);
    ($this->work)('iterations/1/return', ['seen' => $back['seen']])->assertStatus(422);
    ($this->work)('iterations/9/return', ['seen' => $back['seen']])->assertStatus(422);
    ($this->work)('undo')->assertOk();
    expect(($this->redline)()['batch'])->toBe('1');
    $this->world->only('jonas', 'POST', ($this->path)('works/nothing/undo'))->assertStatus(422);
    $this->world->only('jonas', 'POST', ($this->path)('works/manufacturing:Moon/undo'))->assertStatus(422);
});

it('shows both sides where another order has released the same meanwhile, and goes on as one chooses', function (): void {
    World::planningTakes();
    $first = $this->order;
    ($this->edit)('change', ($this->line)(30), ['quantity' => '8', 'notes' => 'mine'])->assertOk();
    ($this->edit)('change_operation', '00000000-0000-7000-8000-000000000010', ['run' => '3'])->assertOk();
    ($this->edit)('change', ($this->line)(20), ['quantity' => '3'])->assertOk();
    ($this->work)('iterations', ['note' => 'mine'])->assertOk();
    $second = $this->world->opened();
    ($this->edit)('change', ($this->line)(30), ['quantity' => '7'], $second)->assertOk();
    ($this->edit)('change', ($this->line)(20), ['quantity' => '3'], $second)->assertOk();
    ($this->edit)('change_operation', '00000000-0000-7000-8000-000000000020', ['run' => '1'], $second)->assertOk();
    $this->world->follows($second, 'Weir');
    $this->world->released($second);
    expect(($this->redline)($first))->toMatchArray(['moved_on' => true, 'base' => 'A']);
    $newer = $this->world->only('vera', 'GET', ($this->path)('works/manufacturing:Weir/newer', $first))->assertOk()->json();
    expect([$newer['base'], $newer['newest'], $newer['edits'], $newer['agreed']])
        ->toBe(['A', 'B', 3, 1])
        ->and(array_map(static fn(array $one): array => array_slice($one, 1), $newer['conflicts']))
        ->toBe([['part' => 'line 30 600-0014', 'field' => 'quantity', 'before' => '6', 'mine' => '8', 'theirs' => '7']]);
    ($this->work)('newer')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => [$newer['conflicts'][0]['key']]]);
    ($this->work)('newer', ['choices' => [['conflict' => $newer['conflicts'][0]['key'], 'choice' => 'nobody']]])->assertStatus(422);
    ($this->work)('newer', ['choices' => [['conflict' => $newer['conflicts'][0]['key'], 'choice' => 'theirs']]], 'edda')->assertStatus(422);
    ($this->work)('newer', ['choices' => [['conflict' => $newer['conflicts'][0]['key'], 'choice' => 'theirs']]])->assertOk();
    $now = ($this->redline)($first);
    $screws = collect($now['rows'])->firstWhere('after.find', 30)['after'];
    expect($now)
        ->toMatchArray(['moved_on' => false, 'base' => 'B', 'becomes' => 'C'])
        ->and([$screws['quantity'], $screws['notes']])
        ->toBe(['7', 'mine'])
        ->and(array_map(static fn(array $one): string => $one['after']['run'], $now['operations']))
        ->toBe(['3', '1'])
        ->and(array_column(array_filter($now['rows'], static fn(array $row): bool => $row['mark'] !== 'unchanged'), 'fields'))
        ->toBe([['notes']]);
    // What was kept before is what it was.
    $side = fn(string $name): string => "{$name}=200-0010&{$name}_kind=manufacturing&{$name}_plant=Weir&{$name}_order={$first}";
    $this->world
        ->as('vera', 'GET', "/comparison?{$side('left')}&left_iteration=1&{$side('right')}&levels=one")
        ->assertOk()
        ->assertJsonPath('rows.0.before.quantity', '8')
        ->assertJsonPath('rows.0.after.quantity', '7');
    $this->artisan('ledger:verify')->assertSuccessful();
});
