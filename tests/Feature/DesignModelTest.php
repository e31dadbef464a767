<?php

declare(strict_types=1);

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

/** @param  list<string>  $more  entities besides the pump head with three clamps, a tube, six screws and a new spring in a new holder */
function stepFile(int $clamps = 3, array $more = []): string
{
    $products = [
        '200-0010' => 'Pump head',
        '200-0042' => 'Tube clamp',
        '200-0040' => 'Tube',
        '600-0014' => '',
        'SPRING_7' => 'Spring, flat',
        'HOLDER' => '',
    ];
    $data = [];
    $at = 0;
    foreach ($products as $number => $name) {
        $at++;
        $data[] = "#{$at}=PRODUCT('{$number}','{$name}','',(#90))";
        $data[] = "#1{$at}=PRODUCT_DEFINITION_FORMATION('','',#{$at})";
        $data[] = "#2{$at}=PRODUCT_DEFINITION('','',#1{$at},#91)";
    }
    $use = 100;
    foreach ([[1, 2, $clamps], [1, 3, 1], [1, 4, 6], [1, 6, 1], [6, 5, 2]] as [$parent, $component, $pieces]) {
        for ($i = 0; $i < $pieces; $i++) {
            $use++;
            $data[] = "#{$use}=NEXT_ASSEMBLY_USAGE_OCCURRENCE('{$use}','','',#2{$parent},#2{$component},\$)";
        }
    }

    return "ISO-10303-21;\nHEADER;\nFILE_SCHEMA(('AUTOMOTIVE_DESIGN'));\nENDSEC;\nDATA;\n" .
        implode(";\n", [...$data, ...$more]) .
        ";\nENDSEC;\nEND-ISO-10303-21;\n";
}

beforeEach(function (): void {
    $this->world = new World($this);
    $this->order = $this->world->opened();
    $this->bring = fn(string $file, array $fields = [], string $by = 'jonas'): TestResponse => $this->world->sends(
        $by,
        "/orders/{$this->order}/model",
        [
            'file' => UploadedFile::fake()->createWithContent('head.stp', $file),
            'keep' => 'no',
            ...$fields,
        ],
    );
    $this->take = fn(string $file, array $chosen, array $categories = [], string $by = 'jonas'): TestResponse => ($this->bring)(
        $file,
        ['keep' => 'yes', 'chosen' => json_encode($chosen), 'categories' => json_encode((object) $categories)],
        $by,
    );
    $this->lines = fn(string $item): array => array_column(
        array_filter(array_column($this->world->as('jonas', 'GET', "/orders/{$this->order}/items/{$item}/redline")->json('rows'), 'after')),
        'quantity',
        'component',
    );
    $this->category = (string) DB::table('categories')->value('code');
});

it('tells what differs and what has no number yet, and does nothing', function (): void {
    $page = ($this->bring)(stepFile())->assertOk()->json();
    expect($page['done'])
        ->toBeFalse()
        ->and($page['known'])
        ->toBe(1)
        ->and(
            array_map(
                static fn(array $row): array => [$row['parent'], $row['mark'], $row['component'], $row['pieces'], $row['waits_for']],
                $page['rows'],
            ),
        )
        ->toBe([
            ['200-0010', 'changed', '200-0042', 3, []],
            ['200-0010', 'added', 'HOLDER', 1, ['HOLDER']],
            ['HOLDER', 'added', 'SPRING_7', 2, ['HOLDER', 'SPRING_7']],
        ])
        ->and($page['items'])
        ->toBe([
            ['name' => 'HOLDER', 'title' => '', 'kind' => 'assembly'],
            ['name' => 'SPRING_7', 'title' => 'Spring, flat', 'kind' => 'part'],
        ])
        ->and(DB::table('edits')->count())
        ->toBe(0);
});

it('gives numbers to what is new and takes all of it over in one act, undone as one', function (): void {
    $rows = ($this->bring)(stepFile())->json('rows');
    $done = ($this->take)(stepFile(), array_column($rows, 'key'), ['HOLDER' => $this->category, 'SPRING_7' => $this->category], 'mira')
        ->assertOk()
        ->json();
    [$holder, $spring] = $done['numbered'];
    expect($done['rows'])
        ->toBe([])
        ->and(($this->lines)('200-0010'))
        ->toBe(['200-0040' => '0.5', '200-0042' => '3', '600-0014' => '6', $holder => '1'])
        ->and(($this->lines)($holder))
        ->toBe([$spring => '2'])
        ->and($this->world->as('vera', 'GET', "/items/{$spring}")->json('item.title'))
        ->toBe('Spring, flat');
    // What is new is on the order, to be released with it.
    $items = $this->world->as('mira', 'GET', "/dossiers/{$this->order}")->json('order.items');
    expect(array_column(array_column($items, 'item'), 'number'))->toContain($holder, $spring);
    // The same model says nothing any more, and is known by the names it uses.
    expect(($this->bring)(stepFile())->json())->toMatchArray(['rows' => [], 'items' => [], 'known' => 2]);
    $this->world->as('mira', 'POST', "/orders/{$this->order}/strokes/{$done['stroke']}/undo")->assertOk();
    expect(($this->lines)('200-0010'))
        ->toBe(['200-0040' => '0.5', '200-0042' => '2', '600-0014' => '6'])
        ->and(($this->lines)($holder))
        ->toBe([]);
    // Undone, it is told again.
    expect(array_column(($this->bring)(stepFile())->json('rows'), 'component'))->toBe(['200-0042', $holder, $spring]);
});

it('takes over one by one, and tells what was left again with the next model', function (): void {
    $rows = ($this->bring)(stepFile())->json('rows');
    ($this->take)(stepFile(), [$rows[0]['key']])->assertOk();
    expect(($this->lines)('200-0010')['200-0042'])->toBe('3');
    expect(array_column(($this->bring)(stepFile())->json('rows'), 'component'))->toBe(['HOLDER', 'SPRING_7']);
    // Two clamps again, on purpose: a model that has not changed there says nothing of it; one that has, does.
    $this->world->edit($this->order, 'change', 20, ['quantity' => '2'])->assertOk();
    expect(array_column(($this->bring)(stepFile())->json('rows'), 'component'))->toBe(['HOLDER', 'SPRING_7']);
    expect(array_column(($this->bring)(stepFile(4))->json('rows'), 'pieces', 'component'))->toMatchArray(['200-0042' => 4]);
});

it('reads the table of a model as well', function (): void {
    $rows = ($this->bring)("parent,component,quantity\n200-0010,200-0042,5\n200-0010,200-0040,1\n200-0010,600-0014,6\n")
        ->assertOk()
        ->json('rows');
    expect($rows)->toHaveCount(1)->and($rows[0]['pieces'])->toBe(5);
    ($this->bring)("parent,component,quantity\n200-0010,200-0042,1.5\n")
        ->assertStatus(422)
        ->assertJsonPath('errors', ['row 2, quantity' => ['Row 2, quantity: a model has whole pieces.']]);
});

it('refuses a file that ends early, and what cannot be taken over, at its place; nothing is done', function (): void {
    ($this->bring)(substr(stepFile(), 0, -60))
        ->assertStatus(422)
        ->assertJsonPath('errors.file.0', static fn(string $told): bool => str_contains($told, 'cut short'));
    $rows = ($this->bring)(stepFile())->json('rows');
    $items = DB::table('items')->count();
    ($this->take)(stepFile(), [$rows[1]['key']])
        ->assertStatus(422)
        ->assertJsonPath('message', static fn(string $told): bool => str_contains($told, 'HOLDER has no number yet'));
    ($this->take)(stepFile(), [], ['HOLDER' => 'nowhere'])
        ->assertStatus(422)
        ->assertJsonPath('errors', ['categories.HOLDER' => ['HOLDER: there is no category nowhere.']]);
    ($this->take)(stepFile(), [])->assertStatus(422)->assertJsonPath('errors.chosen.0', 'Choose at least one difference.');
    expect(DB::table('items')->count())
        ->toBe($items)
        ->and(DB::table('edits')->count())
        ->toBe(0);
});

it('is taken over by who edits or plans the order, while it is open', function (): void {
    $key = ($this->bring)(stepFile())->json('rows.0.key');
    ($this->take)(stepFile(), [$key], by: 'edda')->assertStatus(422);
    ($this->take)(stepFile(), [$key], by: 'vera')->assertForbidden();
    expect(($this->bring)(stepFile(), by: 'edda')->json('may_take'))->toBeFalse();
});

it('asks the database as often for forty assemblies as for one', function (): void {
    $parents = $this->world->parents(40, '600-0014', 3, 'pc');
    $file = static fn(array $some): string => "parent,component,quantity\n" .
        implode('', array_map(static fn(string $parent): string => "{$parent},600-0014,4\n", $some));
    $count = function (Closure $do): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        $do();
        $asked = count(DB::getQueryLog());
        DB::disableQueryLog();

        return $asked;
    };
    $one = $count(fn() => ($this->bring)($file(array_slice($parents, 0, 1)), by: 'mira')->assertOk());
    $forty = $count(fn() => ($this->bring)($file($parents), by: 'mira')->assertOk()->assertJsonCount(40, 'rows'));
    expect($forty)->toBe($one);
});

it(
    'does not tell again what somebody decided is not wanted, and asks for no number of it, until it is wanted after all',
    function (): void {
        $turn = fn(array $more = [], string $by = 'jonas'): TestResponse => $this->world->only(
            $by,
            'POST',
            "/orders/{$this->order}/model/unwanted",
            $more + ['assembly' => '200-0010', 'component' => 'HOLDER', 'unwanted' => true],
        );
        $rows = fn(): array => array_column(($this->bring)(stepFile())->json('rows'), 'unwanted', 'component');
        $items = fn(): array => array_column(($this->bring)(stepFile())->json('items'), 'name');
        expect($rows()['HOLDER'])->toBeFalse()->and($items())->toContain('HOLDER');
        $turn()->assertOk();
        $turn()->assertOk();
        expect($rows()['HOLDER'])
            ->toBeTrue()
            ->and($rows()['200-0042'])
            ->toBeFalse()
            ->and(DB::table('ledger')->where('act', 'order.model_part_wanted')->count())
            ->toBe(1);
        $page = ($this->bring)(stepFile())->json();
        $key = array_column($page['rows'], 'key', 'component')['HOLDER'];
        ($this->take)(stepFile(), [$key], ['HOLDER' => $this->category, 'SPRING_7' => $this->category])->assertStatus(422);
        expect(($this->lines)('200-0010'))->not->toHaveKey('HOLDER');
        $turn(['unwanted' => false])->assertOk();
        expect($rows()['HOLDER'])->toBeFalse();

        $turn(['assembly' => 'HOLDER', 'component' => 'SPRING_7'])
            ->assertStatus(422)
            ->assertJsonValidationErrors('assembly');
        $turn(['component' => ''])->assertStatus(422);
        $turn(by: 'edda')->assertStatus(422)->assertJsonValidationErrors('editor');
        $turn(by: 'vera')->assertForbidden();
    },
);
