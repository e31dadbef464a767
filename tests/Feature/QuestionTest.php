<?php

declare(strict_types=1);

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->request = $this->world->as('jonas', 'POST', '/requests', $this->world->request())->assertOk()->json('number');
    $this->ask = fn(array $other = [], string $by = 'mira') => $this->world->as(
        $by,
        'POST',
        "/requests/{$this->request}/questions",
        $other + [
            'items' => ['200-0040'],
            'function' => 'quality',
            'topic' => 'certificate',
            'text' => 'Does the certificate have to follow?',
            'to' => 'nils',
            'due_on' => World::day(5),
        ],
    );
    $this->answer = fn(int $id, array $body, string $by = 'nils') => $this->world->sends($by, "/questions/{$id}/answer", $body);
});

it('asks a person, who answers on the record with cost and file', function (): void {
    ($this->ask)(by: 'jonas')->assertForbidden();
    $id = ($this->ask)()
        ->assertOk()
        ->assertJsonPath('grid.1.item.number', '200-0040')
        ->assertJsonPath('grid.1.functions.3', ['function' => 'quality', 'standing' => 'waiting', 'by' => ['Nils']])
        ->json('questions.0.id');
    $this->world
        ->as('nils', 'GET', '/desk')
        ->assertJsonPath('tasks.0.todo', 'Answer about 200-0040: Does the certificate have to follow?')
        ->assertJsonPath('tasks.0.due_on', World::day(5));
    $this->world->as('helen', 'GET', '/desk')->assertJsonMissing(['todo' => 'Answer about 200-0040: Does the certificate have to follow?']);
    ($this->answer)($id, ['answer' => 'Yes.'], 'edda')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['question']]);
    ($this->answer)($id, ['answer' => 'Yes.'], 'vera')->assertForbidden();
    ($this->answer)($id, ['answer' => ''])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['answer']]);
    ($this->answer)($id, ['answer' => 'Yes.', 'one_time' => 'dear'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['one_time']]);
    ($this->answer)($id, ['answer' => 'Yes.', 'file' => UploadedFile::fake()->createWithContent('a.pdf', 'MZ')])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['file']]);
    expect(DB::table('questions')->value('state'))->toBe('waiting');
    $svg = UploadedFile::fake()->createWithContent('certificate.svg', '<svg xmlns="http://www.w3.org/2000/svg"/>');
    ($this->answer)($id, ['answer' => 'A new type test.', 'one_time' => '4200', 'recurring' => '-0.35', 'file' => $svg])
        ->assertOk()
        ->assertJsonPath('questions.0.answer', 'A new type test.')
        ->assertJsonPath('questions.0.one_time', '4200.00')
        ->assertJsonPath('questions.0.recurring', '-0.35')
        ->assertJsonPath('questions.0.file.name', 'certificate.svg')
        ->assertJsonPath('grid.1.functions.3.standing', 'answered')
        ->assertJsonPath('grid.1.functions.3.by', ['Nils']);
    $this->world->as('vera', 'GET', "/dossiers/{$this->request}")->assertJsonPath('requests.0.files.0.role', 'answer');
    // Corrected while the request is open, not after.
    ($this->answer)($id, ['no_effect' => '1', 'answer' => ''])
        ->assertOk()
        ->assertJsonPath('grid.1.functions.3.standing', 'no_effect');
    $this->world->as('mira', 'DELETE', "/questions/{$id}")->assertStatus(422);
    $this->world->as('mira', 'POST', "/requests/{$this->request}/finding", ['finding' => 'No.', 'version' => 1])->assertOk();
    $this->world
        ->as('mira', 'POST', "/requests/{$this->request}/decision", ['decision' => 'rejected', 'reason' => 'No.', 'version' => 2])
        ->assertOk();
    ($this->answer)($id, ['answer' => 'After all.'])->assertStatus(422);
    $this->artisan('ledger:verify')->assertSuccessful();
});

it('asks a group: any of its people answers, and it leaves the desks of all', function (): void {
    $id = ($this->ask)(['to' => 'board_member', 'function' => 'finance', 'items' => ['200-0010', '200-0040']])
        ->assertOk()
        ->assertJsonCount(2, 'questions')
        ->json('questions.0.id');
    expect($this->world->as('helen', 'GET', '/desk')->json('tasks.*.todo'))->toHaveCount(2);
    ($this->answer)($id, ['answer' => 'Fine.'], 'helen')->assertOk();
    expect($this->world->as('helen', 'GET', '/desk')->json('tasks.*.todo'))->toHaveCount(1);
});

it('withdraws what was asked, and marks what is overdue', function (): void {
    $id = ($this->ask)()->json('questions.0.id');
    DB::table('questions')->update(['due_on' => World::day(-1)]);
    $this->world
        ->as('vera', 'GET', "/requests/{$this->request}/questions")
        ->assertOk()
        ->assertJsonPath('questions.0.overdue', true)
        ->assertJsonPath('grid.1.functions.3.standing', 'overdue')
        ->assertJsonPath('questions.0.mine', false);
    $this->world->as('nils', 'DELETE', "/questions/{$id}")->assertForbidden();
    $this->world
        ->as('mira', 'DELETE', "/questions/{$id}")
        ->assertOk()
        ->assertJsonPath('grid.1.functions.3.standing', 'not_asked');
    ($this->answer)($id, ['answer' => 'Late.'])->assertStatus(422);
});

it('refuses a question that says too little, and saves nothing', function (array $body, string $place): void {
    ($this->ask)($body)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => [$place]]);
    expect(DB::table('questions')->count())->toBe(0);
})->with([
    [['items' => []], 'items'],
    [['items' => ['600-0014']], 'items'],
    [['items' => ['200-0010', '600-0014']], 'items'],
    [['function' => 'moon'], 'function'],
    [['topic' => ''], 'topic'],
    [['text' => ''], 'text'],
    [['to' => 'nobody'], 'to'],
    [['due_on' => '2020-01-01'], 'due_on'],
    [['due_on' => 'soon'], 'due_on'],
]);

it('asks by the functions that are set up; one that is retired is asked no more, and keeps what it was asked', function (): void {
    ($this->ask)(['function' => 'logistics'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['function']]);
    DB::table('choices')->insert(['list' => 'function', 'code' => 'logistics', 'name' => 'Logistics']);
    $functions = fn(string $standing): array => collect(
        ($this->ask)(['function' => 'logistics', 'to' => 'nils'])
            ->assertOk()
            ->json('grid.1.functions'),
    )
        ->where('standing', $standing)
        ->pluck('function')
        ->all();
    expect($functions('waiting'))->toBe(['logistics']);
    DB::table('choices')
        ->where('code', 'logistics')
        ->update(['retired' => true]);
    ($this->ask)(['function' => 'logistics'])->assertStatus(422);
    $page = $this->world->as('mira', 'GET', "/requests/{$this->request}/questions")->json();
    expect(array_column($page['grid'][1]['functions'], 'function'))->toContain('logistics');
});

it('is a task of its kind: one of those who are asked claims it, gives it back, or hands it on', function (): void {
    $this->world->people['edda']->update(['roles' => ['quality']]);
    $id = ($this->ask)(['to' => 'quality'])->json('questions.0.id');
    $move = fn(string $who, string $act, array $body = []): TestResponse => $this->world->only(
        $who,
        'POST',
        "/questions/{$id}/{$act}",
        $body + ['text' => 'She has the file.'],
    );
    $row = fn(string $who): array => $this->world->as($who, 'GET', "/requests/{$this->request}/questions")->json('questions.0');
    $hasToDo = fn(string $who): bool => array_filter(
        $this->world->as($who, 'GET', '/desk')->json('tasks'),
        static fn(array $task): bool => str_starts_with($task['todo'], 'Answer about'),
    ) !== [];
    expect($row('nils')['may'])
        ->toBe(['claim'])
        ->and($row('jonas')['may'])
        ->toBe([]);
    $move('jonas', 'claim')->assertStatus(422);
    $move('vera', 'claim')->assertForbidden();
    $move('nils', 'claim')->assertOk();
    $move('edda', 'claim')->assertStatus(422)->assertJsonPath('errors.task.0', 'Somebody has claimed it already.');
    expect($hasToDo('nils'))
        ->toBeTrue()
        ->and($hasToDo('edda'))
        ->toBeFalse()
        ->and($row('edda'))
        ->toMatchArray(['held_by' => 'Nils', 'mine' => false, 'may' => []])
        ->and($row('nils')['may'])
        ->toBe(['hand_back', 'hand_on']);
    ($this->answer)($id, ['answer' => 'Yes.'], 'edda')->assertStatus(422);
    $move('edda', 'hand-back')->assertStatus(422);
    // Who asks questions may take it from who has it.
    $move('mira', 'hand-back')->assertOk();
    expect($hasToDo('edda'))->toBeTrue();
    $move('edda', 'claim')->assertOk();
    $move('edda', 'hand-on', ['to' => 'vera'])
        ->assertStatus(422)
        ->assertJsonPath('errors.to.0', 'Vera may not answer questions.');
    $move('edda', 'hand-on', ['to' => 'nobody'])
        ->assertStatus(422)
        ->assertJsonPath('errors.to.0', 'Choose a person.');
    $move('edda', 'hand-on', ['to' => 'jonas'])->assertOk();
    expect($row('jonas'))
        ->toMatchArray(['asked' => 'Jonas', 'mine' => true, 'may' => ['hand_on']])
        ->and($hasToDo('edda'))
        ->toBeFalse()
        ->and($this->world->as('jonas', 'GET', '/notices')->json('rows.0.what'))
        ->toBe('Question handed on');
    ($this->answer)($id, ['answer' => 'Yes.'], 'jonas')->assertOk();
    $move('jonas', 'hand-on', ['to' => 'nils'])->assertStatus(422);
    expect(DB::table('ledger')->where('act', 'like', 'question.%')->orderBy('number')->pluck('act')->all())->toBe([
        'question.asked',
        'question.claimed',
        'question.handed_back',
        'question.claimed',
        'question.handed_on',
        'question.answered',
    ]);
});
