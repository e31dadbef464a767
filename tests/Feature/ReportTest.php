<?php

declare(strict_types=1);

use App\Problems\Models\ProblemReport;
use App\Requests\Models\ChangeRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->report = fn(array $other = [], string $by = 'jonas'): string => $this->world
        ->as(
            $by,
            'POST',
            '/reports',
            $other + [
                'title' => 'Pump tube torn',
                'source' => 'field',
                'site' => 'Weir',
                'severity' => 'high',
                'description' => 'Torn at the rollers after 160 hours in silt.',
                'serial' => 'H24-1',
                'items' => ['200-0040'],
            ],
        )
        ->assertOk()
        ->json('report.number');
    $this->act = fn(string $number, string $act, array $body = [], string $by = 'mira') => $this->world->as(
        $by,
        'POST',
        "/reports/{$number}/{$act}",
        $body + ['version' => (int) ProblemReport::query()->where('number', $number)->value('version')],
    );
});

it('gathers reports into one request that carries all they say', function (): void {
    $one = ($this->report)();
    $two = ($this->report)(['title' => 'Tube leaks', 'severity' => 'critical', 'items' => ['200-0010'], 'serial' => 'H12-7']);
    $request = $this->world
        ->as('mira', 'POST', '/requests', $this->world->request(['items' => ['200-0042'], 'reports' => [$one, $two]]))
        ->assertOk()
        ->assertJsonPath('requests.0.reports.*.number', [$one, $two])
        ->assertJsonPath('requests.0.items.*.number', ['200-0010', '200-0040', '200-0042'])
        ->json('number');
    $this->world
        ->as('vera', 'GET', "/reports/{$one}")
        ->assertOk()
        ->assertJsonPath('report.state', 'gathered')
        ->assertJsonPath('report.requests', [$request])
        ->assertJsonPath('requests.0.number', $request);

    // One report may be answered by several requests; taken off the last of them, it is open again.
    $second = $this->world->as('mira', 'POST', '/requests', $this->world->request())->json('number');
    $this->world
        ->as('mira', 'PUT', "/reports/{$one}/requests/{$second}")
        ->assertOk()
        ->assertJsonPath('report.requests', [$request, $second]);
    $this->world
        ->as('mira', 'DELETE', "/reports/{$one}/requests/{$second}")
        ->assertOk()
        ->assertJsonPath('report.state', 'gathered');
    $this->world->as('mira', 'DELETE', "/reports/{$one}/requests/{$second}")->assertStatus(422);
    $this->world
        ->as('mira', 'DELETE', "/reports/{$one}/requests/{$request}")
        ->assertOk()
        ->assertJsonPath('report.state', 'open');
    $this->world
        ->as('mira', 'PUT', "/reports/{$one}/requests/ECR-99999")
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['request']]);
    $this->artisan('ledger:verify')->assertSuccessful();
});

it('settles a report without a request, and takes it up again', function (): void {
    $number = ($this->report)();
    ($this->act)($number, 'answer', ['text' => ''])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['text']]);
    ($this->act)($number, 'answer', ['text' => 'A wrong lot.', 'version' => 99])->assertStatus(409);
    ($this->act)($number, 'answer', ['text' => 'A wrong lot.'])
        ->assertOk()
        ->assertJsonPath('report.state', 'answered')
        ->assertJsonPath('answer', 'A wrong lot.');
    ($this->act)($number, 'return', ['text' => 'Which one?'])->assertStatus(422);
    ($this->act)($number, 'reopening')->assertOk()->assertJsonPath('report.state', 'open');
    ($this->act)($number, 'return', ['text' => 'Which serial?'])
        ->assertOk()
        ->assertJsonPath('report.state', 'returned');
    $this->world
        ->as('jonas', 'GET', '/desk')
        ->assertJsonPath('tasks.0.todo', 'Answer what was asked')
        ->assertJsonPath('tasks.0.change.number', $number);
    ($this->act)($number, 'reply', ['text' => 'H24-1877.'], 'edda')->assertStatus(422);
    ($this->act)($number, 'reply', ['text' => 'H24-1877.'], 'jonas')
        ->assertOk()
        ->assertJsonPath('report.state', 'open')
        ->assertJsonPath('description', "Torn at the rollers after 160 hours in silt.\n\nAsked: Which serial?\nJonas answers: H24-1877.");
});

it('shows likely duplicates and lets one report stand for all of the same', function (): void {
    $one = ($this->report)();
    ($this->report)(['title' => 'Display fades', 'description' => 'In the sun.', 'items' => ['600-0014']]);
    $like = fn(string $query) => $this->world->as('vera', 'GET', "/reports-like?{$query}")->assertOk();
    $like('title=Tube+tears&description=rollers+tore+it&items=200-0040')
        ->assertJsonPath('*.number', [$one])
        ->assertJsonPath('0.likeness', fn(int $likeness): bool => $likeness >= 50);
    $like('title=torn+at+the+rollers')->assertJsonPath('*.number', [$one]);
    // Typed in a hurry, and no item named.
    $like('title=Silt+at+the+rolelrs')->assertJsonPath('*.number', [$one]);
    $like("title=%27%29%3A%2A%26%21%7C&items=200-0040&except={$one}")->assertJsonPath('*.number', []);
    $two = ($this->report)(['title' => 'Same again']);
    $three = ($this->report)(['title' => 'And again']);
    ($this->act)($three, 'duplicate', ['of' => $two])
        ->assertOk()
        ->assertJsonPath('same_as', $two);
    ($this->act)($two, 'duplicate', ['of' => $two])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['of']]);
    ($this->act)($two, 'duplicate', ['of' => $three])->assertStatus(422);
    ($this->act)($two, 'duplicate', ['of' => $one])->assertOk();
    $this->world->as('vera', 'GET', "/reports/{$one}")->assertJsonPath('duplicates.*.number', [$two, $three]);
    ($this->act)($three, 'reopening')->assertOk()->assertJsonPath('same_as', null);
});

it('shows what is critical to everyone whose job it is, and to nobody else', function (): void {
    $critical = ($this->report)(['severity' => 'critical']);
    $request = $this->world->as('jonas', 'POST', '/requests', $this->world->request())->json('number');
    ($this->report)(['severity' => 'low']);
    foreach (['mira', 'helen', 'nils', 'tomas'] as $watcher) {
        $this->world
            ->as($watcher, 'GET', '/desk')
            ->assertOk()
            ->assertJsonPath('critical.*.number', [$critical, $request]);
    }
    $this->world->as('vera', 'GET', '/desk')->assertJsonPath('critical', []);
    ($this->act)($critical, 'answer', ['text' => 'Seen to.'])->assertOk();
    $this->world->as('mira', 'GET', '/desk')->assertJsonPath('critical.*.number', [$request]);
});

it('finds reports by words, serial number, item, source and state, in few questions', function (): void {
    $one = ($this->report)(['serial' => 'H24-01877']);
    $two = ($this->report)(['source' => 'audit', 'items' => ['600-0014'], 'title' => 'Screw loose', 'description' => 'Found at an audit.']);
    ($this->act)($two, 'answer', ['text' => 'No.']);
    $find = fn(string $query): array => $this->world
        ->as('vera', 'GET', "/reports?{$query}")
        ->assertOk()
        ->json('rows.*.number');
    expect($find(''))
        ->toBe([$one])
        ->and($find('show=all'))
        ->toBe([$two, $one])
        ->and($find('show=settled'))
        ->toBe([$two])
        ->and($find('words=01877'))
        ->toBe([$one])
        ->and($find('words=tearing'))
        ->toBe([])
        ->and($find('words=roller'))
        ->toBe([$one])
        ->and($find('show=all&source=audit'))
        ->toBe([$two])
        ->and($find('show=all&item=600-0014'))
        ->toBe([$two]);
    for ($i = 0; $i < 20; $i++) {
        ($this->report)();
    }
    DB::enableQueryLog();
    $find('show=all');
    expect(count(DB::getQueryLog()))->toBeLessThan(8);
});

it('keeps evidence with a report and shows it in the request, nothing of it running', function (): void {
    $number = ($this->report)();
    $bring = fn(string $to, string $content, string $name = 'photo.png') => $this->world->sends('jonas', "/{$to}/files", [
        'role' => 'evidence',
        'file' => UploadedFile::fake()->createWithContent($name, $content),
    ]);
    $bring("reports/{$number}", 'MZ not a picture')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['file']]);
    $svg = '<svg xmlns="http://www.w3.org/2000/svg"><rect width="3"/></svg>';
    $id = $bring("reports/{$number}", $svg, 'torn.svg')
        ->assertOk()
        ->assertJsonPath('files.0.name', 'torn.svg')
        ->json('files.0.id');
    $bring("reports/{$number}", $svg, 'again.svg')->assertStatus(422);
    expect(
        $this->world
            ->as('vera', 'GET', "/change-files/{$id}")
            ->assertOk()
            ->headers->get('Content-Security-Policy'),
    )
        ->toContain("default-src 'none'")
        ->toContain('sandbox');
    $request = $this->world
        ->as('mira', 'POST', '/requests', $this->world->request(['reports' => [$number]]))
        ->assertJsonPath('requests.0.files.0.id', $id)
        ->json('number');
    $bring("requests/{$request}", str_replace('width="3"', 'width="4"', $svg), 'more.svg')
        ->assertOk()
        ->assertJsonPath('requests.0.files.0.name', 'more.svg');
    $this->world->as('mira', 'DELETE', "/change-files/{$id}")->assertStatus(422);
    expect(DB::table('change_files')->count())->toBe(2);
});

it('gathers requests into one, splits one, and takes both back', function (): void {
    $report = ($this->report)(['items' => ['600-0014']]);
    $one = $this->world
        ->as('jonas', 'POST', '/requests', $this->world->request(['priority' => 'low', 'items' => ['200-0010', '200-0040']]))
        ->json('number');
    $two = $this->world
        ->as(
            'jonas',
            'POST',
            '/requests',
            $this->world->request(['title' => 'Screws', 'description' => 'Loose.', 'items' => ['600-0014'], 'reports' => [$report]]),
        )
        ->json('number');
    $gather = fn(array $others, int $version, string $by = 'mira') => $this->world->as($by, 'POST', "/requests/{$one}/gathering", [
        'requests' => $others,
        'version' => $version,
    ]);
    $gather([$two], 1, 'jonas')->assertForbidden();
    $gather([], 1)->assertStatus(422);
    $gather([$one], 1)->assertStatus(422);
    $gather(['ECR-99999'], 1)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['requests']]);
    $gather([$two], 7)->assertStatus(409);
    $gather([$two], 1)
        ->assertOk()
        ->assertJsonPath('requests.0.items.*.number', ['200-0010', '200-0040', '600-0014'])
        ->assertJsonPath('requests.0.priority', 'critical')
        ->assertJsonPath('requests.0.gathered.0.number', $two)
        ->assertJsonPath('requests.0.reports.0.number', $report)
        ->assertJsonPath('requests.0.description', fn(string $text): bool => str_contains($text, "From {$two}, Screws: Loose."));
    $this->world
        ->as('vera', 'GET', "/dossiers/{$two}")
        ->assertOk()
        ->assertJsonPath('requests.0.gathered_into', $one)
        ->assertJsonPath('requests.0.state', 'gathered');
    expect($this->world->as('vera', 'GET', '/changes?show=open')->json('rows.*.number'))->not->toContain($two);
    $this->world->as('mira', 'POST', "/requests/{$two}/finding", ['finding' => 'No.', 'version' => 2])->assertStatus(422);
    $this->world
        ->as('mira', 'POST', "/requests/{$two}/apart", ['version' => 2])
        ->assertOk()
        ->assertJsonPath('requests.0.state', 'raised')
        ->assertJsonPath('requests.0.reports.0.number', $report);
    $this->world->as('vera', 'GET', "/dossiers/{$one}")->assertJsonPath('requests.0.reports.0.number', $report);

    $split = fn(array $body) => $this->world->as(
        'mira',
        'POST',
        "/requests/{$one}/split",
        $body + ['title' => 'The tube alone', 'version' => (int) ChangeRequest::query()->where('number', $one)->value('version')],
    );
    $split(['items' => ['200-0010', '200-0040', '600-0014']])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['items']]);
    $split(['items' => ['710-0001']])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['items']]);
    $split(['items' => ['200-0040'], 'reports' => ['PR-00099']])->assertStatus(422);
    $split(['items' => ['200-0040'], 'title' => ''])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['title']]);
    $new = $split(['items' => ['200-0040']])
        ->assertOk()
        ->assertJsonPath('requests.0.split_from', $one)
        ->assertJsonPath('requests.0.items.*.number', ['200-0040'])
        ->json('number');
    $this->world
        ->as('vera', 'GET', "/dossiers/{$one}")
        ->assertJsonPath('requests.0.split_off', [$new])
        ->assertJsonPath('requests.0.items.*.number', ['200-0010', '600-0014']);
    $this->artisan('ledger:verify')->assertSuccessful();
});

it('refuses a report that says too little, each reason at its place, and saves nothing', function (array $body, string $place): void {
    $this->world
        ->as(
            'jonas',
            'POST',
            '/reports',
            $body + [
                'title' => 'Torn',
                'source' => 'field',
                'site' => 'Weir',
                'severity' => 'high',
                'description' => 'Torn.',
                'serial' => '',
                'items' => ['200-0040'],
            ],
        )
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => [$place]]);
    expect(DB::table('problem_reports')->count())
        ->toBe(0)
        ->and(DB::table('number_ranges')->where('name', 'report')->value('next'))
        ->toBe(1);
    $this->world->as('vera', 'POST', '/reports', $body)->assertForbidden();
})->with([
    [['title' => ''], 'title'],
    [['title' => str_repeat('x', 201)], 'title'],
    [['source' => 'moon'], 'source'],
    [['site' => ''], 'site'],
    [['severity' => 'worst'], 'severity'],
    [['description' => ''], 'description'],
    [['items' => []], 'items'],
    [['items' => ['none']], 'items'],
    [['items' => ['200-0040', '200-0040']], 'items.1'],
]);

it('lets nobody approve what they proposed themselves, also gathered into the request of another', function (): void {
    $raise = fn(string $by) => $this->world->as($by, 'POST', '/requests', $this->world->request())->assertOk()->json('number');
    $one = $raise('jonas');
    $own = $raise('mira');
    $this->world->as('mira', 'POST', "/requests/{$one}/gathering", ['requests' => [$own], 'version' => 1])->assertOk();
    $version = fn(): int => (int) ChangeRequest::query()->where('number', $one)->value('version');
    $this->world->as('mira', 'POST', "/requests/{$one}/finding", ['finding' => 'Feasible.', 'version' => $version()])->assertOk();
    $this->world
        ->as('mira', 'POST', "/requests/{$one}/decision", ['decision' => 'approved', 'reason' => 'Mine.', 'version' => $version()])
        ->assertStatus(422)
        ->assertJsonPath('errors.decision.0', fn(string $why): bool => str_contains($why, 'gathered into it'));
    $this->world
        ->as('helen', 'POST', "/requests/{$one}/decision", ['decision' => 'approved', 'reason' => 'Needed.', 'version' => $version()])
        ->assertOk();
});
