<?php

declare(strict_types=1);

use App\Imports\Models\Import;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

const BUILD = <<<'CSV'
plant,parent,record,batch,operation,title,work_centre,set_up,run,supplier,cost,lead_time,find,component,quantity,unit,scrap,takes_over,notes
Weir,200-0010,operation,10,10,Fit rotor,PUMP,15,2.5,,,,,,,,,,
Weir,200-0010,operation,10,30,Paint,,,,Lindqvist Coating,3.40,5,,,,,,,
Weir,200-0010,line,,10,,,,,,,,10,200-0040,520,mm,4,019ab3c0-5f1e-7c02-9f6e-1f0c2d3e4a5b,
Weir,200-0010,line,,30,,,,,,,,20,200-0042,2,pc,,,"left, right"
Weir,200-0010,on_record,,,,,,,,,,,,,,,019ab3c0-5f1e-7c02-9f6e-1f0c2d3e4a5c,Not at this plant.
CSV;

beforeEach(function (): void {
    $this->world = new World($this);
    DB::table('work_centres')->insert(['plant' => 'Weir', 'code' => 'PUMP', 'name' => 'Pump line', 'rate' => 480_000]);
    $this->bring = fn(string $content, string $by = 'mira'): TestResponse => $this->actingAs($this->world->people[$by])->post(
        '/api/imports',
        [
            'subject' => 'manufacturing',
            'first_day' => World::day(-10),
            'file' => UploadedFile::fake()->createWithContent('b.csv', $content),
        ],
        ['Accept' => 'application/json'],
    );
    $this->last = fn(): Import => Import::query()->orderByDesc('asked_at')->orderByDesc('id')->firstOrFail();
    $this->faults = fn(): array => array_map(
        static fn(array $fault): string => "{$fault['row']} {$fault['column']}: {$fault['reason']}",
        ($this->last)()->faults,
    );
});

it('takes over what a plant builds, with its routing and what is on record, from the day given', function (): void {
    ($this->bring)(BUILD)->assertOk();
    expect(($this->faults)())->toBe([])->and(($this->last)()->outcome)->toBe('1 manufacturing structures with 5 rows');
    $routing = $this->world->as('vera', 'GET', '/items/200-0010/routing?plant=Weir')->assertOk()->json();
    expect(array_column($routing['operations'], 'title'))
        ->toBe(['Fit rotor', 'Paint'])
        ->and([$routing['built'], $routing['batch'], $routing['cost']['subcontract']])
        ->toBe(['A', '10', '3.40']);
    $this->world
        ->as('vera', 'GET', '/items/200-0010/structure?kind=manufacturing&plant=Weir')
        ->assertJsonPath('rows.*.line.component', ['200-0040', '200-0042'])
        ->assertJsonPath('rows.0.line.scrap', '4')
        ->assertJsonPath('built_at', 'Weir');
    // Tarn builds none: it is told as Weir builds it, and that this is so.
    $this->world->as('vera', 'GET', '/items/200-0010/structure?kind=manufacturing&plant=Tarn')->assertJsonPath('built_at', 'Weir');
    $this->world->as('vera', 'GET', '/items/200-0010/structure')->assertJsonPath('built_at', null);
    $this->world->as('vera', 'GET', '/items/200-0010/routing?plant=Weir&on=' . World::day(-11))->assertJsonPath('built', null);
    $this->artisan('ledger:verify')->assertSuccessful();
});

it('gives out what it takes in: CSV, XLSX and JSON read in again are the same', function (string $format): void {
    ($this->bring)(BUILD)->assertOk();
    $file = function (string $format): string {
        $answer = $this->world->as('vera', 'GET', "/items/200-0001/built/{$format}?plant=Weir")->assertOk();

        return $format === 'json' ? (string) $answer->getContent() : $answer->streamedContent();
    };
    // The module above it is not built at Weir: what is in it is given out all the same.
    $this->world->built('200-0001', 'Weir', [[10, '200-0010', 1, 'pc']]);
    [$before, $there] = [$file('csv'), $file($format)];
    expect(substr_count($before, "\n"))->toBe(7);
    foreach (['contents', 'structure_lines', 'routings', 'operations', 'operation_items', 'line_records'] as $table) {
        DB::statement("ALTER TABLE {$table} DISABLE TRIGGER USER");
    }
    DB::table('structure_lines')
        ->whereIn('content_id', DB::table('contents')->where('kind', 'manufacturing')->select('id'))
        ->delete();
    DB::table('contents')->where('kind', 'manufacturing')->delete();
    foreach (['contents', 'structure_lines', 'routings', 'operations', 'operation_items', 'line_records'] as $table) {
        DB::statement("ALTER TABLE {$table} ENABLE TRIGGER USER");
    }
    ($this->bring)($there)->assertOk();
    expect(($this->faults)())->toBe([])->and($file('csv'))->toBe($before);
})->with(['csv', 'xlsx', 'json']);

it('names every cell that cannot be, and saves nothing', function (): void {
    $this->world->built('200-0001', 'Tarn', [[10, '200-0010', 1, 'pc']]);
    ($this->bring)(
        implode("\n", [
            'plant,parent,record,operation,title,work_centre,run,find,component,quantity,unit,instruction',
            'Mars,200-0010,operation,10,Fit,PUMP,1,,,,,',
            'Weir,999-9999,line,,,,,10,200-0040,1,m,',
            'Weir,200-0099,line,,,,,10,200-0040,1,m,',
            'Tarn,200-0001,line,,,,,10,200-0010,1,pc,',
            'Weir,200-0010,operation,10,Fit,SAW,-1,,,,,',
            'Weir,200-0010,operation,20,Fit,SAW,1,,,,,200-0040',
            'Weir,200-0010,line,40,,,,10,200-0040,1,pc,',
            'Weir,200-0010,line,20,,,,20,999-9999,1,pc,',
            'Weir,200-0010,gift,,,,,,,,,',
        ]),
    )->assertOk();
    expect(($this->faults)())
        ->toBe([
            '2 plant: There is no plant Mars.',
            '2 work_centre: Mars has no work centre PUMP. It has none yet.',
            '3 parent: There is no item 999-9999.',
            '4 parent: 200-0099 has no released revision that a plant could build.',
            '5 parent: Tarn builds 200-0001 by revision A already: change it under an order.',
            '6 run: Write minutes as a number from 0 with a point and at most three decimals, such as 12 or 1.5.',
            '7 work_centre: Weir has no work centre SAW. It has PUMP.',
            '7 instruction: 200-0040 is no document and no drawing.',
            '8 operation: There is no operation 40 in the file.',
            '8 unit: 200-0040 is counted in m; pc does not measure the same.',
            '9 component: There is no item 999-9999.',
            '10 record: A row is an operation, a line or on_record.',
        ])
        ->and(
            DB::table('contents')
                ->where(['kind' => 'manufacturing', 'plant' => 'Weir'])
                ->count(),
        )
        ->toBe(0);
    ($this->bring)("plant,parent,record\n")->assertOk();
    expect(($this->last)()->faults[0]['reason'])->toBe('The file has no rows.');
    ($this->bring)(BUILD, 'vera')->assertForbidden();
});

it('lets no kit contain itself, be it together with what is built already', function (): void {
    $head = "plant,parent,record,find,component,quantity,unit\n";
    ($this->bring)("{$head}Weir,200-0042,line,10,600-0014,1,pc\nWeir,600-0014,line,10,200-0042,1,pc\n")->assertOk();
    expect(($this->faults)()[0])->toContain('A structure would contain itself: 200-0042 › 600-0014 › 200-0042.');
    $this->world->built('600-0014', 'Weir', [[10, '200-0042', 1, 'pc']]);
    ($this->bring)("{$head}Weir,200-0042,line,10,600-0014,1,pc\n")->assertOk();
    expect(($this->faults)()[0])->toContain('A structure would contain itself');
});
