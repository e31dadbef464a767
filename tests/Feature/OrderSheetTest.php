<?php

declare(strict_types=1);

use App\Orders\Models\EditRecord;
use App\Orders\Sheet\OrderHead;
use App\Tables\HeadCell;
use App\Tables\SheetReader;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->world->built('200-0010', 'Weir', [[10, '200-0040', 0.5, 'm', 10], [30, '600-0014', 6, 'pc', 20]]);
    $this->parents = $this->world->parents(20, '600-0014', 3, 'pc');
    $this->order = $this->world->opened();
    $this->world
        ->only('mira', 'POST', "/orders/{$this->order}/items", [
            'items' => $this->parents,
            'version' => $this->world->version($this->order),
        ])
        ->assertOk();
    // Rows as one has them in a spreadsheet: cells by column.
    $this->take = function (string $query = '', string $format = 'csv'): array {
        $path = $this->world
            ->only('jonas', 'GET', "/orders/{$this->order}/worksheet/{$format}{$query}")
            ->assertOk()
            ->getFile()
            ->getPathname();
        $known = explode(
            ',',
            'parent,structure,find,component,revision,quantity,unit,designators,notes,operation,scrap,not_modelled,phantom,by_product,first_day,last_day,line,sheet',
        );

        $file = (new SheetReader($path, $known, []))->headed(OrderHead::names());
        $this->head = array_map(static fn(HeadCell $cell): string => $cell->text, $file->head);

        return array_values(iterator_to_array($file->rows));
    };
    $this->bring = function (array $rows, string $keep = 'yes', array $choices = [], string $by = 'jonas', array $head = []): TestResponse {
        $heads = array_keys($rows[0] ?? ['parent' => '']);
        $lines = array_map(static fn(string $name, string $text): string => "{$name},\"{$text}\"", array_keys($head), $head);
        array_push($lines, ...$head === [] ? [] : [','], ...[implode(',', $heads)]);
        foreach ($rows as $row) {
            $lines[] = implode(',', array_map(static fn(string $head): string => '"' . str_replace('"', '""', $row[$head]) . '"', $heads));
        }

        return $this->world->sends($by, "/orders/{$this->order}/sheet", [
            'file' => UploadedFile::fake()->createWithContent('lines.csv', implode("\n", $lines) . "\n"),
            'keep' => $keep,
            'choices' => $choices,
        ]);
    };
    $this->marks = fn(): array => array_count_values(
        array_column($this->world->only('jonas', 'GET', "/orders/{$this->order}/worksheet")->json('rows'), 'mark'),
    );
});

it('changes nothing when it goes out and comes in again, as CSV and as XLSX', function (string $format): void {
    $rows = ($this->take)('', $format);
    expect($rows)->toHaveCount(3 + 2 + 20);
    ($this->bring)($rows)->assertOk()->assertJsonPath('done', true)->assertJsonPath('changes', [])->assertJsonPath('faults', []);
    expect(EditRecord::query()->count())
        ->toBe(0)
        // Nothing was begun of what nobody changed.
        ->and(($this->marks)())
        ->toBe(['unchanged' => 25]);
})->with(['csv', 'xlsx']);

it('changes nothing as JSON either, and does what was changed in it', function (): void {
    $answer = $this->world->only('jonas', 'GET', "/orders/{$this->order}/worksheet/json")->assertOk();
    expect($answer->json('format'))
        ->toBe('orthotaxis-order-lines')
        ->and($answer->json('head.order'))
        ->toBe($this->order)
        ->and($answer->json('rows'))
        ->toHaveCount(25);
    $bring = fn(array $content): TestResponse => $this->world->sends('jonas', "/orders/{$this->order}/sheet", [
        'file' => UploadedFile::fake()->createWithContent('lines.json', (string) json_encode($content)),
        'keep' => 'yes',
        'choices' => [],
    ]);
    $bring($answer->json())->assertOk()->assertJsonPath('changes', [])->assertJsonPath('done', true);
    expect(EditRecord::query()->count())->toBe(0);
    $changed = $answer->json();
    $changed['rows'][0]['quantity'] = '0.75';
    $bring($changed)
        ->assertOk()
        ->assertJsonPath('changes.0.fields', ['quantity 0.5 → 0.75']);
    expect(EditRecord::query()->count())->toBe(1);
});

it('offers in a workbook what a column may say, and reads it in again', function (): void {
    $path = $this->world
        ->only('jonas', 'GET', "/orders/{$this->order}/worksheet/xlsx")
        ->assertOk()
        ->getFile()
        ->getPathname();
    $zip = new ZipArchive();
    expect($zip->open($path))->toBeTrue();
    $sheet = simplexml_load_string((string) $zip->getFromName('xl/worksheets/sheet1.xml'));
    $lists = (string) $zip->getFromName('xl/worksheets/sheet2.xml') . $zip->getFromName('xl/sharedStrings.xml');
    $zip->close();
    $offered = [];
    foreach ($sheet->dataValidations->dataValidation as $rule) {
        $offered[(string) $rule['sqref']] = (string) $rule->formula1;
    }
    // Parents and kinds of structures, components that are there, units, and what is yes or nothing.
    expect($offered)
        ->toHaveCount(10)
        ->and($offered['A10:A10008'])
        ->toBe('lists!$A$2:$A$22')
        ->and($offered['B10:B10008'])
        ->toBe('lists!$B$2:$B$3')
        ->and($lists)
        ->toContain('manufacturing:Weir')
        ->toContain('600-0014')
        ->toContain('sheet');
});

it('says what it would do, does it in one act, and is undone as one', function (): void {
    $rows = ($this->take)();
    foreach ($rows as &$row) {
        if ($row['component'] === '600-0014') {
            $row['quantity'] = '8';
        }
    }
    unset($row);
    // One goes, one comes, one is another component.
    array_splice($rows, 5, 1);
    $rows[6]['component'] = '200-0042';
    $rows[] = ['find' => '20', 'component' => '710-0001', 'quantity' => '2', 'unit' => 'g', 'line' => '', 'sheet' => ''] + $rows[7];
    $would = ($this->bring)($rows, 'no')->assertOk()->assertJsonPath('done', false);
    expect(array_count_values(array_column($would->json('changes'), 'mark')))
        ->toEqual(['changed' => 20, 'removed' => 1, 'replaced' => 1, 'added' => 1])
        ->and($would->json('changes.0.fields'))
        ->toBe(['quantity 6 → 8'])
        ->and(EditRecord::query()->count())
        ->toBe(0)
        ->and(DB::table('ledger')->where('act', 'order.edited_together')->exists())
        ->toBeFalse();
    ($this->bring)($rows)->assertOk()->assertJsonPath('done', true);
    expect(($this->marks)())->toEqual(['unchanged' => 3, 'changed' => 20, 'removed' => 1, 'replaced' => 1, 'added' => 1]);
    $this->world->only('jonas', 'POST', "/orders/{$this->order}/undo")->assertOk();
    expect(($this->marks)())->toBe(['unchanged' => 25]);
});

it('saves nothing for one bad cell of fifty lines, and gives the workbook back with each marked', function (): void {
    $rows = ($this->take)();
    $rows[3]['quantity'] = 'many';
    $rows[6]['component'] = '600-0041';
    $rows[7]['quantity'] = '9';
    $answer = ($this->bring)($rows)->assertOk()->assertJsonPath('done', false);
    expect(array_map(static fn(array $fault): string => "{$fault['row']} {$fault['column']}", $answer->json('faults')))
        ->toBe(['5 quantity', '8 component'])
        ->and($answer->json('faults.1.reason'))
        ->toContain('There is no item 600-0041')
        ->and(EditRecord::query()->count())
        ->toBe(0);
    $marked = $this->world->only('jonas', 'GET', "/orders/{$this->order}/sheets/{$answer->json('marked')}/marked")->assertOk();
    $path = (string) tempnam(sys_get_temp_dir(), 'marked');
    file_put_contents($path, $marked->getContent());
    $read = iterator_to_array((new SheetReader($path, [...array_keys($rows[0]), 'row', 'what_is_wrong'], []))->rows());
    unlink($path);
    expect($read[5]['what_is_wrong'])
        ->toStartWith('quantity: Write the quantity')
        ->and($read[8]['what_is_wrong'])
        ->toContain('600-0041')
        ->and($read[6]['what_is_wrong'])
        ->toBe('');
});

it('is merged with what others did since, never laid over it', function (): void {
    $rows = ($this->take)();
    // Meanwhile: the clamp of the head is four, its screws are seven.
    $this->world->edit($this->order, 'change', 20, ['quantity' => '4'])->assertOk();
    $this->world->edit($this->order, 'change', 30, ['quantity' => '7'])->assertOk();
    $rows[0]['notes'] = 'cut square';
    $rows[2]['quantity'] = '8';
    $asked = ($this->bring)($rows)->assertOk()->assertJsonPath('done', false);
    expect($asked->json('conflicts'))
        ->toHaveCount(1)
        ->and(array_intersect_key($asked->json('conflicts.0'), array_flip(['part', 'field', 'before', 'mine', 'theirs'])))
        ->toBe(['part' => '200-0010, line 30 600-0014', 'field' => 'quantity', 'before' => '6', 'mine' => '8', 'theirs' => '7']);
    $quantities = fn(): array => array_map(
        static fn(array $row): string => $row['after']['quantity'],
        $this->world->as('jonas', 'GET', "/orders/{$this->order}/items/200-0010/redline")->json('rows'),
    );
    expect($quantities())->toBe(['0.5', '4', '7']);
    ($this->bring)($rows, choices: [$asked->json('conflicts.0.key') => 'mine'])->assertJsonPath('done', true);
    expect($quantities())->toBe(['0.5', '4', '8']);
    // The same again is agreed on by now.
    ($this->bring)($rows)->assertJsonPath('done', true)->assertJsonPath('agreed', 2);
});

it('can be of some parents alone: the others are not taken out', function (): void {
    $rows = ($this->take)('?parents=300-0001,300-0002');
    expect(array_column($rows, 'parent'))->toBe(['300-0001', '300-0002']);
    $rows[0]['quantity'] = '4';
    ($this->bring)(array_slice($rows, 0, 1))->assertJsonPath('done', true);
    expect(($this->marks)())->toEqual(['unchanged' => 23, 'changed' => 1, 'removed' => 1]);
    $this->world
        ->only('jonas', 'GET', "/orders/{$this->order}/worksheet/csv?parents=200-0042")
        ->assertJsonStructure(['errors' => ['parents']]);
    $this->world->only('jonas', 'GET', "/orders/{$this->order}/worksheet/pdf")->assertJsonStructure(['errors' => ['format']]);
});

it('refuses what is no sheet of the order, or has rows of nothing in it', function (): void {
    $rows = ($this->take)();
    ($this->bring)(array_map(static fn(array $row): array => ['sheet' => ''] + $row, $rows))->assertJsonStructure(['errors' => ['file']]);
    ($this->bring)([])->assertStatus(422);
    $more = [...$rows, ['parent' => '200-0001', 'line' => ''] + $rows[0], $rows[1]];
    $answer = ($this->bring)($more)->assertOk();
    expect(array_column($answer->json('faults'), 'column'))->toBe(['parent', 'line']);
    ($this->bring)($rows, by: 'edda')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['editor']]);
    ($this->bring)($rows, by: 'vera')->assertForbidden();
    ($this->bring)($rows, 'perhaps')->assertJsonStructure(['errors' => ['keep']]);
    expect(EditRecord::query()->count())->toBe(0);
});

it('says above its lines what the order is called and planned, and takes that in again', function (): void {
    $rows = ($this->take)();
    expect(array_keys($this->head))
        ->toBe(['order', 'title', 'description', 'priority', 'effective', 'editor', 'signer'])
        ->and($this->head['order'])
        ->toBe($this->order)
        ->and($this->head['editor'])
        ->toBe('jonas');
    $head = ['title' => 'Screws of the head', 'priority' => 'low', 'effective' => '2027-06-01'] + $this->head;
    // Who edits does not plan: told at each cell, and nothing of it is done.
    $refused = ($this->bring)($rows, head: $head)->assertOk()->assertJsonPath('done', false);
    expect(array_column($refused->json('faults'), 'column'))->toBe(['title', 'priority', 'effective']);
    // Who plans says nothing of lines.
    $rows[0]['quantity'] = '0.75';
    ($this->bring)($rows, by: 'mira', head: $head)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['editor']]);
    $rows[0]['quantity'] = '0.5';
    $would = ($this->bring)($rows, 'no', by: 'mira', head: $head)->assertOk();
    expect(array_column($would->json('changes'), 'fields'))->toContain(["priority {$this->head['priority']} → low"]);
    $order = fn(): array => (array) DB::table('change_orders')
        ->where('number', $this->order)
        ->first(['title', 'priority', 'effective_on']);
    expect($order()['title'])->not->toBe('Screws of the head');
    ($this->bring)($rows, by: 'mira', head: $head)->assertOk()->assertJsonPath('done', true);
    expect($order())->toBe(['title' => 'Screws of the head', 'priority' => 'low', 'effective_on' => '2027-06-01']);
    // Taken away before that, a sheet that says the same agrees; another title is somebody's to choose.
    ($this->bring)($rows, by: 'mira', head: $head)->assertJsonPath('changes', []);
    $other = ($this->bring)($rows, by: 'mira', head: ['title' => 'Screws'] + $head)->assertJsonPath('done', false);
    expect($other->json('conflicts.0'))->toMatchArray(['key' => 'head title', 'mine' => 'Screws', 'theirs' => 'Screws of the head']);
    ($this->bring)($rows, choices: ['head title' => 'mine'], by: 'mira', head: ['title' => 'Screws'] + $head)->assertJsonPath('done', true);
    expect($order()['title'])->toBe('Screws');
});

it('marks what its head cannot say, and refuses the head of another order', function (): void {
    $rows = ($this->take)();
    $bring = fn(array $head): array => array_map(
        static fn(array $fault): string => "{$fault['row']} {$fault['column']}",
        ($this->bring)($rows, by: 'mira', head: $head + $this->head)->assertOk()->json('faults'),
    );
    expect($bring(['title' => '', 'priority' => 'urgent', 'effective' => 'soon']))
        ->toBe(['1 title', '2 priority', '3 effective'])
        ->and($bring(['editor' => 'nobody']))
        ->toBe(['1 editor'])
        ->and($bring(['signer' => 'jonas']))
        ->toBe(['1 signer'])
        ->and($bring(['order' => 'ECO-99999']))
        ->toBe(['1 order']);
    $answer = ($this->bring)($rows, by: 'mira', head: ['priority' => 'urgent'] + $this->head);
    $marked = $this->world->only('mira', 'GET', "/orders/{$this->order}/sheets/{$answer->json('marked')}/marked")->assertOk();
    $path = (string) tempnam(sys_get_temp_dir(), 'marked');
    file_put_contents($path, $marked->getContent());
    // Put right, the marked workbook is brought as it is.
    $file = (new SheetReader($path, array_keys($rows[0]), []))->headed(OrderHead::names());
    expect($file->head['priority']->text)->toBe('urgent')->and(iterator_to_array($file->rows))->toHaveCount(count($rows));
    unlink($path);
});
