<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->of = fn(string $query = '', string $number = '200-0010') => $this->world->as(
        'vera',
        'GET',
        "/items/{$number}/accountability{$query}",
    );
    $this->key = static fn(int $find): string => (string) DB::table('structure_lines')
        ->where('find', $find)
        ->where('quantity', '!=', 1_000_000)
        ->value('line_key');
});

it('tells how a plant accounts for each engineering line, with kits opened and what it adds', function (): void {
    $this->world->built('200-0099', 'Weir', [[10, '600-0014', 4, 'pc']]);
    $this->world->built('200-0010', 'Weir', [
        [10, '200-0040', 500, 'mm', 10],
        [20, '200-0042', 2, 'pc', 10],
        [30, '600-0014', 2, 'pc', 20],
        [35, '200-0099', 1, 'pc', 30],
        [90, '710-0001', 2, 'g', 40],
    ]);
    ($this->of)('?plant=Weir')
        ->assertOk()
        ->assertJson(['plant' => 'Weir', 'plants' => ['Weir'], 'built' => 'A', 'builds' => 'A', 'declared' => 'A', 'open' => 0])
        ->assertJsonPath('lines.*.account', ['otherwise', 'in_full', 'in_parts'])
        ->assertJsonPath(
            'lines.2.shares.1',
            fn(array $share): bool => $share['quantity'] === '4' && $share['through'] === ['200-0099'] && $share['operation'] === 30,
        )
        ->assertJsonPath('additions.*.item.number', ['710-0001']);
});

it('lists what is open, and what is on record with its reason', function (): void {
    $this->world->built('200-0010', 'Weir', [[10, '200-0041', 0.5, 'm', 10], [30, '600-0014', 5, 'pc', 20]], function (int $content): void {
        DB::table('line_records')->insert([
            [
                'content_id' => $content,
                'line_key' => ($this->key)(10),
                'by_id' => $this->world->items['200-0041'],
                'unit' => 'm',
                'reason' => 'Thicker at Weir.',
            ],
            [
                'content_id' => $content,
                'line_key' => ($this->key)(20),
                'by_id' => null,
                'unit' => null,
                'reason' => 'Fitted by the customer.',
            ],
        ]);
    });
    ($this->of)()
        ->assertOk()
        ->assertJsonPath('open', 1)
        ->assertJsonPath('lines.*.account', ['replaced', 'left_out', 'open'])
        ->assertJsonPath('lines.*.rest', ['0', '0', '1'])
        ->assertJsonPath('lines.0.record.by', '200-0041')
        ->assertJsonPath('lines.1.record.reason', 'Fitted by the customer.');
});

it('tells it of engineering as an open order would make it', function (): void {
    $this->world->built('200-0010', 'Weir', [
        [10, '200-0040', 0.5, 'm', 10, null, ($this->key)(10)],
        [20, '200-0042', 2, 'pc', 10],
        [30, '600-0014', 6, 'pc', 20],
    ]);
    $order = $this->world->opened();
    $this->world->edit($order, 'replace', 10, ['component' => '200-0041'])->assertOk();
    ($this->of)()->assertJsonPath('open', 0);
    // One part in engineering, another in manufacturing: it is open, and the other one is an addition.
    ($this->of)("?order={$order}")
        ->assertOk()
        ->assertJson(['declared' => 'A', 'open' => 1, 'order' => ['number' => $order, 'may_edit' => false, 'edits' => []]])
        ->assertJsonPath('lines.0.line.component', '200-0041')
        ->assertJsonPath('lines.0.account', 'open')
        ->assertJsonPath('additions.*.item.number', ['200-0040']);
    // The same for all that the order revises, plant by plant.
    $this->world
        ->as('vera', 'GET', "/orders/{$order}/accountability")
        ->assertOk()
        ->assertExactJson([
            [
                'item' => '200-0010',
                'title' => 'Pump head',
                'plant' => 'Weir',
                'built' => 'A',
                'becomes' => null,
                'lines' => 3,
                'open' => 1,
                'additions' => 1,
                'edits' => [],
                'later' => null,
            ],
        ]);
    ($this->of)('?order=ECO-99999')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['order']]);
    ($this->of)("?order={$order}", '200-0001')->assertStatus(422);
});

it('says that no plant builds it, and knows no plant that there is not', function (): void {
    ($this->of)()
        ->assertOk()
        ->assertJson(['plant' => null, 'plants' => [], 'built' => null, 'open' => 3]);
    ($this->of)('?plant=Nowhere')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['plant']]);
    ($this->of)('', '999-9999')->assertNotFound();
    // Before anything was released, nothing is declared and nothing is built.
    ($this->of)('?on=2001-01-01')
        ->assertOk()
        ->assertJson(['declared' => null, 'lines' => []]);
});

it('asks the database as often for many kits as for one', function (): void {
    $this->world->built('200-0099', 'Weir', [[10, '600-0014', 4, 'pc']]);
    $this->world->built('710-0001', 'Weir', [[10, '200-0042', 1, 'pc']]);
    $this->world->built('200-0099', 'Tarn', [[10, '600-0014', 4, 'pc']]);
    $this->world->built('200-0010', 'Tarn', [[10, '200-0099', 1, 'pc']]);
    $this->world->built('200-0010', 'Weir', [[10, '200-0099', 1, 'pc'], [20, '710-0001', 2, 'g'], [30, '600-0014', 2, 'pc']]);
    $asked = function (string $plant): int {
        DB::flushQueryLog();
        DB::enableQueryLog();
        ($this->of)("?plant={$plant}")->assertOk();

        return count(DB::getQueryLog());
    };
    expect($asked('Tarn'))->toBe($asked('Weir'));
    $order = $this->world->opened();
    $this->world->only('mira', 'PUT', "/orders/{$order}/items/200-0001", [
        'outcome' => 'revise',
        'disposition' => 'use_up',
        'version' => 5,
    ]);
    $ofOrder = function () use ($order): int {
        DB::flushQueryLog();
        $this->world->as('vera', 'GET', "/orders/{$order}/accountability")->assertOk();

        return count(DB::getQueryLog());
    };
    $one = $ofOrder();
    $this->world->built('200-0001', 'Tarn', [[10, '200-0010', 1, 'pc']]);
    $this->world->built('200-0001', 'Weir', [[10, '200-0010', 1, 'pc']]);
    expect($ofOrder())->toBe($one);
});

it('tells very many lines some at a time, the same kept or reckoned anew, and anew once something is released', function (): void {
    $head = $this->world->items['200-0010'];
    $engineering = (int) DB::table('revisions')->where('item_id', $head)->orderBy('id')->value('id');
    $screw = ['component_id' => $this->world->items['600-0014'], 'quantity' => 1_000_000, 'unit' => 'pc'];
    $lines = [];
    DB::statement('ALTER TABLE structure_lines DISABLE TRIGGER USER');
    for ($find = 100; $find < 500; $find++) {
        $key = sprintf('00000000-0000-7000-8000-%012d', $find);
        DB::table('structure_lines')->insert(['content_id' => $engineering, 'line_key' => $key, 'find' => $find] + $screw);
        // Every hundredth is not taken over.
        if ($find % 100 !== 0) {
            $lines[] = [$find, '600-0014', 1, 'pc', 10, null, $key];
        }
    }
    DB::statement('ALTER TABLE structure_lines ENABLE TRIGGER USER');
    $this->world->built('200-0010', 'Weir', [
        [10, '200-0040', 0.5, 'm', 10],
        [20, '200-0042', 2, 'pc', 10],
        [30, '600-0014', 6, 'pc', 10],
        ...$lines,
    ]);
    $told = function (): array {
        $finds = [];
        do {
            $page = ($this->of)('?plant=Weir&from=' . count($finds))
                ->assertOk()
                ->json();
            array_push($finds, ...array_column(array_column($page['lines'], 'line'), 'find'));
        } while (count($finds) < $page['total'] && $page['lines'] !== []);

        return [$finds, $page['open'], $page['count'], array_column(array_column($page['lines'], 'item'), 'title')[0]];
    };
    $first = $told();
    expect([count($first[0]), $first[0], $first[1], $first[2]])->toBe([403, [10, 20, 30, ...range(100, 499)], 4, 403]);
    $lineQueries = 0;
    DB::listen(static function ($query) use (&$lineQueries): void {
        $lineQueries += (int) str_contains($query->sql, 'structure_lines');
    });
    expect($told())->toBe($first)->and($lineQueries)->toBe(0);
    expect(array_column(array_column(($this->of)('?plant=Weir&lines=open')->json('lines'), 'line'), 'find'))->toBe([100, 200, 300, 400]);
    expect(($this->of)('?plant=Weir&lines=open&from=3')->json('lines'))->toHaveCount(1);
    ($this->of)('?plant=Weir&lines=some')->assertStatus(422);
    // Another plant's release is another state of all that is released.
    $this->world->built('200-0010', 'Tarn', [[10, '200-0040', 0.5, 'm', 10]]);
    ($this->of)('?plant=Weir')->assertJsonPath('plants', ['Tarn', 'Weir']);
});
