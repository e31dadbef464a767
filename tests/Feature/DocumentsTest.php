<?php

declare(strict_types=1);

use App\Documents\Models\ItemFile;
use App\Structures\Models\Category;
use App\Structures\Models\Item;
use Illuminate\Database\QueryException;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

const PLAIN_SVG = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10"><rect width="5" height="5"/></svg>';

beforeEach(function (): void {
    $this->world = new World($this);
    $category = Category::query()->value('id');
    foreach ([['800-0010', 'drawing', 'Drawing, pump head'], ['800-0011', 'drawing', 'Drawing, new']] as [$number, $kind, $title]) {
        $this->world->items[$number] = Item::query()->create([
            'number' => $number,
            'title' => $title,
            'kind' => $kind,
            'category_id' => $category,
            'unit' => 'pc',
            'supply' => 'make',
        ])->id;
    }
    $revision = DB::table('revisions')->insertGetId(['item_id' => $this->world->items['800-0010'], 'code' => 'A', 'status' => 'in_work']);
    DB::table('revisions')
        ->where('id', $revision)
        ->update(['status' => 'in_review']);
    DB::table('revisions')
        ->where('id', $revision)
        ->update(['status' => 'released', 'effective_from' => World::day(-300), 'released_at' => now()]);
    $this->bring = fn(string $by, string $item, string $content, string $role = 'sheet', string $name = 'sheet.svg') => $this->world->sends(
        $by,
        "/items/{$item}/files",
        ['role' => $role, 'file' => UploadedFile::fake()->createWithContent($name, $content)],
    );
});

it('shows what is attached, and gives the file so that nothing in it can run', function (): void {
    ($this->bring)('jonas', '800-0011', '<svg xmlns="http://www.w3.org/2000/svg" onload="alert(1)"/>')
        ->assertStatus(422)
        ->assertJsonPath('errors.file.0', fn(string $told): bool => str_contains($told, 'no drawing'));
    $drawing = '<svg xmlns="http://www.w3.org/2000/svg"><rect width="3" height="3"/></svg>';
    $file = ($this->bring)('jonas', '800-0011', $drawing)->assertOk()->assertJsonPath('files.0.revision', null)->json('files.0.id');
    $answer = $this->world->as('vera', 'GET', "/files/{$file}")->assertOk();
    expect($answer->headers->get('Content-Type'))
        ->toBe('image/svg+xml')
        ->and($answer->headers->get('Content-Security-Policy'))
        ->toContain("default-src 'none'")
        ->toContain('sandbox')
        ->and($answer->headers->get('X-Content-Type-Options'))
        ->toBe('nosniff')
        ->and($answer->headers->get('Content-Disposition'))
        ->toContain('DRAFT')
        ->and($answer->getContent())
        ->toBe($drawing);
});

it('looks at the content of a file and not at its name', function (string $content, string $reason): void {
    ($this->bring)('jonas', '800-0011', $content, name: 'drawing.pdf')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['file']])
        ->assertJsonPath('message', fn(string $told): bool => str_contains($told, $reason));
    expect(ItemFile::query()->count())
        ->toBe(0)
        ->and(DB::table('stored_files')->count())
        ->toBe(0);
})->with([
    'empty' => ['', 'empty'],
    'a program' => ["MZ\x90\x00 program", 'Only SVG'],
    'broken XML' => ['<svg xmlns="http://www.w3.org/2000/svg"><rect></svg>', 'well-formed'],
    'another XML' => ['<html xmlns="http://www.w3.org/1999/xhtml"/>', 'no SVG'],
    'entities' => ['<!DOCTYPE svg [<!ENTITY a "aaaa">]><svg xmlns="http://www.w3.org/2000/svg"><text>&a;</text></svg>', 'entities'],
    'half a PDF' => ["%PDF-1.4\n1 0 obj", 'breaks off'],
    'a locked PDF' => ["%PDF-1.4\ntrailer << /Encrypt 5 0 R >>\nstartxref\n0\n%%EOF", 'locked'],
]);

it('takes PDF and pictures', function (): void {
    ($this->bring)('jonas', '800-0011', "%PDF-1.4\nstartxref\n0\n%%EOF\n")
        ->assertOk()
        ->assertJsonPath('files.0.media_type', 'application/pdf');
    ($this->bring)(
        'nils',
        '200-0042',
        (string) base64_decode('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg=='),
        'picture',
    )
        ->assertOk()
        ->assertJsonPath('files.0.media_type', 'image/png');
});

it('lets a data sheet come to a released part, and a new sheet only under an order', function (): void {
    ($this->bring)('nils', '200-0042', PLAIN_SVG, 'data_sheet')
        ->assertOk()
        ->assertJsonPath('files.0.revision', 'A');
    ($this->bring)('nils', '200-0042', PLAIN_SVG, 'data_sheet')
        ->assertStatus(422)
        ->assertJsonPath('errors.file.0', 'The same file is attached already.');
    ($this->bring)('jonas', '800-0010', PLAIN_SVG)
        ->assertStatus(422)
        ->assertJsonPath('errors.file.0', '800-0010 is released as revision A. Its sheet and model change under an order only.');
    ($this->bring)('vera', '200-0042', PLAIN_SVG, 'data_sheet')->assertForbidden();
});

it('releases a new sheet with its order: signed by content, held still meanwhile, and there for ever after', function (): void {
    World::planningTakes();
    $order = $this->world->opened();
    $this->world
        ->as('mira', 'PUT', "/orders/{$order}/items/800-0010", [
            'outcome' => 'revise',
            'disposition' => 'use_up',
            'version' => $this->world->version($order),
        ])
        ->assertOk();
    $this->world->edit($order, 'change', 30, ['quantity' => '8'])->assertOk();
    // Without a sheet nothing of the drawing is changed yet.
    $this->world
        ->as('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])
        ->assertStatus(422)
        ->assertJsonPath('errors.edits.0', '800-0010: nothing is changed yet.');
    ($this->bring)('edda', '800-0010', PLAIN_SVG)->assertStatus(422);
    $first = ($this->bring)('jonas', '800-0010', PLAIN_SVG)
        ->assertOk()
        ->assertJsonPath('files.0.order', $order)
        ->json('files.0.id');
    $this->world
        ->as('jonas', 'DELETE', "/items/800-0010/files/{$first}")
        ->assertOk()
        ->assertJsonPath('files', []);
    $draft = ($this->bring)('jonas', '800-0010', PLAIN_SVG)
        ->assertOk()
        ->json('files.0.id');
    $this->world->as('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])->assertOk();
    ($this->bring)('jonas', '800-0010', str_replace('5', '6', PLAIN_SVG))
        ->assertStatus(422)
        ->assertJsonPath('errors.file.0', "800-0010 is locked under {$order}.");
    $this->world->as('jonas', 'DELETE', "/items/800-0010/files/{$draft}")->assertStatus(422);
    $digest = $this->world->as('helen', 'GET', "/orders/{$order}/review")->json('order.digest');
    $this->world->as('helen', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => $digest])->assertOk();
    $this->world->as('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();
    $this->world
        ->as('vera', 'GET', '/items/800-0010/documents')
        ->assertJsonPath('files.0.revision', 'B')
        ->assertJsonPath('files.0.status', 'coming')
        ->assertJsonPath('files.0.first_day', World::day(30));
    $this->travelTo(World::day(30));
    $this->world->as('vera', 'GET', '/items/800-0010/documents')->assertJsonPath('files.0.status', 'in_force');
    $this->world->as('jonas', 'DELETE', "/items/800-0010/files/{$draft}")->assertStatus(422);
    expect(fn() => DB::transaction(fn() => DB::table('item_files')->delete()))->toThrow(QueryException::class, 'stays with it');
});

it('refuses a release whose sheet is not the one that was signed', function (): void {
    $order = $this->world->opened();
    $this->world
        ->as('mira', 'PUT', "/orders/{$order}/items/800-0010", [
            'outcome' => 'revise',
            'disposition' => 'use_up',
            'version' => $this->world->version($order),
        ])
        ->assertOk();
    $this->world->edit($order, 'change', 30, ['quantity' => '8'])->assertOk();
    ($this->bring)('jonas', '800-0010', PLAIN_SVG)->assertOk();
    $this->world->as('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])->assertOk();
    $digest = $this->world->as('helen', 'GET', "/orders/{$order}/review")->json('order.digest');
    $this->world->as('helen', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => $digest])->assertOk();
    // The database refuses that; whoever owns it could.
    DB::statement('ALTER TABLE item_files DISABLE TRIGGER held_files');
    DB::table('item_files')->update(['sha256' => str_repeat('0', 64)]);
    $this->world
        ->as('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])
        ->assertStatus(422)
        ->assertJsonPath('errors.signature.0', fn(string $told): bool => str_contains($told, 'not what was signed'));
});

it('lets nobody but the order of a sheet touch it, however many orders revise its item', function (): void {
    $order = fn(string $editor): string => tap($this->world->order(), function (string $number) use ($editor): void {
        $this->world
            ->as('mira', 'PATCH', "/orders/{$number}", [
                'editor' => $editor,
                'signer' => 'helen',
                'effective_on' => World::day(30),
                'version' => 1,
            ])
            ->assertOk();
        foreach (['200-0010' => 'keep', '200-0040' => 'keep', '800-0010' => 'revise'] as $item => $outcome) {
            $this->world
                ->as('mira', 'PUT', "/orders/{$number}/items/{$item}", [
                    'outcome' => $outcome,
                    'disposition' => 'use_up',
                    'version' => $this->world->version($number),
                ])
                ->assertOk();
        }
        $this->world->as('mira', 'POST', "/orders/{$number}/opening", ['version' => $this->world->version($number)])->assertOk();
    });
    $first = $order('jonas');
    $sheet = ($this->bring)('jonas', '800-0010', PLAIN_SVG)
        ->assertOk()
        ->assertJsonPath('files.0.order', $first)
        ->json('files.0.id');
    $this->world->as('jonas', 'POST', "/orders/{$first}/review", ['version' => $this->world->version($first)])->assertOk();
    $digest = $this->world->as('helen', 'GET', "/orders/{$first}/review")->json('order.digest');
    $second = $order('edda');
    // The editor of the second order: not while the first is in review, signed, or at any other time.
    $remove = fn(string $by) => $this->world->as($by, 'DELETE', "/items/800-0010/files/{$sheet}");
    $remove('edda')
        ->assertStatus(422)
        ->assertJsonPath('errors.file.0', "800-0010 is locked under {$first}.");
    ($this->bring)('edda', '800-0010', str_replace('5', '6', PLAIN_SVG))->assertOk()->assertJsonPath('files.0.order', $second);
    expect($this->world->as('helen', 'GET', "/orders/{$first}/review")->json('order.digest'))->toBe($digest);
    $this->world->as('helen', 'POST', "/orders/{$first}/signature", ['password' => 'secret', 'digest' => $digest])->assertOk();
    $remove('edda')->assertStatus(422);
    foreach (
        [
            "DELETE FROM item_files WHERE id = '{$sheet}'",
            "UPDATE item_files SET name = 'other' WHERE id = '{$sheet}'",
            "UPDATE item_files SET order_id = NULL WHERE id = '{$sheet}'",
        ]
        as $sql
    ) {
        expect(fn() => DB::transaction(fn() => DB::statement($sql)))->toThrow(QueryException::class, 'is locked');
    }
    $this->world->as('helen', 'POST', "/orders/{$first}/return", ['reason' => 'Too thin.'])->assertSuccessful();
    $remove('edda')
        ->assertStatus(422)
        ->assertJsonPath('errors.file.0', "{$first} names another person to edit.");
    $remove('jonas')->assertOk();
});

it('says which drawings describe an item, and when they show an older revision of it', function (): void {
    World::planningTakes();
    $this->world
        ->as('jonas', 'PUT', '/items/200-0010/documents/800-0010')
        ->assertOk()
        ->assertJsonPath('documents.0.item.number', '800-0010')
        ->assertJsonPath('documents.0.shows', 'A')
        ->assertJsonPath('documents.0.older', false);
    $this->world->as('jonas', 'PUT', '/items/200-0010/documents/800-0010')->assertStatus(422);
    $this->world
        ->as('jonas', 'PUT', '/items/200-0010/documents/200-0042')
        ->assertStatus(422)
        ->assertJsonPath('errors.document.0', '200-0042 is neither a drawing nor a document.');
    $this->world->as('vera', 'PUT', '/items/200-0010/documents/800-0011')->assertForbidden();
    $order = $this->world->signed();
    $this->world->as('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();
    // Revision A is still in force, and the drawing of it right, until the day of B.
    $this->world->as('vera', 'GET', '/items/200-0010/documents')->assertJsonPath('documents.0.older', false);
    $this->world
        ->as('vera', 'GET', '/items/200-0010/older-uses')
        ->assertJsonPath('uses.0.ended', false)
        ->assertJsonPath('uses.0.last_day', World::day(29))
        ->assertJsonPath('newest', 'B');
    $this->world
        ->as('vera', 'GET', '/items/200-0010')
        ->assertJsonPath('item.revision', 'A')
        ->assertJsonPath('item.status', 'in_force')
        ->assertJsonPath('item.coming', ['code' => 'B', 'first_day' => World::day(30)])
        ->assertJsonPath('revisions.*.status', ['coming', 'in_force']);
    $found = fn(string $query): array => $this->world
        ->as('vera', 'GET', "/items?{$query}")
        ->assertOk()
        ->json('rows.*.number');
    expect($found('status=coming'))
        ->toBe(['200-0010'])
        ->and($found('words=200-&status=in_force'))
        ->toContain('200-0010')
        ->and($found('status=ended'))
        ->toBe([])
        ->and($this->world->as('vera', 'GET', '/catalogue/csv?words=200-0010')->streamedContent())
        ->toContain(',A')
        ->not->toContain(',B');
    $this->travelTo(World::day(30));
    $this->world
        ->as('vera', 'GET', '/items/200-0010')
        ->assertJsonPath('item.revision', 'B')
        ->assertJsonPath('item.coming', null)
        ->assertJsonPath('revisions.*.status', ['in_force', 'superseded']);
    expect($found('status=coming'))->toBe([])->and($found('words=200-&sort=-status')[0])->toBe('200-0010');
    $this->world->as('vera', 'GET', '/items/200-0010/older-uses')->assertJsonPath('uses.0.ended', true);
    $this->world->as('vera', 'GET', '/items/200-0010/documents')->assertJsonPath('documents.0.older', true);
    $this->world
        ->as('vera', 'GET', '/items/800-0010/documents')
        ->assertJsonPath('describes.0.item.number', '200-0010')
        ->assertJsonPath('describes.0.older', true);
    $this->world->as('jonas', 'DELETE', '/items/200-0010/documents/800-0010')->assertOk()->assertJsonPath('documents', []);
});

it('lets data sheets come and go while an order is held still, without touching what is signed', function (): void {
    $order = $this->world->opened();
    $this->world
        ->as('mira', 'PUT', "/orders/{$order}/items/800-0011", [
            'outcome' => 'revise',
            'disposition' => null,
            'version' => $this->world->version($order),
        ])
        ->assertOk();
    ($this->bring)('jonas', '800-0011', PLAIN_SVG)->assertOk();
    $this->world->edit($order, 'change', 30, ['quantity' => '8'])->assertOk();
    $this->world->as('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])->assertOk();
    $digest = $this->world->as('helen', 'GET', "/orders/{$order}/review")->json('order.digest');
    ($this->bring)('nils', '800-0011', str_replace('5', '7', PLAIN_SVG), 'data_sheet', 'data.svg')->assertOk();
    $files = collect($this->world->as('nils', 'GET', '/items/800-0011/documents')->json('files'));
    $this->world->as('helen', 'GET', "/orders/{$order}/review")->assertJsonPath('order.digest', $digest);
    $this->world->as('nils', 'DELETE', '/items/800-0011/files/' . $files->firstWhere('role', 'sheet')['id'])->assertStatus(422);
    $this->world->as('nils', 'DELETE', '/items/800-0011/files/' . $files->firstWhere('role', 'data_sheet')['id'])->assertOk();
});

it('counts whoever brought a sheet among those who made what is signed', function (): void {
    // Nothing of 200-0099 is released yet: whoever may attach brings its first sheet, before an order has it.
    $sheet = ($this->bring)('nils', '200-0099', PLAIN_SVG);
    $sheet->assertOk();
    $order = $this->world->order();
    $this->world
        ->as('mira', 'PUT', "/orders/{$order}/items/200-0099", [
            'outcome' => 'revise',
            'disposition' => null,
            'version' => $this->world->version($order),
        ])
        ->assertOk();
    $this->world
        ->as('mira', 'PATCH', "/orders/{$order}", [
            'editor' => 'jonas',
            'signer' => 'nils',
            'effective_on' => World::day(30),
            'version' => $this->world->version($order),
        ])
        ->assertStatus(422)
        ->assertJsonPath('errors.signer.0', 'The originator or an editor cannot sign. Name another person.');
    $this->world
        ->as('mira', 'PATCH', "/orders/{$order}", [
            'editor' => 'jonas',
            'signer' => 'helen',
            'effective_on' => World::day(30),
            'version' => $this->world->version($order),
        ])
        ->assertOk();
});

it('lets on this order act whom it names, and who coordinates, whatever a role allows elsewhere', function (): void {
    $order = $this->world->opened();
    $this->world->edit($order, 'change', 20, ['quantity' => '4'])->assertOk();
    $submit = fn(string $by) => $this->world->as($by, 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)]);
    // Edda may send orders to review, but does not edit this one.
    $submit('edda')
        ->assertStatus(422)
        ->assertJsonPath('errors.order.0', "Only the editor of {$order} or a coordinator sends it to review.");
    $this->world->as('jonas', 'PUT', '/items/200-0010/documents/800-0010')->assertOk();
    $this->world->leave($order);
    $submit('jonas')->assertOk();
    $return = fn(string $by) => $this->world->as($by, 'POST', "/orders/{$order}/return", ['reason' => 'Look again.']);
    // Nils may sign and send back, but is not the signer of this one.
    $return('nils')
        ->assertStatus(422)
        ->assertJsonPath('errors.order.0', "Only the signer of {$order} or a coordinator sends it back.");
    foreach (['PUT' => '800-0011', 'DELETE' => '800-0010'] as $method => $document) {
        $this->world
            ->as('edda', $method, "/items/200-0010/documents/{$document}")
            ->assertStatus(422)
            ->assertJsonPath('errors.document.0', "This is locked under {$order}, which is in review or signed.");
    }
    $digest = $this->world->as('helen', 'GET', "/orders/{$order}/review")->json('order.digest');
    $this->world->as('helen', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => $digest])->assertOk();
    $return('nils')->assertStatus(422);
    $return('mira')->assertSuccessful();
    // While it is revised, its documents are its editor's and the coordinators' too.
    $this->world
        ->as('edda', 'DELETE', '/items/200-0010/documents/800-0010')
        ->assertStatus(422)
        ->assertJsonPath('errors.document.0', "{$order} is revising this and names another person to edit.");
    $this->world->as('jonas', 'DELETE', '/items/200-0010/documents/800-0010')->assertOk();
    $submit('mira')->assertOk();
    $return('helen')->assertSuccessful();
});
