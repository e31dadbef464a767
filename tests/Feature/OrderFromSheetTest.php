<?php

declare(strict_types=1);

use App\Dossier\Sheet\OrderSheetColumns;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\EditRecord;
use App\Tables\SheetReader;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->parents = $this->world->parents(3, '600-0014', 3, 'pc');
    $this->head = [
        'title' => 'Longer screws',
        'description' => 'They come loose on the bank.',
        'priority' => 'high',
        'effective' => '2027-06-01',
        'editor' => 'jonas',
        'signer' => 'helen',
    ];
    $this->bring = function (array $rows, array $head = [], string $keep = 'yes', string $by = 'mira'): TestResponse {
        $columns = ['parent', 'structure', 'act', 'find', 'component', 'quantity', 'unit', 'notes'];
        $csv = [];
        foreach ($head + $this->head as $name => $text) {
            $csv[] = "{$name},\"{$text}\"";
        }
        array_push($csv, '', implode(',', $columns));
        foreach ($rows as $row) {
            $csv[] = implode(',', array_map(static fn(string $column): string => '"' . ($row[$column] ?? '') . '"', $columns));
        }

        return $this->world->sends($by, '/order-sheet', [
            'file' => UploadedFile::fake()->createWithContent('order.csv', implode("\n", $csv) . "\n"),
            'keep' => $keep,
        ]);
    };
    $this->faults = fn(TestResponse $of): array => array_map(
        static fn(array $fault): string => "{$fault['row']} {$fault['column']}",
        $of->assertOk()->assertJsonPath('number', null)->json('faults'),
    );
});

it('raises an order with its plan, its items and their lines, in one act', function (): void {
    $rows = [
        ['parent' => $this->parents[0], 'act' => 'change', 'find' => '10', 'quantity' => '4', 'notes' => 'hand-tight'],
        ['parent' => $this->parents[1], 'act' => 'change', 'find' => '10', 'component' => '200-0042'],
        ['parent' => $this->parents[1], 'act' => 'add', 'find' => '20', 'component' => '710-0001', 'quantity' => '2'],
        ['parent' => $this->parents[2], 'structure' => 'engineering', 'act' => 'remove', 'component' => '600-0014'],
        ['parent' => '200-0042'],
    ];
    $would = ($this->bring)($rows, keep: 'no')->assertOk()->assertJsonPath('number', null)->assertJsonPath('faults', []);
    expect(array_column($would->json('changes'), 'mark'))
        ->toBe(['changed', 'replaced', 'added', 'removed'])
        ->and($would->json('items'))
        ->toBe([...$this->parents, '200-0042'])
        ->and(ChangeOrder::query()->count())
        ->toBe(0)
        ->and(DB::table('ledger')->where('act', 'order.raised')->exists())
        ->toBeFalse();

    $number = ($this->bring)($rows)->assertOk()->json('number');
    $order = ChangeOrder::query()->where('number', $number)->firstOrFail();
    expect([$order->title, $order->priority, $order->effective_on, $order->state->value, $order->editor?->login, $order->signer?->login])
        ->toBe(['Longer screws', 'high', '2027-06-01', 'revising', 'jonas', 'helen'])
        ->and($order->description)
        ->toBe('They come loose on the bank.');
    $page = $this->world->worksheet('jonas', $number);
    $lines = array_column($page['rows'], 'mark');
    expect($lines)
        ->toBe(['changed', 'replaced', 'added', 'removed'])
        ->and($page['rows'][2]['line']['unit'])
        ->toBe('g');
    $this->world
        ->only('jonas', 'POST', "/orders/{$number}/undo")
        ->assertOk()
        ->assertJsonPath('items', $this->parents);
    expect(array_column($this->world->worksheet('jonas', $number)['rows'], 'mark'))->toBe(['unchanged', 'unchanged', 'unchanged']);
});

it('only names items where no row says what is done, and is then still being planned', function (): void {
    $number = ($this->bring)([['parent' => $this->parents[0]]], ['editor' => '', 'signer' => '', 'effective' => ''])->json('number');
    $order = ChangeOrder::query()->where('number', $number)->firstOrFail();
    expect([$order->state->value, $order->editor_id, $order->effective_on])->toBe(['planning', null, null]);
});

it('does nothing for one bad cell, and gives the workbook back with each marked', function (): void {
    $answer = ($this->bring)(
        [
            ['parent' => '300-9999', 'act' => 'change', 'find' => '10', 'quantity' => '4'],
            ['parent' => $this->parents[0], 'act' => 'alter', 'find' => '10'],
            ['parent' => $this->parents[0], 'find' => '10', 'quantity' => '2'],
            ['parent' => $this->parents[1], 'structure' => 'somewhere', 'act' => 'add'],
            ['act' => 'add'],
        ],
        ['title' => '', 'effective' => 'soon'],
    );
    expect(($this->faults)($answer))->toBe(['1 title', '2 effective', '9 parent', '10 act', '11 act', '12 structure', '13 parent']);
    expect(($this->faults)(($this->bring)([['parent' => $this->parents[0], 'act' => 'change', 'find' => '99', 'quantity' => '2']])))
        ->toBe(['9 find'])
        ->and(($this->faults)(($this->bring)([['parent' => $this->parents[0], 'act' => 'change', 'find' => '10', 'quantity' => 'many']])))
        ->toBe(['9 quantity'])
        ->and(($this->faults)(($this->bring)([['parent' => $this->parents[0], 'act' => 'change', 'find' => '10']])))
        ->toBe(['9 act'])
        ->and(
            ($this->faults)(
                ($this->bring)([
                    [
                        'parent' => $this->parents[0],
                        'act' => 'add',
                        'find' => '20',
                        'component' => '600-9999',
                        'quantity' => '1',
                        'unit' => 'pc',
                    ],
                ]),
            ),
        )
        ->toBe(['9 component'])
        ->and(($this->faults)(($this->bring)([['parent' => $this->parents[0], 'act' => 'remove', 'find' => '10']], ['editor' => ''])))
        ->toBe(['1 editor'])
        ->and(($this->faults)(($this->bring)([['parent' => $this->parents[0]]], ['signer' => 'mira'])))
        ->toBe(['1 signer']);
    $built = [
        'parent' => $this->parents[0],
        'structure' => 'manufacturing:Weir',
        'act' => 'add',
        'find' => '20',
        'component' => '200-0042',
    ];
    $answer2 = ($this->bring)([$built + ['quantity' => '1']]);
    expect(($this->faults)($answer2))
        ->toBe(['9 structure'])
        ->and($answer2->json('faults.0.reason'))
        ->toContain('Weir does not build');
    expect(ChangeOrder::query()->count() + EditRecord::query()->count())->toBe(0);

    $path = (string) tempnam(sys_get_temp_dir(), 'marked');
    file_put_contents(
        $path,
        $this->world
            ->only('mira', 'GET', "/order-sheet/marked/{$answer->json('marked')}")
            ->assertOk()
            ->getContent(),
    );
    $file = (new SheetReader($path, [...OrderSheetColumns::all(), 'what_is_wrong'], []))->headed(array_keys($this->head));
    expect(array_column(iterator_to_array($file->rows), 'what_is_wrong')[0])->toContain('There is no item 300-9999');
    unlink($path);
    // Nobody else has it.
    $this->world->only('jonas', 'GET', "/order-sheet/marked/{$answer->json('marked')}")->assertNotFound();
});

it('begins with an empty sheet in each form, which says what its cells may say', function (): void {
    $empty = $this->world->only('mira', 'GET', '/order-sheet/json')->assertOk();
    expect($empty->json('head.priority'))->toBe('normal')->and($empty->json('rows'))->toBe([]);
    foreach (['csv', 'xlsx'] as $format) {
        $path = $this->world
            ->only('mira', 'GET', "/order-sheet/{$format}")
            ->assertOk()
            ->getFile()
            ->getPathname();
        $known = OrderSheetColumns::all();
        $file = (new SheetReader($path, $known, $known))->headed(array_keys($this->head));
        expect(array_keys($file->head))->toBe(array_keys($this->head))->and(iterator_to_array($file->rows))->toBe([]);
    }
    $zip = new ZipArchive();
    $zip->open($path);
    expect((string) $zip->getFromName('xl/worksheets/sheet1.xml'))
        ->toContain('sqref="B3"')
        ->toContain('sqref="C9:C10007"')
        ->and((string) $zip->getFromName('xl/sharedStrings.xml') . $zip->getFromName('xl/worksheets/sheet2.xml'))
        ->toContain('manufacturing:Weir');
    $zip->close();
    $json = ['format' => 'orthotaxis-new-order', 'version' => 1, 'head' => $this->head, 'rows' => [['parent' => $this->parents[0]]]];
    $this->world
        ->sends('mira', '/order-sheet', [
            'file' => UploadedFile::fake()->createWithContent('order.json', (string) json_encode($json)),
            'keep' => 'yes',
        ])
        ->assertOk()
        ->assertJsonPath('title', 'Longer screws');
});

it('is for those who raise orders, and of no empty file', function (): void {
    ($this->bring)([['parent' => $this->parents[0]]], by: 'vera')->assertForbidden();
    ($this->bring)([])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['file']]);
    $this->world->only('mira', 'GET', '/order-sheet/pdf')->assertNotFound();
});
