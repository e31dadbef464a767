<?php

declare(strict_types=1);

use App\Documents\Jobs\DrawThumbnail;
use App\Files\FileContent;
use App\Files\StoredFile;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use Tests\Feature\Support\World;

const SMALL_SVG = '<svg xmlns="http://www.w3.org/2000/svg" width="420mm" height="297mm" viewBox="0 0 420 297"><rect x="50" y="50" width="90" height="90"/></svg>';

beforeEach(function (): void {
    $this->world = new World($this);
    $this->file = function (
        string $item,
        string $role,
        bool $released = true,
        string $content = SMALL_SVG,
        string $type = 'image/svg+xml',
    ): string {
        $path = (string) tempnam(sys_get_temp_dir(), 'sheet');
        file_put_contents($path, $content);
        DB::table('item_files')->insert([
            'id' => ($id = (string) Str::uuid7()),
            'item_id' => $this->world->items[$item],
            'revision_id' => $released ? DB::table('revisions')->where('item_id', $this->world->items[$item])->value('id') : null,
            'role' => $role,
            'name' => "{$role}.svg",
            'media_type' => $type,
            'bytes' => strlen($content),
            'sha256' => hash('sha256', $content . $id),
            'file_id' => StoredFile::keep($path),
            'person_id' => $this->world->people['edda']->id,
            'brought_at' => World::day(-365),
        ]);

        return $id;
    };
    $this->picture = fn(string $item): ?string => $this->world
        ->as('vera', 'GET', "/items?words={$item}")
        ->assertOk()
        ->json('rows.0.picture');
});

it('tells an item by its picture, else by its own sheet, else by that of its drawing', function (): void {
    expect(($this->picture)('200-0010'))->toBeNull();
    $drawn = ($this->file)('200-0042', 'sheet');
    DB::table('item_documents')->insert(['item_id' => $this->world->items['200-0010'], 'document_id' => $this->world->items['200-0042']]);
    expect(($this->picture)('200-0010'))->toBe($drawn)->and(($this->picture)('200-0042'))->toBe($drawn);
    $own = ($this->file)('200-0010', 'sheet');
    expect(($this->picture)('200-0010'))->toBe($own);
    // A draft shows nothing yet, and a data sheet is not what it looks like.
    ($this->file)('200-0010', 'sheet', released: false);
    ($this->file)('200-0010', 'data_sheet');
    expect(($this->picture)('200-0010'))->toBe($own);
    $picture = ($this->file)('200-0010', 'picture');
    expect(($this->picture)('200-0010'))->toBe($picture);
    $this->world->as('vera', 'GET', '/items/200-0010')->assertJsonPath('item.picture', $picture);
});

it('draws a file small once, and keeps it', function (): void {
    $file = ($this->file)('200-0010', 'sheet');
    $answer = $this->world->only('vera', 'GET', "/files/{$file}/thumbnail")->assertOk();
    expect(getimagesizefromstring((string) $answer->getContent()))
        ->toMatchArray([0 => 240, 1 => 170])
        ->and(DB::table('thumbnails')->count())
        ->toBe(1);
    // What is kept is told, whatever has become of the file.
    DB::table('stored_files')->update(['content' => 'gone']);
    $again = $this->world->only('vera', 'GET', "/files/{$file}/thumbnail")->assertOk();
    expect($again->getContent())->toBe($answer->getContent());
});

it('is drawn by a worker when a file comes, and goes with it', function (): void {
    $order = $this->world->opened();
    $this->world->edit($order, 'replace', 10, ['component' => '200-0041'])->assertOk();
    $this->world->sends('jonas', '/items/200-0010/files', [
        'role' => 'sheet',
        'file' => UploadedFile::fake()->createWithContent('head B.svg', SMALL_SVG),
    ]);
    $file = (string) DB::table('item_files')->value('id');
    Queue::assertPushed(DrawThumbnail::class, static fn(DrawThumbnail $job): bool => $job->file === $file);
    $job = new DrawThumbnail($file);
    $job->handle();
    expect(DB::table('thumbnails')->pluck('file_id')->all())->toBe([$file]);
    $this->world->only('jonas', 'DELETE', "/items/200-0010/files/{$file}")->assertNoContent();
    expect(DB::table('thumbnails')->count())->toBe(0);
    $job->handle();
    expect(DB::table('thumbnails')->count())->toBe(0);
});

it('tells an item by its model, once a worker has drawn it', function (): void {
    $sheet = ($this->file)('200-0010', 'sheet');
    $bracket = (string) file_get_contents(base_path('resources/js/testing/bracket.stp'));
    $model = ($this->file)('200-0010', 'model', content: $bracket, type: FileContent::MODEL);
    expect(($this->picture)('200-0010'))->toBe($sheet);
    $this->world
        ->only('vera', 'GET', "/files/{$model}/thumbnail")
        ->assertUnprocessable()
        ->assertJsonPath('errors.file.0', 'model.svg cannot be drawn.');
    (new DrawThumbnail($model))->handle();
    expect(($this->picture)('200-0010'))->toBe($model);
    $drawn = imagecreatefromstring(
        (string) $this->world
            ->only('vera', 'GET', "/files/{$model}/thumbnail")
            ->assertOk()
            ->getContent(),
    );
    expect([imagesx($drawn), imagesy($drawn)])->toBe([240, 170]);
    // A plate with two pins: paper in the corners, a body in the middle.
    expect(imagecolorat($drawn, 2, 2) & 0xff)
        ->toBe(255)
        ->and(imagecolorat($drawn, 160, 90) & 0xff)
        ->toBeLessThan(250);
});

it('is told by its sheet where the model has nothing to draw', function (): void {
    $sheet = ($this->file)('200-0010', 'sheet');
    $model = ($this->file)('200-0010', 'model', content: "ISO-10303-21;\nEND-ISO-10303-21;\n", type: FileContent::MODEL);
    (new DrawThumbnail($model))->handle();
    expect(($this->picture)('200-0010'))->toBe($sheet);
});

it('says what cannot be drawn', function (): void {
    $file = ($this->file)('200-0010', 'sheet', content: 'no drawing');
    $this->world
        ->only('vera', 'GET', "/files/{$file}/thumbnail")
        ->assertUnprocessable()
        ->assertJsonPath('errors.file.0', 'sheet.svg cannot be drawn.');
    expect(DB::table('thumbnails')->count())->toBe(0);
});
