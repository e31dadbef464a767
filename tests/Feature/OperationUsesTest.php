<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

const FIRST = '00000000-0000-7000-8000-000000000001';

/** The pump head at Weir: fitted at the pump line with a press, by an instruction; tested elsewhere. */
beforeEach(function (): void {
    $this->world = new World($this);
    $category = DB::table('categories')->value('id');
    foreach (['900-0001' => 'tool', '820-0001' => 'document'] as $number => $kind) {
        $this->world->items[$number] = DB::table('items')->insertGetId([
            'number' => $number,
            'title' => ucfirst($kind),
            'kind' => $kind,
            'unit' => 'pc',
            'category_id' => $category,
        ]);
    }
    foreach (['PUMP', 'TEST', 'IDLE'] as $code) {
        DB::table('work_centres')->insert(['plant' => 'Weir', 'code' => $code, 'name' => $code, 'rate' => 480_000]);
    }
    $this->world->built('200-0010', 'Weir', [[10, '200-0040', 0.5, 'm', 10], [20, '200-0042', 2, 'pc', 20]], function (int $content): void {
        DB::table('routings')->insert(['content_id' => $content, 'batch' => 1_000_000]);
        foreach (
            [[FIRST, 10, 'Fit rotor', 'PUMP', 2_500], ['00000000-0000-7000-8000-000000000002', 20, 'Test', 'TEST', 30_000]]
            as $at => $operation
        ) {
            DB::table('operations')->insert(
                ['content_id' => $content, 'per' => $at === 0 ? 'unit' : 'batch'] +
                    array_combine(['key', 'number', 'title', 'work_centre', 'run'], $operation),
            );
        }
        foreach (['tool' => '900-0001', 'instruction' => '820-0001'] as $role => $number) {
            DB::table('operation_items')->insert([
                'content_id' => $content,
                'operation_key' => FIRST,
                'role' => $role,
                'item_id' => $this->world->items[$number],
            ]);
        }
    });
    $this->uses = fn(string $of): array => array_map(
        static fn(
            array $use,
        ): string => "{$use['item']} {$use['plant']} {$use['revision']} {$use['operation']} {$use['what']} {$use['role']} {$use['run']} {$use['per']}",
        $this->world->as('vera', 'GET', $of)->assertOk()->json('rows'),
    );
});

it('says at which operations a tool, a document and a work centre are used, on a day', function (): void {
    expect(($this->uses)('/items/900-0001/operations'))
        ->toBe(['200-0010 Weir A 10 Fit rotor tool 2.5 unit'])
        ->and(($this->uses)('/items/820-0001/operations'))
        ->toBe(['200-0010 Weir A 10 Fit rotor instruction 2.5 unit'])
        ->and(($this->uses)('/items/200-0040/operations'))
        ->toBe([])
        ->and(($this->uses)('/plants/Weir/work-centres/TEST/operations'))
        ->toBe(['200-0010 Weir A 20 Test work_centre 30 batch'])
        ->and(($this->uses)('/plants/Weir/work-centres/IDLE/operations'))
        ->toBe([])
        ->and(($this->uses)('/plants/Weir/work-centres/TEST/operations?on=' . World::day(-900)))
        ->toBe([]);
    $this->world->as('vera', 'GET', '/plants/Tarn/work-centres/TEST/operations')->assertNotFound();
});

it('lets the reach of a tool or an instruction name the operations that use it', function (string $number): void {
    $request = $this->world->only('jonas', 'POST', '/requests', $this->world->request(['items' => [$number]]))->assertOk()->json('number');
    $rows = $this->world
        ->as('mira', 'GET', "/requests/{$request}/reach?reason=operation")
        ->assertOk()
        ->json('rows');
    expect(array_map(static fn(array $row): string => "{$row['title']}: {$row['why']}", $rows))->toBe([
        "Operation 10, Weir: Pump head (Fit rotor): Uses {$number}",
    ]);
})->with(['900-0001', '820-0001']);
