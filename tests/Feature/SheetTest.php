<?php

declare(strict_types=1);

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->order = $this->world->opened();
    $this->path = "/orders/{$this->order}/items/200-0010";
    $this->sheet = fn(): string => $this->world
        ->as('jonas', 'GET', "{$this->path}/sheet/csv")
        ->assertOk()
        ->streamedContent();
    $this->bring = function (string $content, string $by = 'jonas') {
        $seen = $this->world->as('jonas', 'GET', "{$this->path}/redline")->json('seen');
        $body = ['file' => UploadedFile::fake()->createWithContent('sheet.csv', $content), 'seen' => $seen];

        return $this->world->sends($by, "{$this->path}/sheet", $body);
    };
});

it('reads a sheet back: what differs becomes edits, what does not stays', function (): void {
    ($this->bring)(($this->sheet)())->assertOk();
    expect(DB::table('edits')->count())->toBe(0);
    $sheet = str_replace(['200-0040,0.5,m', ',6,pc'], ['200-0041,0.5,m', ',8,pc'], ($this->sheet)());
    $sheet = preg_replace('/^200-0010,20,.*\r\n/m', '', $sheet) . "200-0010,40,710-0001,1.5,g,,on the shaft,yes,,,,\r\n";
    $rows = collect(($this->bring)($sheet)->assertOk()->json('rows'));
    expect($rows->countBy('mark')->all())
        ->toEqualCanonicalizing(['replaced' => 1, 'changed' => 1, 'removed' => 1, 'added' => 1])
        ->and($rows->firstWhere('mark', 'added')['after']['notes'])
        ->toBe('on the shaft');
    // What was done at one stroke is undone at one, and made again at one.
    $turn = fn(string $which) => $this->world->as('jonas', 'POST', "{$this->path}/works/engineering/{$which}");
    $turn('undo')->assertOk();
    $turn('undo')->assertStatus(422);
    $turn('redo')->assertOk();
    expect(
        collect($this->world->as('jonas', 'GET', "{$this->path}/redline")->json('rows'))
            ->where('mark', '!=', 'unchanged')
            ->count(),
    )->toBe(4);
    $turn('redo')->assertStatus(422);
    $turn('undo')->assertOk();
    expect(DB::table('ledger')->where('act', 'structure.undone')->latest('number')->value('details'))->toContain('4 edits in all');
    expect(
        collect($this->world->as('jonas', 'GET', "{$this->path}/redline")->json('rows'))
            ->where('mark', '!=', 'unchanged')
            ->all(),
    )->toBe([]);
});

it('names each bad cell and saves nothing of the sheet', function (): void {
    $sheet =
        str_replace(['200-0040,0.5,m', ',6,pc'], ['200-0041,half,m', ',8,pc'], ($this->sheet)()) . "200-0010,40,NOT-OURS,1,pc,,,,,,,\r\n";
    ($this->bring)($sheet)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['row 2, quantity']]);
    $errors = ($this->bring)(str_replace('half', '0.7', $sheet))->assertStatus(422)->json('errors');
    expect($errors)
        ->toHaveKey('line 40, component')
        ->and(DB::table('edits')->count())
        ->toBe(0);
    ($this->bring)("parent,find,component,quantity,unit\n200-0001,10,200-0010,1,pc\n")
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['row 2, parent']]);
});

it('keeps what a sheet has no column for', function (): void {
    $this->world->edit($this->order, 'change', 20, ['notes' => 'two each side'])->assertOk();
    $key = collect($this->world->as('jonas', 'GET', "{$this->path}/redline")->json('rows'))->firstWhere('after.find', 20)['key'];
    ($this->bring)("parent,find,component,quantity,unit,line\n200-0010,20,200-0042,4,pc,{$key}\n")->assertOk();
    $row = collect($this->world->as('jonas', 'GET', "{$this->path}/redline")->json('rows'))->firstWhere('after.find', 20);
    expect($row['after']['notes'])->toBe('two each side')->and($row['after']['quantity'])->toBe('4');
});

it('is read for the person named on the order only, and while it is open', function (): void {
    $sheet = ($this->sheet)();
    ($this->bring)($sheet, 'edda')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['editor']]);
    ($this->bring)($sheet, 'vera')->assertForbidden();
});
