<?php

declare(strict_types=1);

use App\Documents\Models\ItemFile;
use App\Files\StoredFile;
use Database\Seeders\Models\DemoModels;
use Illuminate\Database\QueryException;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Orthotaxis\Core\StepFile\ProductStructure;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->bring = fn(string $by, string $content, string $role = 'model', string $name = 'head.stp') => $this->world->sends(
        $by,
        '/items/200-0010/files',
        ['role' => $role, 'file' => UploadedFile::fake()->createWithContent($name, $content)],
    );
});

it('is released with its revision: brought under an order, signed by content, held still, and there for ever after', function (): void {
    World::planningTakes();
    $model = DemoModels::pumpHead(before: false);
    ($this->bring)('jonas', $model)->assertUnprocessable();
    $order = $this->world->opened();
    $this->world->edit($order, 'change', 30, ['quantity' => '8'])->assertOk();
    $digest = fn(): string => $this->world->as('helen', 'GET', "/orders/{$order}/review")->json('order.digest');
    $without = $digest();
    $file = ($this->bring)('jonas', $model)
        ->assertOk()
        ->assertJsonPath('files.0.role', 'model')
        ->assertJsonPath('files.0.media_type', 'model/step')
        ->assertJsonPath('files.0.order', $order)
        ->json('files.0.id');
    expect($digest())->not->toBe($without);
    $this->world->as('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])->assertOk();
    ($this->bring)('jonas', DemoModels::pumpHead(before: true))
        ->assertUnprocessable()
        ->assertJsonPath('errors.file.0', "200-0010 is locked under {$order}.");
    expect(fn() => DB::transaction(fn() => DB::table('item_files')->where('id', $file)->delete()))->toThrow(
        QueryException::class,
        'sheets and models cannot change',
    );
    $this->world->as('helen', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => $digest()])->assertOk();
    $this->world->as('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();
    $this->world
        ->as('vera', 'GET', '/items/200-0010/documents')
        ->assertJsonPath('files.0.revision', 'B')
        ->assertJsonPath('files.0.status', 'coming');
    expect(fn() => DB::transaction(fn() => DB::table('item_files')->delete()))->toThrow(QueryException::class, 'stays with it');
    $answer = $this->world->as('vera', 'GET', "/files/{$file}")->assertOk();
    expect($answer->getContent())->toBe($model)->and($answer->headers->get('Content-Type'))->toBe('model/step');
});

it('belongs together with its item: the next revision brings another one, or says why not', function (): void {
    World::planningTakes();
    DB::table('item_files')->insert([
        'id' => (string) Str::uuid7(),
        'item_id' => $this->world->items['200-0010'],
        'revision_id' => DB::table('revisions')->where('item_id', $this->world->items['200-0010'])->value('id'),
        'role' => 'model',
        'name' => 'head.stp',
        'media_type' => 'model/step',
        'bytes' => 1,
        'sha256' => str_repeat('0', 64),
        'file_id' => StoredFile::keep(__FILE__),
    ]);
    $order = $this->world->opened();
    $this->world->edit($order, 'change', 30, ['quantity' => '8'])->assertOk();
    $fault = 'its design model is of revision A: none is brought for B.';
    $rows = fn(): array => $this->world
        ->as('mira', 'GET', "/orders/{$order}/belongings")
        ->assertOk()
        ->json();
    expect($rows())
        ->toHaveCount(1)
        ->and($rows()[0])
        ->toMatchArray(['item' => '200-0010', 'kind' => 'model', 'state' => 'open', 'fault' => $fault]);
    $decide = fn(string $becomes, string $reason = '') => $this->world->only('mira', 'POST', "/orders/{$order}/belongings", [
        'rows' => [['item' => '200-0010', 'kind' => 'model', 'number' => '200-0010', 'fault' => $fault]],
        'becomes' => $becomes,
        'reason' => $reason,
        'version' => $this->world->version($order),
    ]);
    $decide('along')
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['rows.0' => 'Upload the new model']);
    $this->world->as('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])->assertUnprocessable();
    $decide('left', 'Only a screw changes.')->assertOk();
    expect($rows()[0])->toMatchArray(['state' => 'left', 'reason' => 'Only a screw changes.']);
    ($this->bring)('jonas', DemoModels::pumpHead(before: false))->assertOk();
    expect($rows()[0])->toMatchArray(['state' => 'along', 'fault' => '']);
    $this->world->as('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])->assertOk();
});

it('is a whole STEP file, by its content and not by its name', function (string $content, string $role, string $reason): void {
    $this->world->opened();
    ($this->bring)('jonas', $content, $role)->assertUnprocessable()->assertJsonPath('errors.file.0', $reason);
    expect(ItemFile::query()->count())->toBe(0);
})->with([
    'a drawing' => ['<svg xmlns="http://www.w3.org/2000/svg"/>', 'model', 'A model is a STEP file (ISO 10303-21).'],
    'nothing' => ['', 'model', 'A model is a STEP file (ISO 10303-21).'],
    'half of one' => [
        fn(): string => substr(DemoModels::pumpHead(before: false), 0, 5_000),
        'model',
        'The file is cut short: it does not end with END-ISO-10303-21. Export it again.',
    ],
    'a model as a sheet' => [
        fn(): string => DemoModels::pumpHead(before: false),
        'sheet',
        'Only SVG, PDF, PNG and JPEG can be shown here.',
    ],
]);

it('has in the demo the structure that its item has', function (): void {
    $uses = iterator_to_array(ProductStructure::read([DemoModels::pumpHead(before: false)])->uses());
    expect(array_map(static fn(array $of): array => array_map(static fn(array $one): int => $one[0], $of), $uses))->toBe([
        '200-0030' => ['200-0031' => 1, '200-0032' => 1],
        '200-0020' => ['200-0023' => 1, '200-0022' => 1, '200-0021' => 1, '200-0030' => 3],
        '200-0010' => [
            '200-0011' => 1,
            '200-0012' => 1,
            '200-0013' => 2,
            '200-0020' => 1,
            '200-0040' => 1,
            '600-0082' => 1,
            '200-0042' => 2,
            '600-0014' => 6,
        ],
    ]);
});
