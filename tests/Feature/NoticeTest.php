<?php

declare(strict_types=1);

use App\Notices\ToldAct;
use Carbon\CarbonImmutable;
use Illuminate\Mail\Transport\ArrayTransport;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Facades\Mail;
use Illuminate\Testing\TestResponse;
use Symfony\Component\Mailer\Envelope;
use Symfony\Component\Mailer\Exception\UnexpectedResponseException;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mime\Email;
use Symfony\Component\Mime\RawMessage;
use Tests\Feature\Support\World;

/*
 * Who is told of what: in the product at once, by mail as each person wants it, once, and never of what they did themselves.
 */

beforeEach(function (): void {
    config(['mail.default' => 'array']);
    $this->world = new World($this);
    $this->told = fn(string $who, string $query = ''): array => array_map(
        static fn(array $row): string => "{$row['change']} {$row['what']} ({$row['cause']})",
        $this->world
            ->as($who, 'GET', "/notices{$query}")
            ->assertOk()
            ->json('rows'),
    );
    $this->task = fn(string $change, string $to, string $title = 'Ask for a price'): TestResponse => $this->world->only(
        'mira',
        'POST',
        "/changes/{$change}/tasks",
        ['to' => $to, 'kind' => 'purchasing', 'title' => $title, 'text' => '', 'priority' => 'normal', 'checks' => [], 'waits_for' => []],
    );
    // To whom, and what about, in the order in which they went out.
    $this->mails = fn(): array => array_map(
        static fn($sent): string => implode(': ', [
            $sent->getEnvelope()->getRecipients()[0]->getAddress(),
            $sent->getOriginalMessage()->getSubject(),
        ]),
        Mail::mailer('array')->getSymfonyTransport()->messages()->all(),
    );
    $this->raised = fn(): string => $this->world->as('jonas', 'POST', '/requests', $this->world->request())->json('number');
});

it('tells those who have to act and those who take part, in the order of the work, and nobody of their own acts', function (): void {
    $order = $this->world->signed();
    $request = 'ECR-00001';
    expect(array_reverse(($this->told)('mira')))
        ->toBe(["{$request} Request created (to_do)", "{$order} Sent to review (takes_part)", "{$order} Signed (to_do)"])
        ->and(array_reverse(($this->told)('helen')))
        ->toBe([
            "{$request} Finding recorded (to_do)",
            "{$order} Order planned (takes_part)",
            "{$order} Opened for revision (takes_part)",
            "{$order} Sent to review (to_do)",
        ])
        ->and(array_reverse(($this->told)('jonas')))
        ->toContain("{$request} Request approved (takes_part)", "{$order} Opened for revision (to_do)", "{$order} Signed (takes_part)")
        ->not->toContain("{$order} Sent to review (takes_part)")
        ->and(($this->told)('vera'))
        ->toBe([]);
});

it('tells of a task those whose task it is, of a comment whom it names, and tells everybody once', function (): void {
    $request = ($this->raised)();
    $task = ($this->task)($request, 'helen')->assertOk()->json('number');
    $this->world->only('helen', 'POST', "/tasks/{$task}/comments", ['text' => 'Is it urgent, @mira and @edda? @nobody @helen'])->assertOk();
    expect(($this->told)('helen'))
        ->toBe(["{$request} Task created (to_do)"])
        ->and(($this->told)('edda'))
        ->toBe(["{$request} Comment on a task (mentioned)"])
        ->and(($this->told)('mira'))
        ->toBe(["{$request} Comment on a task (mentioned)", "{$request} Request created (to_do)"])
        ->and(($this->told)('jonas'))
        ->toBe([])
        ->and($this->world->as('edda', 'GET', '/notices')->json('rows.0.path'))
        ->toBe("/tasks/{$task}");
});

it('tells whoever watches an item of changes that begin and end on it, and of what is said there', function (): void {
    Http::fake([
        '*/supply' => Http::response(['rows' => []]),
        '*/items/unknown' => Http::response(['unknown' => []]),
        '*' => Http::response([]),
    ]);
    $this->world
        ->only('vera', 'PUT', '/changes/200-0010/watch')
        ->assertOk()
        ->assertExactJson(['watching' => true]);
    $this->world->only('vera', 'PUT', '/changes/not-there/watch')->assertNotFound();
    $order = $this->world->signed();
    $this->world->only('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();
    expect(array_reverse(($this->told)('vera')))->toBe([
        'ECR-00001 Request created (watches)',
        'ECR-00001 Request approved (watches)',
        "{$order} Opened for revision (watches)",
        "{$order} Order released (watches)",
    ]);
    $this->world->only('mira', 'POST', '/discussions/200-0010', ['text' => 'Softer in the heat.', 'about' => ''])->assertOk();
    expect(($this->told)('vera')[0])->toBe('200-0010 Comment (watches)');
    $this->world->only('vera', 'DELETE', '/changes/200-0010/watch')->assertOk();
    ($this->raised)();
    expect(($this->told)('vera'))->toHaveCount(5);
});

it('tells whoever watches a change, also of the order that comes of it, until they stop', function (): void {
    $request = ($this->raised)();
    $watch = fn(string $method): TestResponse => $this->world->only('vera', $method, "/changes/{$request}/watch");
    $watch('GET')
        ->assertOk()
        ->assertExactJson(['watching' => false]);
    $watch('PUT')
        ->assertOk()
        ->assertExactJson(['watching' => true]);
    $watch('PUT')->assertOk();
    $this->world->only('mira', 'POST', "/requests/{$request}/finding", ['finding' => 'Two parts.', 'version' => 1])->assertOk();
    $this->world
        ->only('mira', 'POST', "/requests/{$request}/decision", ['decision' => 'approved', 'reason' => 'Yes.', 'version' => 2])
        ->assertOk();
    $order = $this->world
        ->only('mira', 'POST', "/requests/{$request}/order")
        ->assertOk()
        ->json('number');
    expect(array_reverse(($this->told)('vera')))->toContain(
        "{$request} Finding recorded (watches)",
        "{$request} Request approved (watches)",
        "{$request} Turned into an order (watches)",
    );
    $this->world->only('mira', 'POST', "/orders/{$order}/hold", ['reason' => 'A sample is late.', 'version' => 1])->assertOk();
    expect(($this->told)('vera')[0])->toBe("{$order} Order put on hold (watches)");
    $watch('DELETE')
        ->assertOk()
        ->assertExactJson(['watching' => false]);
    $before = count(($this->told)('vera'));
    $this->world
        ->only('mira', 'DELETE', "/orders/{$order}/hold", ['reason' => 'It is there.', 'moves' => false, 'version' => 2])
        ->assertOk();
    expect(($this->told)('vera'))->toHaveCount($before);
    $this->world->only('vera', 'PUT', '/changes/ECR-99999/watch')->assertNotFound();
});

it('counts what is not read, marks it as read and unread again, and shows everybody their own only', function (): void {
    $request = ($this->raised)();
    ($this->task)($request, 'helen', 'One');
    ($this->task)($request, 'helen', 'Two');
    $unread = fn(string $who = 'helen'): int => $this->world->as($who, 'GET', '/notices/unread')->json('unread');
    $ids = array_column($this->world->as('helen', 'GET', '/notices')->json('rows'), 'id');
    $mark = fn(array $body, string $who = 'helen'): TestResponse => $this->world->only($who, 'POST', '/notices/read', $body);
    expect($unread())->toBe(2);
    // Somebody else marks them in vain.
    $mark(['read' => true, 'ids' => $ids], 'mira')->assertOk();
    expect($unread())->toBe(2);
    $mark(['read' => true, 'ids' => [$ids[0]]])
        ->assertOk()
        ->assertExactJson(['unread' => 1]);
    expect(($this->told)('helen', '?unread=1'))->toHaveCount(1)->and(($this->told)('helen'))->toHaveCount(2);
    $mark(['read' => false, 'ids' => [$ids[0]]])->assertExactJson(['unread' => 2]);
    $mark(['read' => true, 'up_to' => $ids[1]])->assertExactJson(['unread' => 1]);
    expect(($this->told)('helen', '?change=ECR-99999'))->toBe([])->and(($this->told)('helen', "?change={$request}"))->toHaveCount(2);
    $mark(['read' => true])
        ->assertStatus(422)
        ->assertJsonPath('errors.ids.0', 'Choose notices.');
    $mark(['read' => 'maybe', 'ids' => []])
        ->assertStatus(422)
        ->assertJsonPath('errors.read.0', 'Say whether they are read.');
    $mark(['read' => true, 'ids' => range(1, 501)])
        ->assertStatus(422)
        ->assertJsonPath('errors.ids.0', 'At most 500 at once.');
});

it('gives long lists in pages', function (): void {
    $request = ($this->raised)();
    foreach (range(1, 120) as $i) {
        ($this->task)($request, 'helen', "Task {$i}");
    }
    $page = $this->world->as('helen', 'GET', '/notices?from=100')->json();
    expect($page['rows'])
        ->toHaveCount(20)
        ->and([$page['total'], $page['from'], $page['unread']])
        ->toBe([120, 100, 120])
        ->and($page['rows'][19]['about'])
        ->toContain('Task 1');
});

it('sends a mail at once where somebody has to act, once, with a link to the page', function (): void {
    $request = ($this->raised)();
    ($this->task)($request, 'helen', 'Draw the “tube”');
    Artisan::call('notices:mail');
    expect(($this->mails)())->toBe([
        "mira@quillback.example: {$request} Request created: Pump tube wears out",
        "helen@quillback.example: {$request} Task created: Pump tube wears out",
    ]);
    $mail = Mail::mailer('array')->getSymfonyTransport()->messages()->last()->getOriginalMessage();
    expect((string) $mail->getTextBody())
        ->toContain('Draw the “tube”', '/tasks/T-', 'Needs you')
        ->and((string) $mail->getHtmlBody())
        ->toContain('href="' . url('/tasks/T-'))
        ->and($mail->getHeaders()->get('Message-ID')?->getBodyAsString())
        ->toMatch('/^<[0-9a-f]{32}@/');
});

it('gathers the mails of an hour or of a day into one, as somebody wants, and sends none to who wants none', function (): void {
    $pace = fn(string $cause, string $pace): TestResponse => $this->world->only('helen', 'PUT', '/notices/paces', [
        'cause' => $cause,
        'pace' => $pace,
    ]);
    expect($this->world->as('helen', 'GET', '/notices/paces')->json())->toBe([
        ['cause' => 'to_do', 'pace' => 'at_once'],
        ['cause' => 'mentioned', 'pace' => 'at_once'],
        ['cause' => 'informed', 'pace' => 'at_once'],
        ['cause' => 'takes_part', 'pace' => 'daily'],
        ['cause' => 'watches', 'pace' => 'daily'],
    ]);
    $pace('to_do', 'hourly')->assertOk()->assertJsonPath('0.pace', 'hourly');
    $pace('to_do', 'sometimes')->assertStatus(422)->assertJsonPath('errors.pace.0', 'Choose when a mail is sent.');
    $pace('gossip', 'daily')->assertStatus(422)->assertJsonPath('errors.cause.0', 'Choose what for.');
    $this->travelTo(CarbonImmutable::parse('2026-11-26 14:20'));
    $request = ($this->raised)();
    ($this->task)($request, 'helen', 'One');
    $this->travelTo(CarbonImmutable::parse('2026-11-26 14:50'));
    ($this->task)($request, 'helen', 'Two');
    Artisan::call('notices:mail');
    expect(array_filter(($this->mails)(), static fn(string $one): bool => str_starts_with($one, 'helen')))->toBe([]);
    $this->travelTo(CarbonImmutable::parse('2026-11-26 15:00'));
    Artisan::call('notices:mail');
    Artisan::call('notices:mail');
    expect(array_values(array_filter(($this->mails)(), static fn(string $one): bool => str_starts_with($one, 'helen'))))->toBe([
        "helen@quillback.example: 2 notices: {$request}",
    ]);
    $pace('to_do', 'never');
    ($this->task)($request, 'helen', 'Three');
    $this->travelTo(CarbonImmutable::parse('2026-11-28 15:00'));
    Artisan::call('notices:mail');
    expect(array_filter(($this->mails)(), static fn(string $one): bool => str_contains($one, 'helen')))->toHaveCount(1);
});

it('loses nothing while the mail server is away, holds nobody up, and sends each mail once when it is back', function (): void {
    // Nobody listens there.
    config(['mail.default' => 'smtp', 'mail.mailers.smtp.port' => 1]);
    $request = ($this->raised)();
    ($this->task)($request, 'helen')->assertOk();
    Artisan::call('notices:mail');
    expect(Artisan::output())
        ->toContain('0 sent')
        ->and(($this->told)('helen'))
        ->toHaveCount(1)
        ->and(DB::table('notice_readers')->whereNotNull('mailed_at')->count())
        ->toBe(0);
    config(['mail.default' => 'array']);
    Artisan::call('notices:mail');
    Artisan::call('notices:mail');
    expect(($this->mails)())->toHaveCount(2);
});

it('sends to everybody else where the server refuses the address of one', function (): void {
    config(['mail.default' => 'picky', 'mail.mailers.picky' => ['transport' => 'picky']]);
    Mail::extend(
        'picky',
        static fn(): ArrayTransport => new class extends ArrayTransport {
            public function send(RawMessage $message, ?Envelope $envelope = null): ?SentMessage
            {
                return $message instanceof Email && str_starts_with($message->getTo()[0]->getAddress(), 'mira')
                    ? throw new UnexpectedResponseException('No such mailbox.', 550)
                    : parent::send($message, $envelope);
            }
        },
    );
    $request = ($this->raised)();
    ($this->task)($request, 'helen');
    Artisan::call('notices:mail');
    expect(DB::table('notice_readers')->join('people', 'people.id', 'person_id')->whereNotNull('mailed_at')->pluck('login')->all())
        ->toBe(['helen'])
        ->and(DB::table('notice_readers')->whereNull('mailed_at')->where('mail_due_at', '<=', now())->count())
        ->toBe(1);
    // Also of what was due before for whoever comes behind them.
    DB::table('notice_readers')->update(['mailed_at' => null]);
    Artisan::call('notices:mail');
    expect(Artisan::output())->toContain('1 sent', 'mira: No such mailbox.');
});

it('tells nobody of what was undone in the same breath', function (): void {
    $request = ($this->raised)();
    ($this->task)($request, 'nobody.here')->assertStatus(422);
    expect(DB::table('notices')->where('act', 'task.made')->count())
        ->toBe(0)
        ->and(DB::table('notices')->count())
        ->toBe(1);
});

it('says what happened in the words of the ledger', function (): void {
    $words = (string) file_get_contents(base_path('resources/js/register/acts.ts'));
    foreach (ToldAct::cases() as $act) {
        // That a day is over, or a message did not arrive, nobody does: it is in no ledger.
        if (str_starts_with($act->value, 'deadline.') || $act === ToldAct::NotDelivered) {
            continue;
        }
        expect($words)->toContain("'{$act->value}': '{$act->label()}'");
    }
});
