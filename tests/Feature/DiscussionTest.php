<?php

declare(strict_types=1);

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

/* What people say on reports, requests, orders and items, who is told of it, and what is pinned. */

beforeEach(function (): void {
    config(['mail.default' => 'array']);
    $this->world = new World($this);
    $this->request = $this->world->as('jonas', 'POST', '/requests', $this->world->request())->json('number');
    $this->say = fn(string $who, string $text, ?string $on = null): TestResponse => $this->world->only(
        $who,
        'POST',
        '/discussions/' . ($on ?? $this->request),
        ['text' => $text],
    );
    $this->told = fn(string $who): array => array_map(
        static fn(array $row): string => "{$row['what']} {$row['path']} ({$row['cause']})",
        $this->world->as($who, 'GET', '/notices')->json('rows'),
    );
});

it('keeps what is said in its order, with who and when, and in the ledger', function (): void {
    ($this->say)('helen', 'Two parts or one?')->assertOk();
    $rows = ($this->say)('mira', "  One.\nThe ring stays.  ")->assertOk()->json();
    expect(array_map(static fn(array $row): array => [$row['by'], $row['text'], $row['pinned_by']], $rows))
        ->toBe([['Helen', 'Two parts or one?', null], ['Mira', "One.\nThe ring stays.", null]])
        ->and($this->world->as('vera', 'GET', "/discussions/{$this->request}")->json())
        ->toBe($rows)
        ->and(DB::table('ledger')->where('act', 'comment.added')->where('subject', $this->request)->count())
        ->toBe(2);
    ($this->say)('helen', 'Which grease?', '710-0001')->assertOk()->assertJsonCount(1);
    $this->world->as('mira', 'GET', '/discussions/ECR-99999')->assertNotFound();
    ($this->say)('mira', 'To whom?', 'nothing')->assertNotFound();
    ($this->say)('mira', ' ')->assertStatus(422)->assertJsonPath('errors.text.0', 'Write something.');
    ($this->say)('mira', str_repeat('a', 5_001))->assertStatus(422)->assertJsonPath('errors.text.0', 'At most 5,000 characters.');
    ($this->say)('vera', 'May I?')->assertForbidden();
    expect(DB::table('comments')->count())->toBe(3);
});

it('tells those who take part, those who have said something, and those who are named; once, and with the way there', function (): void {
    ($this->say)('helen', 'Two parts or one? @edda')->assertOk();
    ($this->say)('mira', 'One, @helen.')->assertOk();
    expect(($this->told)('edda'))
        ->toBe(["Comment /changes/{$this->request} (mentioned)"])
        ->and(($this->told)('helen'))
        ->toBe(["Comment /changes/{$this->request} (mentioned)"])
        ->and(($this->told)('jonas'))
        ->toBe(array_fill(0, 2, "Comment /changes/{$this->request} (takes_part)"));
    // Of an item nobody takes part but who talks about it.
    ($this->say)('helen', 'Which grease, @tomas?', '710-0001')->assertOk();
    ($this->say)('tomas', 'The old one.', '710-0001')->assertOk();
    expect(($this->told)('tomas'))
        ->toBe(['Comment /items/710-0001 (mentioned)'])
        ->and(($this->told)('helen')[0])
        ->toBe('Comment /items/710-0001 (takes_part)');
});

it('pins what is decided, once, and takes the pin off again', function (): void {
    $id = ($this->say)('helen', 'We take one part.')->json('0.id');
    $pin = fn(string $method, string $who = 'mira'): TestResponse => $this->world->only($who, $method, "/comments/{$id}/pin");
    $pin('PUT', 'vera')->assertForbidden();
    $pin('PUT')->assertOk()->assertJsonPath('0.pinned_by', 'Mira');
    $pin('PUT', 'jonas')->assertOk()->assertJsonPath('0.pinned_by', 'Mira');
    $pin('DELETE', 'jonas')->assertOk()->assertJsonPath('0.pinned_by', null);
    $this->world->only('mira', 'PUT', '/comments/999999/pin')->assertNotFound();
    expect(DB::table('ledger')->where('subject', $this->request)->where('act', 'like', 'comment.%')->orderBy('number')->pluck('act')->all())
        ->toBe(['comment.added', 'comment.pinned', 'comment.unpinned'])
        ->and(($this->told)('jonas')[0])
        ->toBe("Comment pinned /changes/{$this->request} (takes_part)");
});

it('takes files along, all of them or none, and looks at what they are', function (): void {
    $svg = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><rect width="9" height="9"/></svg>';
    $file = static fn(string $name, string $content): UploadedFile => UploadedFile::fake()->createWithContent($name, $content);
    $send = fn(array $files): TestResponse => $this->world->sends('helen', "/discussions/{$this->request}", [
        'text' => 'See these.',
        'files' => $files,
    ]);
    $send([$file('one.svg', $svg), $file('tool.svg', 'MZ')])->assertJsonValidationErrors(['files.1' => 'tool.svg: Only SVG']);
    $send(array_fill(0, 11, $file('one.svg', $svg)))->assertJsonValidationErrors(['files' => 'At most 10 files']);
    expect(DB::table('comments')->count() + DB::table('said_files')->count())->toBe(0);
    $rows = $send([$file('one.svg', $svg), $file('two.svg', $svg . ' ')])
        ->assertOk()
        ->json();
    expect(array_column($rows[0]['files'], 'name'))->toBe(['one.svg', 'two.svg']);
    $shown = $this->world->only('vera', 'GET', '/said-files/' . $rows[0]['files'][0]['id'])->assertOk();
    expect($shown->getContent())->toBe($svg)->and($shown->headers->get('Content-Type'))->toStartWith('image/svg+xml');
    expect(json_decode((string) DB::table('ledger')->where('act', 'comment.added')->value('details'), true)['files'])->toBe([
        ['name' => 'one.svg', 'sha256' => hash('sha256', $svg)],
        ['name' => 'two.svg', 'sha256' => hash('sha256', $svg . ' ')],
    ]);
    // On a task as well.
    $task = $this->world
        ->only('mira', 'POST', "/changes/{$this->request}/tasks", [
            'to' => 'helen',
            'kind' => 'other',
            'title' => 'Look',
            'text' => '',
            'priority' => 'normal',
            'checks' => [],
            'waits_for' => [],
        ])
        ->json('number');
    $on = fn(UploadedFile $one): TestResponse => $this->actingAs($this->world->people['helen'])->post(
        "/api/tasks/{$task}/comments",
        ['text' => 'Here.', 'files' => [$one]],
        ['Accept' => 'application/json'],
    );
    $on($file('three.svg', $svg))->assertOk();
    expect($this->world->only('vera', 'GET', "/tasks/{$task}")->json('comments.0.files.0.name'))->toBe('three.svg');
    $on($file('bad.pdf', '%PDF-1.4 no'))->assertStatus(422);
    expect(DB::table('task_comments')->count())->toBe(1);
});

it('may be about one line of an order, as it was called then', function (): void {
    $order = $this->world->opened();
    $line = collect($this->world->only('jonas', 'GET', "/orders/{$order}/items/200-0010/redline")->json('rows'))->firstOrFail(
        static fn(array $row): bool => $row['after']['find'] === 20,
    )['key'];
    $say = fn(array $of): TestResponse => $this->world->only('helen', 'POST', "/discussions/{$order}", ['text' => 'Two each side?'] + $of);
    $say(['item' => '200-0010', 'work' => 'engineering', 'line' => 'nothing'])->assertJsonValidationErrors(['line' => 'no such line']);
    $say(['item' => '200-0001', 'work' => 'engineering', 'line' => $line])->assertJsonValidationErrors('line');
    $say(['line' => $line])->assertJsonValidationErrors('item');
    $rows = $say(['item' => '200-0010', 'work' => 'engineering', 'line' => $line])
        ->assertOk()
        ->json();
    expect($rows)
        ->toHaveCount(1)
        ->and($rows[0])
        ->toMatchArray(['item' => '200-0010', 'work' => 'engineering', 'line' => $line, 'called' => 'line 20 200-0042']);
    // It stays when the line is gone, and can be said of what goes.
    $this->world->edit($order, 'remove', 20)->assertOk();
    $say(['item' => '200-0010', 'work' => 'engineering', 'line' => $line])
        ->assertOk()
        ->assertJsonCount(2);
});
