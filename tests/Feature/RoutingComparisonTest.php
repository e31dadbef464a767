<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $lines = fn(int $operation): array => [
        [10, '200-0040', 0.5, 'm', $operation],
        [20, '200-0042', 2, 'pc', $operation],
        [30, '600-0014', 6, 'pc', $operation],
    ];
    $operation = fn(int $number, string $title, string $run): Closure => function (int $content) use ($number, $title, $run): void {
        DB::table('routings')->insert(['content_id' => $content, 'batch' => 1_000_000]);
        DB::table('operations')->insert([
            'content_id' => $content,
            'key' => sprintf('00000000-0000-7000-8000-%012d', $number + $content),
            'number' => $number,
            'title' => $title,
            'work_centre' => 'ASSY',
            'run' => (int) ($run * 1000),
        ]);
    };
    $this->world->built('200-0010', 'Tarn', array_slice($lines(20), 0, 2), $operation(20, 'Fit rotor', '4'));
    $this->world->built('200-0010', 'Weir', $lines(10), $operation(10, 'Fit rotor', '2.5'));
    foreach (['Tarn' => 600_000, 'Weir' => 480_000] as $plant => $rate) {
        DB::table('work_centres')->insert(['plant' => $plant, 'code' => 'ASSY', 'name' => 'Assembly', 'rate' => $rate]);
    }
    $this->ask = fn(string $left, string $right, string $of = 'routing-comparison') => $this->world->as(
        'vera',
        'GET',
        "/{$of}?left=200-0010&right=200-0010&left_kind=manufacturing&right_kind=manufacturing&{$left}&{$right}",
    );
});

it('says what one plant does otherwise than another: operations, minutes and money of a unit', function (): void {
    $page = ($this->ask)('left_plant=Tarn', 'right_plant=Weir')->assertOk()->json();
    expect(
        array_map(
            fn(array $row): array => [$row['mark'], $row['before']['number'], $row['after']['number'], $row['fields']],
            $page['operations'],
        ),
    )
        ->toBe([['changed', 20, 10, ['number', 'run']]])
        ->and([$page['before']['plant'], $page['before']['cost']['labour'], $page['after']['cost']['labour']])
        ->toBe(['Tarn', '4.00', '2.00'])
        // Six screws of 0.05 more, two in labour less.
        ->and($page['difference'])
        ->toBe('-1.70');
    $lines = ($this->ask)('left_plant=Tarn', 'right_plant=Weir&levels=one', 'comparison')->assertOk()->json();
    expect($lines['totals'])->toMatchArray(['added' => 1, 'changed' => 2]);
});

it('compares a plant before and after an order, and two of its revisions', function (): void {
    World::planningTakes();
    $order = $this->world->opened();
    $path = "/orders/{$order}/items/200-0010/plants/Weir";
    $operation = $this->world->as('jonas', 'GET', "{$path}/redline")->json('operations.0.key');
    $this->world
        ->only('jonas', 'POST', "{$path}/edits", [
            'edits' => [
                ['edit' => 'change_operation', 'part' => $operation, 'fields' => ['run' => '5']],
                [
                    'edit' => 'add',
                    'part' => '',
                    'fields' => ['find' => '40', 'component' => '710-0001', 'quantity' => '2', 'unit' => 'g', 'operation' => '10'],
                ],
            ],
            'seen' => 0,
        ])
        ->assertOk();
    $compare = fn(string $right) => [
        ($this->ask)('left_plant=Weir', $right)->assertOk()->json(),
        ($this->ask)('left_plant=Weir', "{$right}&levels=one", 'comparison')
            ->assertOk()
            ->json(),
    ];
    [$routing, $lines] = $compare("right_plant=Weir&right_order={$order}");
    expect([$routing['after']['built'], $routing['operations'][0]['mark'], $lines['totals']['added']])->toBe(['B', 'changed', 1]);
    ($this->ask)('left_plant=Weir', "right_plant=Tarn&right_order={$order}")
        ->assertStatus(422)
        ->assertJsonPath('errors.right_order.0', "{$order} does not revise 200-0010 at Tarn.");

    $this->world->edit($order, 'change', 30, ['quantity' => '8'])->assertOk();
    foreach (['Tarn', 'Weir'] as $plant) {
        $this->world
            ->only('mira', 'PUT', "/orders/{$order}/items/200-0010/plants/{$plant}/follow-up", [
                'order' => $this->world->order(),
                'by' => World::day(60),
                'reason' => 'Later.',
                'version' => $this->world->version($order),
            ])
            ->assertOk();
    }
    $this->world->released($order);
    [$routing, $lines] = [
        ($this->ask)('left_plant=Weir&left_revision=A', 'right_plant=Weir&right_revision=B')->assertOk()->json(),
        ($this->ask)('left_plant=Weir&left_revision=A', 'right_plant=Weir&right_revision=B&levels=one', 'comparison')->assertOk()->json(),
    ];
    expect([$routing['before']['built'], $routing['after']['built'], $routing['operations'][0]['fields'], $lines['totals']['added']])->toBe(
        ['A', 'B', ['run'], 1],
    );
    ($this->ask)('left_plant=Tarn&left_revision=B', 'right_plant=Weir')
        ->assertStatus(422)
        ->assertJsonPath('errors.left_revision.0', '200-0010 has no manufacturing revision B at Tarn.');
});

it('has nothing to say of operations where a side is not what a plant builds', function (): void {
    $this->world
        ->as('vera', 'GET', '/routing-comparison?left=200-0010&right=200-0010&right_kind=manufacturing')
        ->assertStatus(422)
        ->assertJsonPath('errors.left_kind.0', 'Only manufacturing structures of plants have operations.');
    // Nobody builds a screw: two empty sides.
    $page = $this->world
        ->as('vera', 'GET', '/routing-comparison?left=600-0014&right=600-0014&left_kind=manufacturing&right_kind=manufacturing')
        ->assertOk()
        ->json();
    expect([$page['before']['plant'], $page['operations'], $page['difference']])->toBe(['', [], '0.00']);
});
