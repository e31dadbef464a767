<?php

declare(strict_types=1);

use App\Days\OfficeDays;
use App\Days\Today;
use App\Notices\PersonalCalendar;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\RequestPath;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    Http::fake(['*/supply' => Http::response(['rows' => []]), '*/items/unknown' => Http::response(['unknown' => []])]);
    $this->world = new World($this);
    $this->path = new RequestPath($this->world);
});

it('is judged step by step from its finding on, and approved with the last', function (): void {
    $request = $this->path->judged();
    expect($this->path->standings($request))
        ->toBe(['now', 'now', 'not_needed', 'ahead'])
        // Jonas raised it.
        ->and($this->path->acting($request))
        ->toBe(['edda', 'tomas', 'vera']);
    $this->path
        ->sign('helen', $request)
        ->assertStatus(422)
        ->assertJsonPath('errors.signer.0', 'The path of this request asks other people now.');
    $this->path
        ->sign('jonas', $request)
        ->assertStatus(422)
        ->assertJsonPath('errors.signer.0', fn(string $why): bool => str_contains($why, 'You raised'));
    $this->path
        ->sign('vera', $request, ['password' => 'wrong'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['password']]);
    $this->path->sign('vera', $request, ['reason' => 'Tears were seen.'])->assertOk();
    $this->path->sign('vera', $request)->assertStatus(422);
    // Side by side, without a password.
    $this->path->sign('tomas', $request, ['password' => ''])->assertOk();
    $this->path->sign('edda', $request)->assertOk();
    expect($this->path->standings($request))
        ->toBe(['done', 'done', 'not_needed', 'now'])
        ->and($this->path->acting($request))
        ->toBe(['helen']);
    $this->path
        ->sign('helen', $request)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['checks']]);
    $this->path->sign('helen', $request, ['checks' => ['Users warned'], 'reason' => 'At once.'])->assertOk();
    $approved = RequestPath::of($request);
    expect($approved->state->value)
        ->toBe('approved')
        ->and($approved->decidedBy?->login)
        ->toBe('helen')
        ->and($approved->decision_reason)
        ->toBe("Vera: Tears were seen.\nHelen: At once.")
        ->and($this->path->acting($request))
        ->toBe([])
        ->and(DB::table('signatures')->where('request_id', $approved->id)->orderBy('id')->pluck('said')->all())
        ->toBe(['reviewed', 'approved', 'reviewed', 'approved'])
        // What was signed stays on the page, and the request becomes an order like any other.
        ->and($this->path->standings($request))
        ->toBe(['done', 'done', 'not_needed', 'done']);
    $this->world->only('mira', 'POST', "/requests/{$request}/order")->assertOk();
    expect($this->path->standings($request))->toBe(['done', 'done', 'not_needed', 'done']);
});

it('is not decided by one person while it goes on a path', function (): void {
    $request = $this->path->judged();
    $this->world
        ->only('helen', 'POST', "/requests/{$request}/decision", [
            'decision' => 'approved',
            'reason' => 'Quick.',
            'version' => RequestPath::of($request)->version,
        ])
        ->assertStatus(422)
        ->assertJsonPath('errors.decision.0', 'This request is judged on its approval path, step by step.');
    // And off it again it is.
    $this->path->choose($request, null)->assertOk();
    $this->world
        ->only('helen', 'POST', "/requests/{$request}/decision", [
            'decision' => 'approved',
            'reason' => 'Quick.',
            'version' => RequestPath::of($request)->version,
        ])
        ->assertOk();
    expect(RequestPath::of($request)->state->value)->toBe('approved');
});

it('makes void what was signed of something else than it is now, and says so', function (string $what): void {
    $request = $this->path->judged();
    $this->path->sign('vera', $request)->assertOk();
    $stale = $this->path->seen($request, 'edda')['digest'];
    $done = match ($what) {
        'finding' => $this->path->find($request, 'Feasible, and dearer.'),
        'question' => $this->world->only('mira', 'POST', "/requests/{$request}/questions", [
            'items' => ['200-0010'],
            'function' => 'quality',
            'topic' => 'certificate',
            'text' => 'How long?',
            'to' => 'tomas',
            'due_on' => '2099-01-01',
        ]),
        'report' => $this->world->only(
            'mira',
            'PUT',
            '/reports/' .
                $this->world
                    ->only('mira', 'POST', '/reports', [
                        'title' => 'Torn',
                        'description' => 'Torn again.',
                        'site' => 'Weir',
                        'source' => 'field',
                        'severity' => 'high',
                        'items' => ['200-0010'],
                    ])
                    ->json('number') .
                "/requests/{$request}",
        ),
    };
    $done->assertOk();
    expect($this->path->seen($request)['signatures'][0])
        ->toMatchArray(['person' => 'Vera', 'void' => true])
        ->and($this->path->acting($request))
        ->toBe(['edda', 'tomas', 'vera'])
        ->and(DB::table('ledger')->where('subject', $request)->where('act', 'request.signatures_void')->count())
        ->toBe(1);
    $this->world
        ->only('edda', 'POST', "/requests/{$request}/path/signature", ['password' => 'secret', 'digest' => $stale])
        ->assertStatus(422)
        ->assertJsonPath('errors.request.0', 'The request is not what you had on screen. Read it again before you sign.');
    $this->path->sign('vera', $request)->assertOk();
})->with(['finding', 'question', 'report']);

it('goes back to an earlier stage, or to whoever raised it, who answers', function (): void {
    $request = $this->path->judged();
    $this->path->signFirstStage($request);
    $back = fn(string $who, int $stage): TestResponse => $this->world->only($who, 'POST', "/requests/{$request}/path/sent-back", [
        'stage' => $stage,
        'reason' => 'Say which lot.',
    ]);
    $back('edda', 1)->assertStatus(422);
    $back('helen', 2)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['stage']]);
    $back('helen', 1)->assertOk();
    expect($this->path->standings($request))
        ->toBe(['now', 'now', 'not_needed', 'ahead'])
        ->and(RequestPath::of($request)->state->value)
        ->toBe('assessing');
    $this->path->sign('vera', $request)->assertOk();
    $back('edda', 0)->assertOk();
    expect(RequestPath::of($request)->state->value)
        ->toBe('returned')
        ->and($this->path->acting($request))
        ->toBe([]);
    $this->world
        ->only('jonas', 'POST', "/requests/{$request}/answer", ['answer' => 'Lot 12.', 'version' => RequestPath::of($request)->version])
        ->assertOk();
    $this->path->find($request)->assertOk();
    expect($this->path->standings($request))->toBe(['now', 'now', 'not_needed', 'ahead']);
});

it('is rejected by whoever is asked, with a reason, and by nobody else', function (): void {
    $request = $this->path->judged();
    $reject = fn(string $who, string $why): TestResponse => $this->world->only($who, 'POST', "/requests/{$request}/path/rejection", [
        'reason' => $why,
    ]);
    $reject('helen', 'No.')->assertStatus(422);
    $reject('vera', '')->assertStatus(422)->assertJsonPath('errors.reason.0', 'Give the reason.');
    $reject('vera', 'Not seen since May.')->assertOk();
    expect(RequestPath::of($request))
        ->state->value->toBe('rejected')
        ->decision_reason->toBe('Not seen since May.')
        ->decidedBy->login->toBe('vera');
    $this->path->sign('edda', $request)->assertStatus(422)->assertJsonPath('errors.request.0', 'This request is decided already.');
});

it('waits for the tasks of a stage, and is approved with the last of them where all is signed', function (): void {
    $task = static fn(int $stage, string $title, string $to): array => [
        'stage' => $stage,
        'kind' => 'other',
        'title' => $title,
        'to' => $to,
        'holds' => true,
        'due_days' => 2,
        'checks' => [],
        'edits' => [],
    ];
    $request = $this->path->judged(['tasks' => [$task(1, 'Assess the risk', 'role:originator'), $task(3, 'Warn users', 'edda')]]);
    $open = static fn(): array => DB::table('tasks')->where('change', $request)->where('state', 'claimed')->pluck('number', 'title')->all();
    expect(array_keys($open()))->toBe(['Assess the risk']);
    $this->path->signFirstStage($request);
    // Nobody signs, and it says what it waits for.
    expect($this->path->seen($request)['path'])
        ->toMatchArray(['stage' => 1, 'waits_for' => ['Assess the risk']])
        ->and($this->path->acting($request))
        ->toBe([])
        ->and($this->world->as('mira', 'GET', "/dossiers/{$request}")->json('steps.1.missing'))
        ->toBe(['It waits for Assess the risk.']);
    $done = fn(string $who, string $number): TestResponse => $this->world->only($who, 'POST', "/tasks/{$number}/done", [
        'text' => 'Small.',
        'version' => DB::table('tasks')->where('number', $number)->value('version'),
    ]);
    $done('jonas', $open()['Assess the risk'])->assertOk();
    expect($this->path->acting($request))
        ->toBe(['helen'])
        ->and(array_keys($open()))
        ->toBe(['Warn users'])
        ->and(DB::table('ledger')->where('subject', $request)->where('act', 'request.moved_on')->count())
        ->toBe(1);
    $this->path->sign('helen', $request, ['checks' => ['Users warned']])->assertOk();
    expect(RequestPath::of($request)->state->value)->toBe('assessing');
    $done('edda', $open()['Warn users'])->assertOk();
    expect(RequestPath::of($request))->state->value->toBe('approved')->decidedBy->login->toBe('helen');
});

it('withdraws the tasks of a path that it leaves, and of a request that is rejected', function (): void {
    $task = [
        'stage' => 1,
        'kind' => 'other',
        'title' => 'Ask',
        'to' => 'edda',
        'holds' => true,
        'due_days' => null,
        'checks' => [],
        'edits' => [],
    ];
    $request = $this->path->judged(['tasks' => [$task]]);
    $state = static fn(): mixed => DB::table('tasks')->where('change', $request)->orderByDesc('id')->value('state');
    expect($state())->toBe('claimed');
    $this->path->choose($request, null)->assertOk();
    expect($state())->toBe('withdrawn');
    $this->path->choose($request, 'board')->assertOk();
    $this->world->only('vera', 'POST', "/requests/{$request}/path/rejection", ['reason' => 'No.'])->assertOk();
    expect($state())->toBe('withdrawn');
});

it('tells those whom the path asks now, each once, and who takes part', function (): void {
    $told = fn(string $who): array => array_reverse(
        array_map(
            static fn(array $row): string => "{$row['what']} ({$row['cause']})",
            $this->world->as($who, 'GET', '/notices')->json('rows'),
        ),
    );
    $request = $this->path->judged();
    expect($told('vera'))
        ->toBe(['Finding recorded (to_do)'])
        ->and($told('helen'))
        ->toBe([]);
    $this->path->signFirstStage($request);
    expect($told('helen'))
        ->toBe(['Request signed (to_do)'])
        // The others have been asked already: of what the next one does they are told as those who take part.
        ->and($told('edda'))
        ->toBe(['Finding recorded (to_do)', 'Request signed (takes_part)'])
        ->and($told('jonas'))
        ->toContain('Request signed (takes_part)');
    $this->path->find($request, 'Feasible, and dearer.')->assertOk();
    expect($told('vera'))->toContain('Signatures void (to_do)');
});

it('is due, and overdue, for those whom it asks, in their notices and in their calendars', function (): void {
    $this->travelTo(CarbonImmutable::parse('next monday 09:00'));
    $request = $this->path->judged(['steps' => [['remind_days' => 1] + $this->path->steps[0], ...array_slice($this->path->steps, 1)]]);
    $due = OfficeDays::after(Today::day(), 3);
    $calendar = fn(string $who): string => PersonalCalendar::of($this->world->people[$who]);
    expect($calendar('vera'))
        ->toContain("{$request} review due: Quality")
        ->and($calendar('helen'))
        ->not->toContain($request);
    $told = fn(string $who): array => array_map(
        static fn(array $row): string => "{$row['what']}: {$row['about']} {$row['path']}",
        $this->world->as($who, 'GET', '/notices')->json('rows'),
    );
    foreach (['Due soon', 'Overdue'] as $what) {
        $this->travelTo(CarbonImmutable::parse((string) OfficeDays::after(Today::day(), 2))->setTime(8, 0));
        expect(Artisan::call('notices:deadlines'))->toBe(0);
        expect($told('vera'))->toContain("{$what}: Quality, due {$due->spelled()} /changes/{$request}/decision");
    }
    expect($told('helen'))->toBe([]);
});
