<?php

declare(strict_types=1);

use Illuminate\Http\Client\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Tests\Feature\Support\World;

/** Weir makes the pump head at two operations; at the first, grease comes out that goes back to stock. */
beforeEach(function (): void {
    $this->world = new World($this);
    $this->world->built(
        '200-0010',
        'Weir',
        [[10, '200-0040', 0.5, 'm', 10], [20, '200-0042', 2, 'pc', 10], [30, '600-0014', 6, 'pc', 20]],
        function (int $content): void {
            DB::table('routings')->insert(['content_id' => $content, 'batch' => 1_000_000]);
            foreach ([10, 20] as $at => $number) {
                DB::table('operations')->insert([
                    'content_id' => $content,
                    'key' => "00000000-0000-7000-8000-00000000000{$at}",
                    'number' => $number,
                    'title' => 'Step',
                    'work_centre' => 'PUMP',
                    'run' => 0,
                ]);
            }
        },
    );
    $this->order = $this->world->opened();
    $this->edit = fn(array $fields, string $edit = 'add', string $part = '') => $this->world->only(
        'jonas',
        'POST',
        "/orders/{$this->order}/items/200-0010/plants/Weir/edits",
        ['edits' => [['edit' => $edit, 'part' => $part, 'fields' => $fields]], 'seen' => 9],
    );
    $this->yield = [
        'find' => '40',
        'component' => '710-0001',
        'quantity' => '2',
        'unit' => 'g',
        'operation' => '10',
        'by_product' => 'yes',
    ];
});

it(
    'comes out: it is counted nowhere as what goes in, found where it comes from, taken off the cost, and told to planning',
    function (): void {
        World::planningTakes();
        ($this->edit)($this->yield)->assertOk();
        $at = World::day(31);
        $this->world
            ->as('vera', 'GET', "/items/200-0010/accountability?plant=Weir&order={$this->order}")
            ->assertJsonPath('open', 0)
            ->assertJsonPath('additions', []);
        $this->world
            ->as('jonas', 'GET', "/orders/{$this->order}/items/200-0010/plants/Weir/redline")
            ->assertJsonPath('rows.3.after.by_product', true);
        $this->world
            ->only('jonas', 'POST', "/orders/{$this->order}/review", ['version' => $this->world->version($this->order)])
            ->assertOk();
        $digest = $this->world->as('helen', 'GET', "/orders/{$this->order}/review")->json('order.digest');
        $this->world->only('helen', 'POST', "/orders/{$this->order}/signature", ['password' => 'secret', 'digest' => $digest])->assertOk();
        $this->world
            ->only('mira', 'POST', "/orders/{$this->order}/release", ['version' => $this->world->version($this->order)])
            ->assertOk();

        $seen = "kind=manufacturing&plant=Weir&on={$at}";
        expect(
            $this->world
                ->as('vera', 'GET', "/items/710-0001/where-used?{$seen}")
                ->assertOk()
                ->json('rows'),
        )->toBe([]);
        expect(
            collect(
                $this->world
                    ->as('vera', 'GET', "/items/200-0010/summary?{$seen}")
                    ->assertOk()
                    ->json('rows'),
            )->pluck('item.number'),
        )
            ->not->toContain('710-0001')
            ->toContain('200-0040');
        expect(
            collect(
                $this->world
                    ->as('vera', 'GET', "/items/200-0010/structure?{$seen}")
                    ->assertOk()
                    ->json('rows'),
            )->pluck('line.by_product'),
        )->toContain(true);
        expect(
            $this->world
                ->as('vera', 'GET', "/items/710-0001/operations?on={$at}")
                ->assertOk()
                ->json('rows.0'),
        )->toMatchArray([
            'item' => '200-0010',
            'operation' => 10,
            'role' => 'by_product',
        ]);
        // 0.5 m at 9.80, two clamps at 0.68, six screws at 0.05; two grams at 0.09 come out.
        expect(
            $this->world
                ->as('vera', 'GET', "/items/200-0010/built-cost?plant=Weir&on={$at}")
                ->assertOk()
                ->json(),
        )->toMatchArray([
            'material' => '6.56',
            'by_products' => '-0.18',
            'total' => '6.38',
        ]);
        $differs = $this->world
            ->as(
                'vera',
                'GET',
                '/comparison?' .
                    http_build_query([
                        'left' => '200-0010',
                        'left_kind' => 'manufacturing',
                        'left_plant' => 'Weir',
                        'left_on' => World::day(0),
                        'right' => '200-0010',
                        'right_kind' => 'manufacturing',
                        'right_plant' => 'Weir',
                        'right_on' => $at,
                        'levels' => 'all',
                    ]),
            )
            ->assertOk()
            ->json('rows');
        expect(array_map(static fn(array $one): array => [$one['kind'], $one['after']['component']], $differs))->toBe([
            ['added', '710-0001'],
        ]);
        Http::assertSent(
            static fn(Request $sent): bool => str_contains($sent->body(), 'component="710-0001"') &&
                str_contains($sent->body(), 'byProduct="yes"'),
        );
    },
);

it('says what a by-product cannot be, at its place, and saves nothing', function (array $fields, string $place): void {
    ($this->edit)($fields + $this->yield)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ["edits.0.{$place}"]]);
    expect(DB::table('edits')->count())->toBe(0);
})->with([
    'at no operation' => [['operation' => ''], 'operation'],
    'at one that is not there' => [['operation' => '70'], 'operation'],
    'with scrap' => [['scrap' => '4'], 'scrap'],
    'a phantom' => [['phantom' => 'yes'], 'by_product'],
    'neither yes nor no' => [['by_product' => 'maybe'], 'by_product'],
]);

it('closes no loop while it comes out, and one when it is to go in', function (): void {
    ($this->edit)(['component' => '200-0001', 'quantity' => '1', 'unit' => 'pc'] + $this->yield)->assertOk();
    $line = (string) DB::table('edits')->value('part');
    ($this->edit)(['by_product' => ''], 'change', $line)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['edits.0.component']]);
});
