<?php

declare(strict_types=1);

use App\Files\StoredFile;
use App\Forms\Docx\BlankForm;
use App\Forms\Docx\Draft;
use App\Forms\Models\HandedForm;
use App\People\Models\Group;
use App\People\ShippedRole;
use App\Requests\Models\ChangeRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Orthotaxis\Core\Form\RecordField;
use Tests\Feature\Support\World;
use Tests\FilledForm;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->world->people['tomas']->update(['roles' => [ShippedRole::Administrator->value]]);
    $this->template = static function (bool $withCode = true): string {
        $path = (string) tempnam(sys_get_temp_dir(), 'form-test-');
        $draft = new Draft();
        $draft->words(
            'Check of ',
            $draft->text('number', 'Request'),
            $draft->text('title', 'Title'),
            $draft->choice('priority', 'Priority', []),
            $draft->text('seen', 'Seen'),
            $draft->check('tool', 'A tool'),
            $draft->text('tool_text', 'Which'),
            $draft->day('tool_by', 'By'),
            $draft->choice('item', 'Item', []),
            $draft->picture('photo', 'Photo'),
        );
        ($withCode ? $draft->words('Form ', $draft->text('form', 'Form', locked: true)) : $draft)->save($path);

        return $path;
    };
    $this->upload = fn(
        string $login,
        string $to,
        string $path,
        array $fields = [],
        string $name = 'form.docx',
    ): TestResponse => $this->world->sends($login, $to, [...$fields, 'file' => new UploadedFile($path, $name, null, null, true)]);
    $this->row = static fn(array $row): array => $row + [
        'label' => ucfirst($row['tag']),
        'fill' => null,
        'use' => 'nothing',
        'field' => null,
        'function' => null,
        'topic' => null,
        'text' => null,
        'to' => null,
        'days' => null,
        'text_tag' => null,
        'due_tag' => null,
        'item_tag' => null,
    ];
    $this->mapping = array_map($this->row, [
        ['tag' => 'number', 'fill' => 'number'],
        ['tag' => 'title', 'fill' => 'title', 'use' => 'field', 'field' => 'title'],
        ['tag' => 'priority', 'fill' => 'priority', 'use' => 'field', 'field' => 'priority'],
        ['tag' => 'seen', 'use' => 'finding'],
        [
            'tag' => 'tool',
            'use' => 'question',
            'function' => 'manufacturing',
            'topic' => 'tooling',
            'text' => 'Which tool?',
            'to' => 'jonas',
            'days' => 5,
            'text_tag' => 'tool_text',
            'due_tag' => 'tool_by',
            'item_tag' => 'item',
        ],
        ['tag' => 'tool_text'],
        ['tag' => 'tool_by'],
        ['tag' => 'item', 'fill' => 'items'],
        ['tag' => 'photo', 'use' => 'attachment'],
    ]);
    $this->set = fn(array $change = [], string $by = 'tomas') => $this->world->as(
        $by,
        'PATCH',
        "/form-templates/{$this->id}",
        $change + ['name' => 'Check', 'reasons' => [], 'offered' => true, 'mapping' => $this->mapping, 'version' => 1],
    );
    $this->id = ($this->upload)('tomas', '/form-templates', ($this->template)(), ['name' => 'Check'])
        ->assertOk()
        ->json('0.id');
    $this->request = $this->world
        ->as(
            'jonas',
            'POST',
            '/requests',
            $this->world->request(['title' => 'Thicker tube', 'priority' => 'high', 'items' => ['200-0040', '200-0042']]),
        )
        ->json('number');
    $this->out = function (): FilledForm {
        ($this->set)(['version' => DB::table('form_templates')->value('version')])->assertOk();
        $this->world->as('mira', 'POST', "/requests/{$this->request}/forms", ['template' => $this->id])->assertOk();
        $form = HandedForm::query()->orderByDesc('id')->firstOrFail();

        return StoredFile::with($form->file_id, static fn(string $path): FilledForm => new FilledForm($form->number, $path));
    };
    $this->look = fn(FilledForm $form, string $by = 'mira', ?string $request = null) => ($this->upload)(
        $by,
        '/requests/' . ($request ?? $this->request) . '/returned-form',
        $form->path,
    );
    $this->take = fn(FilledForm $form, array $tags, ?int $version = null) => ($this->upload)(
        'mira',
        "/requests/{$this->request}/returned-form/taken",
        $form->path,
        ['tags' => $tags, 'version' => $version ?? ChangeRequest::query()->where('number', $this->request)->value('version')],
        'came-back.docx',
    );
});

it('hands out a form that is filled from the record', function (): void {
    $form = ($this->out)();
    expect($form->values())
        ->toMatchArray([
            'number' => $this->request,
            'title' => 'Thicker tube',
            'priority' => 'high',
            'seen' => '',
            'tool' => '',
            'item' => '',
        ])
        ->and($form->values()['form'])
        ->toMatch(HandedForm::CODE);
    expect($form->options('item'))
        ->toBe(['200-0040' => '200-0040 Pump tube, 1.6', '200-0042' => '200-0042 Tube clamp'])
        ->and($form->options('priority'))
        ->toHaveKey('critical', 'Critical');
    $this->world
        ->as('vera', 'GET', "/requests/{$this->request}/forms")
        ->assertOk()
        ->assertJsonPath('forms.0.state', 'out')
        ->assertJsonPath('forms.0.template', 'Check')
        ->assertJsonPath('templates.0.name', 'Check');
    expect(
        substr(
            (string) $this->actingAs($this->world->people['vera'])
                ->get("/api/forms/{$form->number}/file")
                ->assertOk()
                ->getContent(),
            0,
            2,
        ),
    )->toBe('PK');
    $this->world->as('jonas', 'POST', "/requests/{$this->request}/forms", ['template' => $this->id])->assertForbidden();
    $this->world
        ->as('mira', 'POST', "/requests/{$this->request}/forms", ['template' => 999])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['template']]);
});

it('fills every field of the record, in words where people read it and by value where they choose', function (): void {
    $path = (string) tempnam(sys_get_temp_dir(), 'form-test-');
    BlankForm::make()->save($path);
    $this->id = collect(
        ($this->upload)('tomas', '/form-templates', $path, ['name' => 'Blank'])
            ->assertOk()
            ->json(),
    )->firstWhere('name', 'Blank')['id'];
    $report = $this->world
        ->as('jonas', 'POST', '/reports', [
            'title' => 'Torn',
            'source' => 'field',
            'site' => 'Weir',
            'severity' => 'high',
            'description' => 'Torn.',
            'serial' => '',
            'items' => ['200-0040'],
        ])
        ->json('report.number');
    $this->world->as('mira', 'PUT', "/reports/{$report}/requests/{$this->request}")->assertOk();
    $this->mapping = array_map(
        fn(RecordField $field): array => ($this->row)(['tag' => $field->value, 'fill' => $field->value]),
        RecordField::cases(),
    );
    ($this->set)(['name' => 'Blank'])->assertOk();
    $this->world->as('mira', 'POST', "/requests/{$this->request}/forms", ['template' => $this->id])->assertOk();
    $form = StoredFile::with(
        (string) DB::table('handed_forms')->value('file_id'),
        static fn(string $file): FilledForm => new FilledForm('', $file),
    );
    expect($form->values())
        ->toMatchArray([
            'title' => 'Thicker tube',
            'description' => 'Tears after 200 hours.',
            'priority' => 'high',
            'reason' => 'defect',
            'source' => 'field',
            'site' => 'Weir',
            'number' => $this->request,
            'raised_by' => 'Jonas',
            'raised_on' => World::day(0),
            'items' => "200-0040 Pump tube, 1.6\n200-0042 Tube clamp",
            'reports' => $report,
            'finding' => '',
            'handed_by' => 'Mira',
            'today' => World::day(0),
        ])
        ->and($form->options('reason'))
        ->toHaveKey('end_of_life', 'End of life')
        ->and($form->options('site'))
        ->toBe(['Tarn' => 'Tarn', 'Weir' => 'Weir']);
});

it('shows what a form that came back would do, then does it, and takes it back', function (): void {
    $form = ($this->out)()
        ->write([
            'title' => 'Thicker tube, 2.4',
            'priority' => 'critical',
            'seen' => "Torn at the rollers.\nSilt inside.",
            'tool' => 'yes',
            'tool_text' => 'The old press',
            'tool_by' => World::day(9),
            'item' => '200-0042',
        ])
        ->picture('photo');
    $seen = ($this->look)($form)->assertOk();
    expect(
        array_map(
            static fn(array $one): array => [$one['tag'], $one['use'], $one['before'], $one['after'], $one['fault']],
            $seen->json('proposals'),
        ),
    )->toBe([
        ['title', 'field', 'Thicker tube', 'Thicker tube, 2.4', null],
        ['priority', 'field', 'high', 'critical', null],
        ['seen', 'finding', '', "Seen: Torn at the rollers.\nSilt inside.", null],
        ['tool', 'question', '', "Which tool?\nThe old press", null],
        ['photo', 'attachment', '', '', null],
    ]);
    $seen
        ->assertJsonPath('proposals.3.item', '200-0042')
        ->assertJsonPath('proposals.3.due_on', World::day(9))
        ->assertJsonPath('proposals.3.asked', 'Jonas');
    // Looking does nothing.
    expect(DB::table('questions')->count())
        ->toBe(0)
        ->and(ChangeRequest::query()->where('number', $this->request)->value('title'))
        ->toBe('Thicker tube');
    ($this->look)($form, 'jonas')->assertForbidden();

    ($this->take)($form, ['title', 'seen', 'tool', 'photo'])
        ->assertOk()
        ->assertJsonPath('forms.0.state', 'taken_in')
        ->assertJsonPath('forms.0.settled_by', 'Mira')
        ->assertJsonCount(4, 'forms.0.taken');
    $request = $this->world->as('vera', 'GET', "/dossiers/{$this->request}")->json('requests.0');
    expect($request['title'])
        ->toBe('Thicker tube, 2.4')
        ->and($request['priority'])
        ->toBe('high')
        ->and($request['state'])
        ->toBe('assessing')
        ->and($request['finding'])
        ->toContain($form->number)
        ->toContain('Torn at the rollers.')
        ->and(array_column($request['files'], 'name', 'role'))
        ->toBe(['evidence' => "{$form->number} Photo", 'form' => 'came-back.docx']);
    $this->world
        ->as('vera', 'GET', "/requests/{$this->request}/questions")
        ->assertJsonPath('questions.0.item', '200-0042')
        ->assertJsonPath('questions.0.asked', 'Jonas')
        ->assertJsonPath('questions.0.due_on', World::day(9));
    ($this->look)($form)
        ->assertStatus(422)
        ->assertJsonPath('errors.file.0', fn(string $why): bool => str_contains($why, 'was imported already by Mira'));
    ($this->take)($form, ['title'])->assertStatus(422);

    $this->world
        ->as('mira', 'DELETE', "/forms/{$form->number}/taken")
        ->assertOk()
        ->assertJsonPath('forms.0.state', 'out');
    $request = $this->world->as('vera', 'GET', "/dossiers/{$this->request}")->json('requests.0');
    expect($request['title'])
        ->toBe('Thicker tube')
        ->and($request['finding'])
        ->toBe('')
        ->and(array_column($request['files'], 'role'))
        ->toBe(['form'])
        ->and(DB::table('questions')->value('state'))
        ->toBe('withdrawn');
    ($this->take)($form, ['priority'])->assertOk();
    expect(ChangeRequest::query()->where('number', $this->request)->value('priority'))
        ->toBe('critical')
        ->and(DB::table('change_files')->where('role', 'form')->count())
        ->toBe(1);
    $this->artisan('ledger:verify')->assertSuccessful();
});

it('takes in nothing that has a fault, and nothing when the request was changed since it was looked at', function (): void {
    $form = ($this->out)()
        ->write(['title' => '', 'priority' => 'at once', 'tool' => 'yes', 'tool_by' => '2001-01-01'])
        ->picture('photo', 'no picture at all');
    ($this->look)($form)->assertOk()->assertJsonPath('proposals.*.fault', fn(array $faults): bool => count(array_filter($faults)) === 4);
    ($this->take)($form, ['title', 'priority', 'tool', 'photo'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['tags.title', 'tags.priority', 'tags.tool', 'tags.photo']]);
    ($this->take)($form, [], 7)->assertStatus(409);
    expect(DB::table('handed_forms')->value('state'))
        ->toBe('out')
        ->and(DB::table('change_files')->count())
        ->toBe(0);
    // Whoever would be asked has left meanwhile.
    $this->world->people['jonas']->update(['active' => false]);
    ($this->look)($form->write(['tool_by' => World::day(3)]))
        ->assertOk()
        ->assertJsonPath('proposals.2.fault', fn(string $why): bool => str_contains($why, 'not here any more'));
    // With all of it left out it is only laid down.
    ($this->take)($form, [])->assertOk()->assertJsonPath('forms.0.taken', []);
});

it('refuses what is damaged, foreign, of another request, withdrawn or outdated, with the reason', function (): void {
    $form = ($this->out)();
    $refuse = fn(FilledForm $sent, string $why, ?string $request = null) => ($this->look)($sent, 'mira', $request)
        ->assertStatus(422)
        ->assertJsonPath('errors.file.0', fn(string $told): bool => str_contains($told, $why));
    $refuse(FilledForm::of('plain text'), 'Not a DOCX');
    $refuse(FilledForm::of(substr((string) file_get_contents($form->path), 0, 900)), 'damaged');
    $refuse($form->withPart('word/document.xml', '<w:document'), 'damaged');
    $refuse($form->withPart('word/vbaProject.bin', 'program'), 'macros');
    $refuse($form->without('seen'), 'damaged: the place for "Seen"');
    $refuse($form->write(['form' => 'F-00001-000000000000']), 'not issued here');
    $refuse(new FilledForm('', ($this->template)()), 'not issued here');
    $other = $this->world->as('jonas', 'POST', '/requests', $this->world->request())->json('number');
    $refuse($form, "a form of {$this->request}", $other);

    $withdrawn = ($this->out)();
    $this->world->as('jonas', 'DELETE', "/forms/{$withdrawn->number}")->assertForbidden();
    $this->world
        ->as('mira', 'DELETE', "/forms/{$withdrawn->number}")
        ->assertOk()
        ->assertJsonPath('forms.0.state', 'withdrawn');
    $refuse($withdrawn, 'was withdrawn by Mira');
    $this->world->as('mira', 'DELETE', "/forms/{$withdrawn->number}")->assertStatus(422);

    // A field that was changed in the record meanwhile is not overwritten.
    DB::table('change_requests')
        ->where('number', $this->request)
        ->update(['title' => 'Corrected here']);
    ($this->look)($form->write(['title' => 'Corrected there']))
        ->assertOk()
        ->assertJsonPath('proposals.0.fault', fn(string $why): bool => str_contains($why, 'changed meanwhile'));
    $path = ($this->template)();
    file_put_contents($path, file_get_contents((new FilledForm('', $path))->withPart('word/note.xml', '<a/>')->path));
    ($this->upload)('tomas', "/form-templates/{$this->id}/file", $path, [
        'version' => DB::table('form_templates')->value('version'),
    ])->assertOk();
    $refuse($form, 'template was replaced');

    $last = ($this->out)();
    $this->world->as('mira', 'POST', "/requests/{$this->request}/finding", ['finding' => 'No.', 'version' => 1])->assertOk();
    $this->world
        ->as('mira', 'POST', "/requests/{$this->request}/decision", ['decision' => 'rejected', 'reason' => 'No.', 'version' => 2])
        ->assertOk();
    $refuse($last, 'not being assessed any more');
    $this->world->as('mira', 'POST', "/requests/{$this->request}/forms", ['template' => $this->id])->assertStatus(422);
});

it('knows a form whose tags a word processor dropped', function (): void {
    $form = ($this->out)()
        ->write(['seen' => 'Torn.', 'tool' => 'yes'])
        ->withoutTags();
    ($this->look)($form)
        ->assertOk()
        ->assertJsonPath('proposals.*.tag', ['seen', 'tool']);
});

it('sets up templates: mapping, reasons, another file; every fault at its place', function (): void {
    ($this->upload)('mira', '/form-templates', ($this->template)(), ['name' => 'Another'])->assertForbidden();
    ($this->upload)('tomas', '/form-templates', ($this->template)(), ['name' => 'Check'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['name']]);
    ($this->upload)('tomas', '/form-templates', ($this->template)(), [])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['name']]);
    ($this->upload)('tomas', '/form-templates', ($this->template)(false), ['name' => 'Another'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['file']]);
    $fault = fn(int $row, array $change, string $place) => ($this->set)([
        'mapping' => array_replace($this->mapping, [$row => $change + $this->mapping[$row]]),
    ])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ["mapping.{$row}.{$place}"]]);
    $fault(4, ['to' => 'nobody'], 'to');
    $fault(4, ['function' => null], 'function');
    $fault(4, ['days' => 400], 'days');
    $fault(4, ['due_tag' => 'seen'], 'due_tag');
    $fault(3, ['use' => 'attachment'], 'use');
    $fault(1, ['fill' => null], 'fill');
    $fault(0, ['tag' => 'gone'], 'tag');
    $fault(0, ['fill' => 'moon'], 'fill');
    ($this->set)([], 'mira')->assertForbidden();
    ($this->set)()->assertOk()->assertJsonPath('0.version', 2)->assertJsonPath('0.controls.0.tag', 'number');
    ($this->set)()->assertStatus(409);
    // Only for requests of its reasons, and only as long as it is offered.
    ($this->set)(['reasons' => ['safety'], 'version' => 2])->assertOk();
    $this->world->as('vera', 'GET', "/requests/{$this->request}/forms")->assertJsonPath('templates', []);
    $this->world->as('mira', 'POST', "/requests/{$this->request}/forms", ['template' => $this->id])->assertStatus(422);
    ($this->set)(['offered' => false, 'version' => 3])->assertOk();
    $this->world->as('mira', 'POST', "/requests/{$this->request}/forms", ['template' => $this->id])->assertStatus(422);
    expect(
        substr(
            (string) file_get_contents(
                $this->actingAs($this->world->people['vera'])
                    ->get('/api/form-templates/blank')
                    ->assertOk()
                    ->baseResponse->getFile()
                    ->getPathname(),
            ),
            0,
            2,
        ),
    )->toBe('PK');
    expect(
        substr(
            (string) $this->actingAs($this->world->people['vera'])
                ->get("/api/form-templates/{$this->id}/file")
                ->assertOk()
                ->getContent(),
            0,
            2,
        ),
    )->toBe('PK');
});

it('makes a task of a box that is ticked, for a person or a group, and withdraws it when the form is taken back', function (): void {
    Group::query()
        ->create(['code' => 'buyers', 'name' => 'Buyers'])
        ->members()
        ->sync([$this->world->people['edda']->id]);
    $task = ['tag' => 'tool', 'use' => 'task', 'text' => 'Order the tool', 'to' => 'group:buyers', 'days' => 5, 'kind' => 'purchasing'];
    $this->mapping[4] = ($this->row)($task + ['text_tag' => 'tool_text', 'due_tag' => 'tool_by']);
    $form = ($this->out)()->write(['tool' => 'yes', 'tool_text' => 'The big one', 'tool_by' => World::day(9)]);
    ($this->look)($form)
        ->assertOk()
        ->assertJsonPath('proposals.0.use', 'task')
        ->assertJsonPath('proposals.0.asked', 'Buyers')
        ->assertJsonPath('proposals.0.due_on', World::day(9));
    expect(DB::table('tasks')->count())->toBe(0);
    ($this->take)($form, ['tool'])->assertOk();
    expect((array) DB::table('tasks')->first(['change', 'title', 'text', 'kind', 'state', 'due_on']))->toBe([
        'change' => $this->request,
        'title' => 'Order the tool',
        'text' => 'The big one',
        'kind' => 'purchasing',
        'state' => 'open',
        'due_on' => World::day(9),
    ]);
    $this->world->as('mira', 'DELETE', "/forms/{$form->number}/taken")->assertOk();
    expect(DB::table('tasks')->value('state'))->toBe('withdrawn');
    // Brought again it makes it again; of a group that is gone it says so.
    ($this->take)($form, ['tool'])->assertOk();
    expect(DB::table('tasks')->where('state', 'open')->count())->toBe(1);
    $other = ($this->out)()->write(['tool' => 'yes']);
    Group::query()->update(['retired' => true]);
    ($this->look)($other)->assertJsonPath('proposals.0.fault', 'group:buyers is not here any more. Set up in the template who does it.');
});

it('refuses a task of a form for nobody, of no kind or without words', function (array $wrong, string $place): void {
    $task = ['tag' => 'tool', 'use' => 'task', 'text' => 'Order the tool', 'to' => 'jonas', 'days' => 5, 'kind' => 'purchasing'];
    $this->mapping[4] = ($this->row)($wrong + $task);
    ($this->set)([])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ["mapping.4.{$place}"]]);
})->with([
    'a role' => [['to' => 'quality'], 'to'],
    'no group that is known' => [['to' => 'group:nobody'], 'to'],
    'no kind' => [['kind' => null], 'kind'],
    'no words' => [['text' => null], 'text'],
    'a title that is too long' => [['text' => str_repeat('x', 201)], 'text'],
]);

it('keeps whom a tag was for when it makes nothing any more', function (): void {
    Group::query()->create(['code' => 'buyers', 'name' => 'Buyers']);
    $this->mapping[4] = ($this->row)(['tag' => 'tool', 'use' => 'nothing', 'to' => 'group:buyers']);
    ($this->set)([])->assertOk();
    $this->mapping[4]['use'] = 'question';
    ($this->set)(['version' => 2])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['mapping.4.to']]);
});
