<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Tests\Feature\Support\World;

// What two people do at once while a request is assessed: the later one is told, and shown both; nothing is lost.

beforeEach(function (): void {
    $this->world = new World($this);
    $this->world->people['edda']->update(['roles' => ['coordinator']]);
    Http::fake(['*/supply' => Http::response(['rows' => []])]);
    $this->request = $this->world
        ->as('jonas', 'POST', '/requests', $this->world->request(['items' => ['200-0040', '200-0010']]))
        ->assertOk()
        ->json('number');
});

it('does not let one of a group write over an answer that came meanwhile', function (): void {
    $this->world->people['jonas']->update(['roles' => ['quality']]);
    $id = $this->world
        ->as('mira', 'POST', "/requests/{$this->request}/questions", [
            'items' => ['200-0040'],
            'function' => 'quality',
            'topic' => 'certificate',
            'text' => 'Does it have to follow?',
            'to' => 'quality',
            'due_on' => World::day(5),
        ])
        ->assertOk()
        ->json('questions.0.id');
    $answer = fn(string $by, string $text, int $seen = 0) => $this->world->as($by, 'POST', "/questions/{$id}/answer", [
        'answer' => $text,
        'seen' => $seen,
    ]);
    $answered = $answer('nils', 'Yes, a new type test.')->assertOk()->json('questions.0.version');
    $answer('jonas', 'No.')
        ->assertStatus(409)
        ->assertJsonPath('theirs.answer', 'Yes, a new type test.')
        ->assertJsonPath('message', 'Nils answered meanwhile. Yours was not saved; look at both.');
    expect(DB::table('questions')->value('answer'))->toBe('Yes, a new type test.');
    // Who has seen it may correct it; whoever answered may so in any case.
    $answer('jonas', 'Yes, but the old one holds until then.', $answered)->assertOk();
    $answer('jonas', 'Yes. The old one holds until then.')->assertOk();
    $answer('nils', 'Mine again.', $answered)->assertStatus(409);
});

it('does not let a figure be said over one that was not seen', function (): void {
    $say = fn(string $by, string $amount, ?int $seen = null) => $this->world->as($by, 'POST', "/requests/{$this->request}/figures", [
        'kind' => 'one_time',
        'subject' => 'Gauge',
        'amount' => $amount,
        'reason' => "Offer for {$amount}.",
        'seen' => $seen,
    ]);
    $first = $say('mira', '186')->assertOk()->json('one_time.0.said.id');
    $say('edda', '190')->assertStatus(409)->assertJsonPath('theirs.reason', 'Offer for 186.');
    expect(DB::table('figures')->pluck('amount')->all())->toBe([1_860_000]);
    $second = $say('edda', '190', $first)->assertOk()->assertJsonPath('one_time.0.amount', '190.00')->json('one_time.0.said.id');
    expect($second)->not->toBe($first);
    // What was seen is gone: saying it again, and taking it back, are told so.
    $say('mira', '200', $first)->assertStatus(409);
    $this->world->as('mira', 'DELETE', "/requests/{$this->request}/figures/{$first}")->assertStatus(422);
    $say('edda', '195')->assertOk();
    $say('mira', '200', -1)->assertStatus(409);
    $this->world
        ->as('mira', 'POST', "/requests/{$this->request}/figures", [
            'kind' => 'one_time',
            'subject' => 'Gauge',
            'amount' => '1',
            'reason' => 'x',
            'seen' => 'all',
        ])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['seen']]);
});

it('does not let a row of the reach be decided over a decision that was not seen', function (): void {
    $subject = 'product ' . $this->world->items['200-0001'];
    $decide = fn(string $by, ?bool $taken, array $seen = []) => $this->world->as($by, 'POST', "/requests/{$this->request}/reach", [
        'subjects' => [$subject],
        'taken' => $taken,
        'reason' => "By {$by}.",
        'seen' => $seen,
    ]);
    $decide('mira', false)->assertOk();
    $decide('edda', true)
        ->assertStatus(409)
        ->assertJsonPath("theirs.{$subject}", 'By mira.')
        ->assertJsonPath('message', 'Mira left it out meanwhile. Yours was not saved; look at both.');
    $decide('edda', null)->assertStatus(409);
    expect(DB::table('reach_decisions')->pluck('taken')->all())
        ->toBe([false])
        ->and(DB::table('change_request_items')->count())
        ->toBe(2);
    $at = collect($this->world->as('edda', 'GET', "/requests/{$this->request}/reach")->json('rows'))->firstWhere('subject', $subject)[
        'decision'
    ]['id'];
    $decide('edda', true, [$at])->assertOk();
    expect(DB::table('change_request_items')->count())->toBe(3);
    $decide('mira', null, [$at])
        ->assertStatus(409)
        ->assertJsonPath('message', 'Edda took it in meanwhile. Yours was not saved; look at both.');
    $decide('edda', null)->assertOk();
    expect(DB::table('change_request_items')->count())->toBe(2);
});

it('tells the second of two who settle a report, and changes nothing', function (string $act, array $body): void {
    DB::table('number_ranges')->insertOrIgnore([['name' => 'report', 'prefix' => 'PR-', 'width' => 5, 'next' => 1]]);
    $raise = fn(): string => $this->world
        ->as('jonas', 'POST', '/reports', [
            'title' => 'Torn',
            'source' => 'field',
            'site' => 'Weir',
            'severity' => 'high',
            'description' => 'Torn.',
            'serial' => '',
            'items' => ['200-0040'],
        ])
        ->assertOk()
        ->json('report.number');
    [$other, $number] = [$raise(), $raise()];
    $version = $this->world->as('mira', 'GET', "/reports/{$number}")->json('version');
    $this->world
        ->as('edda', 'POST', "/reports/{$number}/return", ['text' => 'How old was it?', 'version' => $version])
        ->assertOk()
        ->assertJsonPath('report.state', 'returned');
    $this->world->as('mira', 'POST', "/reports/{$number}/{$act}", ['of' => $other] + $body + ['version' => $version])->assertStatus(409);
    $this->world
        ->as('vera', 'GET', "/reports/{$number}")
        ->assertJsonPath('report.state', 'returned')
        ->assertJsonPath('version', $version + 1);
    // Looked at again, it can be done.
    $this->world->as('mira', 'POST', "/reports/{$number}/{$act}", ['of' => $other] + $body + ['version' => $version + 1])->assertOk();
})->with([
    'answered' => ['answer', ['text' => 'It is worn, not faulty.']],
    'told to be the same' => ['duplicate', []],
]);

it('tells the second of two who assess or decide', function (): void {
    $find = fn(string $by, int $version) => $this->world->as($by, 'POST', "/requests/{$this->request}/finding", [
        'finding' => "By {$by}.",
        'version' => $version,
    ]);
    $find('mira', 1)->assertOk();
    $find('edda', 1)->assertStatus(409);
    expect(DB::table('change_requests')->value('finding'))->toBe('By mira.');
    $decide = fn(string $by, string $decision) => $this->world->as($by, 'POST', "/requests/{$this->request}/decision", [
        'decision' => $decision,
        'reason' => 'Seen.',
        'version' => 2,
    ]);
    $decide('helen', 'approved')->assertOk();
    $decide('mira', 'rejected')->assertStatus(409);
    expect(DB::table('change_requests')->value('state'))->toBe('approved');
});

it('keeps both of two days that are chosen: the last one counts', function (): void {
    $this->world->as('mira', 'POST', "/requests/{$this->request}/finding", ['finding' => 'Feasible.', 'version' => 1])->assertOk();
    $choose = fn(string $by, int $day) => $this->world->as($by, 'POST', "/requests/{$this->request}/cut-ins", [
        'swaps' => [['gone' => ['200-0040'], 'come' => [['item' => '200-0041']]]],
        'chosen_on' => World::day($day),
        'reason' => "By {$by}.",
    ]);
    $choose('mira', 30)->assertOk();
    $choose('edda', 40)->assertOk()->assertJsonPath('0.chosen_on', World::day(40))->assertJsonPath('1.reason', 'By mira.');
});

it('tells the second of two who arrange the meeting that the list is another by now', function (): void {
    $this->world->as('mira', 'POST', "/requests/{$this->request}/finding", ['finding' => 'Feasible.', 'version' => 1])->assertOk();
    $second = $this->world->as('jonas', 'POST', '/requests', $this->world->request())->json('number');
    $this->world->as('mira', 'POST', "/requests/{$second}/finding", ['finding' => 'Feasible.', 'version' => 1])->assertOk();
    $this->world
        ->as('helen', 'PUT', '/meeting', ['requests' => [$second, $this->request]])
        ->assertOk()
        ->assertJsonPath('awaiting.*.change.number', [$second, $this->request]);
    $this->world
        ->as('helen', 'POST', "/requests/{$second}/decision", ['decision' => 'rejected', 'reason' => 'No.', 'version' => 2])
        ->assertOk();
    $this->world->as('mira', 'PUT', '/meeting', ['requests' => [$this->request, $second]])->assertStatus(422);
    $this->world
        ->as('vera', 'GET', '/meeting')
        ->assertJsonPath('awaiting.*.change.number', [$this->request])
        ->assertJsonPath('decided.0.change.number', $second);
});
