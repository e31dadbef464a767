<?php

declare(strict_types=1);

use App\ChangeNotices\Jobs\IssueAtRelease;
use App\ChangeNotices\Models\ChangeNotice;
use App\FollowThrough\Jobs\CloseIfDone;
use App\FollowThrough\Jobs\FollowOrder;
use App\Verification\Jobs\RunVerification;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

/*
 * A released order writes its change notice by itself and sends it to the distribution lists that it meets; it never changes again, and
 * it is known who has acknowledged it.
 */

beforeEach(function (): void {
    $this->world = new World($this);
    World::planningTakes();
    $this->list = fn(string $code, array $said = [], string $who = 'ivo'): TestResponse => $this->world->only(
        $who,
        'PUT',
        "/distribution-lists/{$code}",
        $said + [
            'name' => ucfirst($code),
            'plants' => [],
            'products' => [],
            'categories' => [],
            'recipients' => ['tomas'],
            'acknowledge' => false,
            'days' => null,
            'retired' => false,
        ],
    );
    DB::table('people')->insert([
        'login' => 'ivo',
        'name' => 'Ivo',
        'email' => 'ivo@quillback.example',
        'password' => 'none',
        'roles' => '["administrator"]',
    ]);
    $this->world->people['ivo'] = App\People\Models\Person::query()->where('login', 'ivo')->sole();
    $this->released = function (): string {
        $order = $this->world->signed();
        $this->world->only('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();

        return 'ECN-' . substr($order, 4);
    };
    $this->notice = fn(string $who, string $number): array => $this->world
        ->as($who, 'GET', "/change-notices/{$number}")
        ->assertOk()
        ->json();
    $this->told = fn(string $who): array => array_map(
        static fn(array $row): string => "{$row['what']} {$row['about']} {$row['path']} ({$row['cause']})",
        $this->world->as($who, 'GET', '/notices')->json('rows'),
    );
});

it('goes out with the release, to the lists that the change meets, and says what was and what is', function (): void {
    ($this->list)('planning', [
        'recipients' => ['tomas', 'edda'],
        'acknowledge' => true,
        'days' => 3,
        'products' => ['200-0001'],
    ])->assertOk();
    ($this->list)('everybody', ['recipients' => ['vera', 'tomas']])->assertOk();
    ($this->list)('elsewhere', ['recipients' => ['nils'], 'plants' => ['Tarn']])->assertOk();
    ($this->list)('past', ['recipients' => ['nils'], 'retired' => true])->assertOk();
    $number = ($this->released)();

    $notice = ($this->notice)('mira', $number);
    expect($notice['content'])
        ->toMatchArray(['number' => $number, 'order' => $notice['order'], 'released_by' => 'Mira', 'products' => ['200-0001 Pump module']])
        ->and($notice['content']['items'][0])
        ->toMatchArray(['number' => '200-0010', 'was' => 'A', 'becomes' => 'B', 'outcome' => 'revise'])
        ->and($notice['content']['subjects'][0]['parts'])
        ->toBe([
            [
                'action' => 'replace',
                'called' => 'line 10 200-0041',
                'fields' => [['name' => 'component', 'before' => '200-0040 Pump tube, 1.6', 'after' => '200-0041 Pump tube, 2.4']],
            ],
        ])
        ->and(array_column($notice['content']['signatures'], 'person'))
        ->toBe(['Helen'])
        ->and($notice['content']['reasons'][0]['request'])
        ->toBe('ECR-00001')
        ->and(array_column($notice['copies'], 'acknowledge', 'login'))
        ->toBe(['edda' => true, 'tomas' => true, 'vera' => false])
        ->and($notice['copies'][1]['lists'])
        ->toBe(['Everybody', 'Planning'])
        ->and(($this->told)('tomas'))
        ->toBe(["Change notice issued {$number} /change-notices/{$number} (to_do)"])
        ->and(($this->told)('vera'))
        ->toBe(["Change notice issued {$number} /change-notices/{$number} (informed)"])
        ->and(($this->told)('nils'))
        ->toBe([]);
});

it('is on the desk of whoever has to acknowledge it until they have, once', function (): void {
    ($this->list)('planning', ['recipients' => ['tomas', 'edda'], 'acknowledge' => true, 'days' => 3])->assertOk();
    $number = ($this->released)();
    $todo = fn(string $who): array => array_column(
        array_filter($this->world->as($who, 'GET', '/desk')->json('tasks'), static fn(array $task): bool => $task['task'] === $number),
        'todo',
    );
    $sha256 = ($this->notice)('tomas', $number)['sha256'];
    $this->world->only('tomas', 'POST', "/change-notices/{$number}/receipt")->assertNoContent();
    expect($todo('tomas'))
        ->toBe(["Acknowledge {$number}"])
        ->and(($this->notice)('tomas', $number)['mine'])
        ->toMatchArray([
            'acknowledged_at' => null,
            'overdue' => false,
            'due_on' => App\Days\OfficeDays::after(App\Days\Today::day(), 3)->__toString(),
        ])
        ->and(($this->notice)('tomas', $number)['mine']['opened_at'])
        ->not->toBeNull();

    $acknowledge = fn(string $who, string $sha256): TestResponse => $this->world->only(
        $who,
        'POST',
        "/change-notices/{$number}/acknowledgement",
        ['sha256' => $sha256],
    );
    $acknowledge('tomas', str_repeat('0', 64))
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['sha256']]);
    $acknowledge('tomas', '')->assertStatus(422);
    $acknowledge('nils', $sha256)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['notice']]);
    expect($todo('tomas'))->toHaveCount(1);
    $acknowledge('tomas', $sha256)->assertNoContent();
    $acknowledge('tomas', $sha256)->assertNoContent();
    $order = 'ECO-' . substr($number, 4);
    expect($todo('tomas'))
        ->toBe([])
        ->and($todo('edda'))
        ->toHaveCount(1)
        ->and($this->world->as('vera', 'GET', "/orders/{$order}/notice")->json())
        ->toMatchArray(['number' => $number, 'sent' => 2, 'asked' => 2, 'acknowledged' => 1])
        ->and(DB::table('ledger')->where('act', 'change_notice.acknowledged')->count())
        ->toBe(1);
});

it('is sent again to whoever has not acknowledged it, and to others, on demand', function (): void {
    ($this->list)('planning', ['recipients' => ['tomas', 'edda'], 'acknowledge' => true])->assertOk();
    $number = ($this->released)();
    $send = fn(string $who, array $to, bool $acknowledge = false): TestResponse => $this->world->only(
        $who,
        'POST',
        "/change-notices/{$number}/sending",
        ['to' => $to, 'acknowledge' => $acknowledge],
    );
    $this->world->only('edda', 'POST', "/change-notices/{$number}/acknowledgement", [
        'sha256' => ($this->notice)('edda', $number)['sha256'],
    ]);
    $send('tomas', [])->assertForbidden();
    $send('mira', ['tomas', 'nobody'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['to.1']]);
    $send('mira', [])->assertNoContent();
    $send('mira', ['nils', 'tomas'])->assertNoContent();
    expect(array_column(($this->notice)('mira', $number)['copies'], 'times_sent', 'login'))
        ->toBe(['edda' => 1, 'nils' => 1, 'tomas' => 3])
        // Who was asked to stays asked.
        ->and(array_column(($this->notice)('mira', $number)['copies'], 'acknowledge', 'login'))
        ->toBe(['edda' => true, 'nils' => false, 'tomas' => true])
        ->and(($this->told)('nils'))
        ->toBe(["Change notice sent {$number} /change-notices/{$number} (informed)"])
        ->and(($this->told)('edda'))
        ->toHaveCount(1);
    $this->world->only('tomas', 'POST', "/change-notices/{$number}/acknowledgement", [
        'sha256' => ($this->notice)('tomas', $number)['sha256'],
    ]);
    $send('mira', [])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['to']]);
});

it('stays as it was issued, whatever becomes of lists, and is the same as JSON, HTML and PDF', function (): void {
    $number = ($this->released)();
    $kept = ChangeNotice::query()->where('number', $number)->sole();
    $json = $this->world
        ->only('vera', 'GET', "/change-notices/{$number}/json")
        ->assertOk()
        ->getContent();
    $html = $this->world->only('vera', 'GET', "/change-notices/{$number}/html")->assertOk();
    $pdf = $this->world->only('vera', 'GET', "/change-notices/{$number}/pdf")->assertOk();
    expect(hash('sha256', $json))
        ->toBe($kept->sha256)
        ->and($html->getContent())
        ->toContain($number, 'Pump tube, 2.4', '⇄ replaced line 10 200-0041', $kept->sha256)
        ->and($html->headers->get('Content-Disposition'))
        ->toStartWith('attachment')
        ->and($pdf->getContent())
        ->toStartWith('%PDF-');
    $this->world->only('mira', 'POST', "/orders/{$kept->order->number}/notice")->assertOk();
    expect(ChangeNotice::query()->count())->toBe(1);
    expect(static fn() => DB::transaction(static fn() => DB::table('change_notices')->update(['content' => '{}'])))->toThrow(
        Illuminate\Database\QueryException::class,
        'stays as it is',
    );
});

it('is issued by hand where it did not go out, and never before the release', function (): void {
    Queue::fake([IssueAtRelease::class, FollowOrder::class, RunVerification::class, CloseIfDone::class]);
    $order = $this->world->signed();
    $this->world
        ->only('mira', 'POST', "/orders/{$order}/notice")
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['order']]);
    $this->world->only('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();
    Queue::assertPushed(IssueAtRelease::class, 1);
    expect($this->world->as('vera', 'GET', "/orders/{$order}/notice")->json('number'))->toBeNull();
    $this->world->only('tomas', 'POST', "/orders/{$order}/notice")->assertForbidden();
    $this->world->only('mira', 'POST', "/orders/{$order}/notice")->assertOk();
    // The job that comes late finds it there.
    app()->call([new IssueAtRelease($order, 'mira'), 'handle']);
    expect(ChangeNotice::query()->count())->toBe(1);
});

it('sets up lists, each once, and refuses what cannot be told at its place', function (array $said, string $place, string $reason): void {
    ($this->list)('new', $said)
        ->assertStatus(422)
        ->assertJson(['errors' => [$place => [$reason]]]);
    expect(DB::table('distribution_lists')->count())->toBe(0);
})->with([
    'no name' => [['name' => ' '], 'name', 'Give it a name.'],
    'nobody' => [['recipients' => []], 'recipients', 'Choose who is told.'],
    'somebody unknown' => [['recipients' => ['tomas', 'nobody']], 'recipients.1', 'There is no such person or group.'],
    'a plant unknown' => [['plants' => ['Moor']], 'plants.0', 'There is no such plant.'],
    'a part that is not sold' => [['products' => ['200-0041']], 'products.0', 'Choose something that is sold, each once.'],
    'a category unknown' => [['categories' => ['none']], 'categories.0', 'There is no such category.'],
    'no days' => [['acknowledge' => true, 'days' => 0], 'days', 'Give whole days, from 1 to 400.'],
]);

it('lets only an administrator set lists, one after the other', function (): void {
    ($this->list)('pumps', [], 'mira')->assertForbidden();
    ($this->list)('pumps')
        ->assertOk()
        ->assertJson(['number' => 'pumps', 'version' => 1]);
    ($this->list)('pumps')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['code']]);
    ($this->list)('pumps', ['name' => 'Pump people', 'version' => 1])
        ->assertOk()
        ->assertJson(['version' => 2]);
    ($this->list)('pumps', ['name' => 'Others', 'version' => 1])->assertStatus(409);
    ($this->list)('gone', ['version' => 1])->assertNotFound();
    expect($this->world->as('vera', 'GET', '/distribution-lists')->json('0.name'))->toBe('Pump people');
});

it('shows the sheets that were released with the order, as pictures in the documents too', function (): void {
    $order = $this->world->opened();
    $this->world->edit($order, 'change', 30, ['quantity' => '8'])->assertOk();
    $svg = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10"><rect width="5" height="5"/></svg>';
    foreach (['head.svg' => $svg, 'head.pdf' => Database\Seeders\DemoSheet::pdf(['<h1>Test</h1>'])] as $name => $content) {
        $this->world
            ->sends('jonas', '/items/200-0010/files', [
                'role' => 'sheet',
                'file' => Illuminate\Http\UploadedFile::fake()->createWithContent($name, $content),
            ])
            ->assertOk();
    }
    $this->world->released($order);
    $number = 'ECN-' . substr($order, 4);
    $sheets = ($this->notice)('vera', $number)['content']['sheets'];
    expect(array_column($sheets, 'revision', 'name'))->toBe(['head.svg' => 'B', 'head.pdf' => 'B']);
    $html = $this->world
        ->only('vera', 'GET', "/change-notices/{$number}/html")
        ->assertOk()
        ->getContent();
    expect(substr_count((string) $html, '<img '))
        ->toBe(2)
        ->and($html)
        ->toContain('src="data:image/png;base64,', 'head.pdf', $sheets[1]['sha256']);
    // What cannot be drawn is named.
    expect(App\Files\Drawn::png(__FILE__, 'application/pdf', 100))
        ->toBeNull()
        ->and(App\Files\Drawn::png(__FILE__, 'text/plain', 100))
        ->toBeNull();
    $this->world->only('vera', 'GET', "/change-notices/{$number}/pdf")->assertOk();
});

it('reaches the products of what only plants build otherwise, of data, and of drawings', function (
    string $item,
    string $outcome,
    bool $drawn,
): void {
    $order = $this->world
        ->only('mira', 'POST', '/orders', [
            'title' => 'Small matter',
            'description' => 'Note.',
            'priority' => 'normal',
            'items' => [$item],
            'requests' => [],
        ])
        ->assertOk()
        ->json('number');
    $this->world
        ->only('mira', 'PUT', "/orders/{$order}/items/{$item}", ['outcome' => $outcome, 'disposition' => null, 'version' => 1])
        ->assertOk();
    if ($drawn) {
        DB::table('item_documents')->insert(['item_id' => $this->world->items['200-0010'], 'document_id' => $this->world->items[$item]]);
    }
    $found = App\Orders\Models\ChangeOrder::query()->where('number', $order)->sole();
    $core = app(App\Orders\OrderReader::class)->toCore($found);
    expect(app(App\ChangeNotices\TouchedReader::class)->of($found, $core)->products)->toBe(['200-0001']);
})->with([
    'data of a part' => ['200-0042', 'data', false],
    'what plants build' => ['200-0010', 'build', false],
    'the product itself' => ['200-0001', 'build', false],
    'a drawing of a part' => ['710-0001', 'data', true],
]);
