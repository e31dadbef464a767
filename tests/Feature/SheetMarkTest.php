<?php

declare(strict_types=1);

use App\Documents\Models\ItemFile;
use Illuminate\Database\QueryException;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    World::planningTakes();
    $this->order = $this->world->opened();
    $this->world->edit($this->order, 'replace', 10, ['component' => '200-0041'])->assertOk();
    $this->world->sends('jonas', '/items/200-0010/files', [
        'role' => 'sheet',
        'file' => UploadedFile::fake()->createWithContent(
            'head B.svg',
            '<svg xmlns="http://www.w3.org/2000/svg" width="420mm" height="297mm" viewBox="0 0 420 297"><text x="20" y="90">Pump head</text></svg>',
        ),
    ]);
    $this->file = (string) DB::table('item_files')->value('id');
    $this->mark = fn(string $login, array $mark) => $this->world->only(
        $login,
        'POST',
        "/files/{$this->file}/marks",
        $mark + ['page' => 1, 'note' => 'Hole 8'],
    );
});

it('is set at a place or in a zone of a draft, bears the revision it becomes, and is taken off again', function (): void {
    ($this->mark)('jonas', ['left' => 0.25, 'top' => 0.5, 'note' => 'Hole 6 → 8'])
        ->assertOk()
        ->assertJsonPath('revision', 'B')
        ->assertJsonPath('may_set', true)
        ->assertJsonPath('marks.0.zone', 'D2')
        ->assertJsonPath('marks.0.left', 0.25)
        ->assertJsonPath('marks.0.set_by', 'Jonas');
    ($this->mark)('jonas', ['zone' => ' f8 ', 'note' => 'Date'])
        ->assertOk()
        ->assertJsonCount(2, 'marks')
        ->assertJsonPath('marks.1.zone', 'F8');
    $this->world
        ->as('vera', 'GET', "/files/{$this->file}/marks")
        ->assertJsonPath('may_set', false)
        ->assertJsonCount(2, 'marks');
    $id = (int) DB::table('sheet_marks')->where('zone', 'F8')->value('id');
    $this->world
        ->only('jonas', 'DELETE', "/files/{$this->file}/marks/{$id}")
        ->assertOk()
        ->assertJsonCount(1, 'marks');
    $this->world->only('jonas', 'DELETE', "/files/{$this->file}/marks/{$id}")->assertNotFound();
    expect(DB::table('ledger')->where('act', 'like', 'sheet.%')->orderBy('number')->pluck('act')->all())->toBe([
        'sheet.marked',
        'sheet.marked',
        'sheet.unmarked',
    ]);
});

it('says what is wrong at its place, and sets nothing', function (array $mark, string $at, string $said): void {
    ($this->mark)('jonas', $mark)
        ->assertUnprocessable()
        ->assertJsonPath("errors.{$at}.0", $said);
    expect(DB::table('sheet_marks')->count())->toBe(0);
})->with([
    'no zone of it' => [['zone' => 'G1'], 'zone', 'There is no such zone on the sheet. It has A1 to F8.'],
    'nowhere' => [[], 'left', 'Say where: in shares of the page from 0 to 1, or by a zone.'],
    'beyond the sheet' => [['left' => 1.5, 'top' => 0], 'left', 'Say where: in shares of the page from 0 to 1, or by a zone.'],
    'no such page' => [['zone' => 'A1', 'page' => 2], 'page', 'It has no page 2.'],
    'nothing said' => [['zone' => 'A1', 'note' => ''], 'note', 'Say in at most 200 characters what has changed there.'],
]);

it('is for whoever works on the sheet, as long as the order is not judged', function (): void {
    ($this->mark)('vera', ['zone' => 'A1'])->assertForbidden();
    ($this->mark)('edda', ['zone' => 'A1'])->assertUnprocessable();
    ($this->mark)('jonas', ['zone' => 'A1'])->assertOk();
    DB::table('change_orders')
        ->where('number', $this->order)
        ->update(['state' => 'in_review']);
    ($this->mark)('jonas', ['zone' => 'A2'])->assertUnprocessable();
    // Through any door.
    expect(static fn() => DB::transaction(static fn() => DB::table('sheet_marks')->delete()))->toThrow(QueryException::class, 'locked');
    expect(DB::table('sheet_marks')->count())->toBe(1);
});

it('is released with the sheet, stays as it is, and is printed on its face and told in its history', function (): void {
    ($this->mark)('jonas', ['zone' => 'C3', 'note' => 'Hole widened'])->assertOk();
    $this->world->released($this->order);
    expect(ItemFile::query()->findOrFail($this->file)->revision_id)->not->toBeNull();
    ($this->mark)('jonas', ['zone' => 'A1'])
        ->assertUnprocessable()
        ->assertJsonPath('errors.file.0', 'head B.svg is released: its marks stay as they are.');
    expect(static fn() => DB::transaction(static fn() => DB::table('sheet_marks')->delete()))->toThrow(
        QueryException::class,
        'released sheet',
    );
    $path = (string) tempnam(sys_get_temp_dir(), 'pdf');
    $text = function (string $language) use ($path): string {
        file_put_contents(
            $path,
            (string) $this->world
                ->only('vera', 'GET', "/files/{$this->file}/stamped?language={$language}")
                ->assertOk()
                ->getContent(),
        );
        $process = new Process(['pdftotext', '-layout', $path, '-']);
        $process->mustRun();

        return $process->getOutput();
    };
    expect($text('en'))
        ->toContain('Marks of change on the sheet')
        ->toMatch('/C3\s+Hole widened/')
        ->and(explode("\f", $text('de'))[0])
        ->toMatch('/^\s+B\s*$/m')
        ->and($text('de'))
        ->toContain('Änderungskennzeichen');
});
