<?php

declare(strict_types=1);

use App\Dossier\Relations\Tie;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->order = $this->world->opened();
    $this->request = (string) DB::table('change_requests')->value('number');
    // What a record is tied to: "words": numbers.
    $this->ties = fn(string $number): array => array_map(
        static fn(array $related): array => array_column($related, 'number'),
        array_column(
            $this->world
                ->as('vera', 'GET', "/relations/{$number}")
                ->assertOk()
                ->json('ties'),
            'related',
            'words',
        ),
    );
});

it('tells all to which a record is tied, with kind and direction, so that it can be walked back', function (): void {
    $report = $this->world
        ->only('edda', 'POST', '/reports', [
            'title' => 'Torn',
            'source' => 'field',
            'site' => 'Weir',
            'severity' => 'high',
            'description' => 'At the rollers.',
            'serial' => '',
            'items' => ['200-0040'],
        ])
        ->assertOk()
        ->json('number');
    DB::table('problem_report_requests')->insert([
        'report_id' => DB::table('problem_reports')->value('id'),
        'request_id' => DB::table('change_requests')->value('id'),
    ]);
    expect(($this->ties)($report))
        ->toBe(['reports on' => ['200-0040'], 'is answered by' => [$this->request]])
        ->and(($this->ties)($this->request))
        ->toBe(['answers' => [$report], 'affects' => ['200-0010', '200-0040'], 'became' => [$this->order]])
        ->and(($this->ties)($this->order))
        ->toBe(['came from' => [$this->request], 'names' => ['200-0010', '200-0040']])
        ->and(($this->ties)('200-0040'))
        ->toBe([
            'is reported on by' => [$report],
            'is affected by' => [$this->request],
            'is named by' => [$this->order],
            'is used in' => ['200-0010'],
        ])
        ->and(($this->ties)('200-0010'))
        ->toMatchArray(['uses' => ['200-0040', '200-0042', '600-0014'], 'is used in' => ['200-0001']]);
});

it('tells what a record elsewhere is called, and where it is', function (): void {
    $this->world
        ->only('mira', 'POST', "/changes/{$this->order}/references", [
            'kind' => 'project',
            'number' => 'P-7',
            'address' => 'https://projects.example/7',
        ])
        ->assertOk();
    $ties = $this->world->as('vera', 'GET', "/relations/{$this->order}")->json('ties');
    expect($ties[array_key_last($ties)])->toMatchArray([
        'words' => 'refers to',
        'related' => [['type' => 'project', 'number' => 'P-7', 'title' => '', 'state' => null, 'address' => 'https://projects.example/7']],
    ]);
});

it('tells the newest forty of many and how many there are, in one query for all kinds of ties', function (): void {
    $this->world->parents(50, '600-0014', 3, 'pc');
    DB::enableQueryLog();
    DB::flushQueryLog();
    $tie = collect($this->world->as('vera', 'GET', '/relations/600-0014')->json('ties'))->firstWhere('words', 'is used in');
    $asked = count(array_filter(DB::getQueryLog(), static fn(array $query): bool => str_contains($query['query'], 'WITH far')));
    expect($tie['total'])->toBe(51)->and($tie['related'])->toHaveCount(40)->and($asked)->toBe(1);
});

it('does not show what a request proposes as an order, and knows no number that there is not', function (): void {
    $request = $this->world->only('jonas', 'POST', '/requests', $this->world->request())->json('number');
    $this->world->only('jonas', 'POST', "/requests/{$request}/proposal", ['items' => []])->assertOk();
    expect($this->world->as('vera', 'GET', "/relations/{$request}")->json('type'))
        ->toBe('request')
        ->and(array_count_values(($this->ties)('200-0010')['is named by']))
        ->toBe([$this->order => 1]);
    $this->world->as('vera', 'GET', '/relations/ECO-99999')->assertStatus(404);
});

it('reads every kind of tie both ways in words of its own', function (): void {
    $words = array_merge(...array_map(static fn(Tie $tie): array => [$tie->in(), $tie->out()], Tie::cases()));
    expect(array_unique($words))->toHaveCount(2 * count(Tie::cases()));
});
