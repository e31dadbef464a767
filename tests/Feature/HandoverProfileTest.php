<?php

declare(strict_types=1);

use App\HandoverProfiles\Models\HandoverProfile;
use App\Outgoing\Models\Channel;
use App\Outgoing\Models\Delivery;
use App\People\ShippedRole;
use App\Releases\Models\Handover;
use Illuminate\Http\Client\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Http;
use Tests\Feature\Support\SftpHost;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->world->people['nils']->update(['roles' => [ShippedRole::Administrator->value]]);
    $this->folder = sys_get_temp_dir() . '/orthotaxis-profiles-' . bin2hex(random_bytes(6));
    config()->set('outgoing.folder', $this->folder);
    $this->wanted = fn(array $some = []): array => $some + [
        'name' => 'Line control at Weir',
        'target' => 'folder',
        'address' => 'weir/changes',
        'moments' => ['released'],
        'structures' => ['engineering'],
        'plants' => [],
        'fields' => ['find', 'component', 'quantity'],
        'format' => 'csv',
        'file_name' => '{order}-{number}',
        'retired' => false,
    ];
    $this->profile = fn(array $some = [], string $code = 'weir') => $this->world->only(
        'nils',
        'PUT',
        "/hand-over-profiles/{$code}",
        ($this->wanted)($some),
    );
    $this->release = function (): string {
        World::planningTakes();
        $order = $this->world->signed();
        $this->world->only('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();

        return $order;
    };
    $this->log = fn(string $code = 'weir'): array => $this->world
        ->as('nils', 'GET', "/channels/{$code}/deliveries")
        ->assertOk()
        ->json('rows');
});

afterEach(fn() => File::deleteDirectory($this->folder));

it('puts what it takes of a release into a folder', function (): void {
    ($this->profile)()
        ->assertOk()
        ->assertJson(['number' => 'weir', 'version' => 1]);
    $order = ($this->release)();
    $file = "{$this->folder}/weir/changes/{$order}-000001.csv";
    $lines = explode("\r\n", File::get($file));
    expect($lines[0])
        ->toBe('order,effective_from,entry,action,structure,plant,item,revision,find,component,quantity')
        ->and(count($lines) - 2)
        ->toBe(DB::table('handover_entries')->whereRaw("record ->> 'structure' = 'engineering'")->count())
        ->and(glob("{$this->folder}/weir/changes/.*.part"))
        ->toBe([])
        ->and(($this->log)()[0])
        ->toMatchArray(['name' => "{$order}-000001.csv", 'subject' => $order, 'state' => 'delivered']);
});

it('writes at the moments that are chosen, with numbers that go on, and nothing where nothing is for it', function (): void {
    ($this->profile)(['moments' => ['released', 'taken']])->assertOk();
    ($this->profile)(['structures' => ['manufacturing'], 'plants' => ['Tarn'], 'address' => 'tarn'], 'tarn')->assertOk();
    ($this->profile)(['moments' => ['corrected', 'documents'], 'address' => 'other'], 'other')->assertOk();
    ($this->profile)(['address' => 'gone', 'retired' => true], 'gone')->assertOk();
    $order = ($this->release)();
    expect(array_column(($this->log)(), 'name'))
        ->toBe(["{$order}-000002.csv", "{$order}-000001.csv"])
        ->and([...($this->log)('tarn'), ...($this->log)('other'), ...($this->log)('gone')])
        ->toBe([]);
});

it('releases nothing where its files cannot be written down', function (): void {
    ($this->profile)()->assertOk();
    DB::unprepared('ALTER TABLE deliveries ADD CONSTRAINT broken CHECK (false)');
    World::planningTakes();
    $order = $this->world->signed();
    $this->world->as('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertStatus(500);
    expect($this->world->state($order))
        ->toBe('signed')
        ->and(HandoverProfile::query()->value('last_number'))
        ->toBe(0);
});

it('posts to an address with its token, the name of the file, and what it is known by', function (): void {
    ($this->profile)([
        'target' => 'http',
        'address' => 'https://weir.example/files',
        'secret' => 'open-sesame',
        'format' => 'json',
    ])->assertOk();
    Http::fake(['weir.example/*' => Http::response('', 201)]);
    $order = ($this->release)();
    Http::assertSent(
        static fn(Request $sent): bool => $sent->url() === 'https://weir.example/files' &&
            $sent->header('Authorization') === ['Bearer open-sesame'] &&
            $sent->header('Idempotency-Key') === ["{$order}-000001.json"] &&
            $sent->header('Content-Disposition') === ["attachment; filename=\"{$order}-000001.json\""] &&
            $sent->header('Content-Type') === ['application/json'] &&
            json_decode($sent->body(), true)['order'] === $order,
    );
});

it('brings files to a host over SFTP, if it is the one that is meant', function (): void {
    $host = SftpHost::start();
    try {
        $some = [
            'target' => 'sftp',
            'address' => $host->address(),
            'login' => $host->login,
            'secret' => $host->privateKey,
            'host_key' => $host->fingerprint,
        ];
        ($this->profile)($some)->assertOk();
        ($this->profile)(['host_key' => 'SHA256:' . str_repeat('A', 43), 'file_name' => 'other-{number}'] + $some, 'other')->assertOk();
        ($this->profile)(['login' => 'nobody-such', 'file_name' => 'third-{number}'] + $some, 'third')->assertOk();
        $order = ($this->release)();
        expect(array_map(basename(...), glob("{$host->folder}/{*,.*.part}", GLOB_BRACE)))
            ->toBe(["{$order}-000001.csv"])
            ->and(File::get("{$host->folder}/{$order}-000001.csv"))
            ->toBe(
                Delivery::query()
                    ->where('name', "{$order}-000001.csv")
                    ->value('content'),
            )
            ->and(($this->log)()[0]['state'])
            ->toBe('delivered')
            ->and(($this->log)('other')[0])
            ->toMatchArray(['state' => 'waiting', 'said' => 'The host has another key than the one that is set.'])
            ->and(($this->log)('third')[0])
            ->toMatchArray(['state' => 'waiting', 'said' => 'The host does not let us in: name, password or key.']);
    } finally {
        $host->stop();
    }
});

it('lays no file over another', function (): void {
    ($this->profile)()->assertOk();
    $order = ($this->release)();
    $file = "{$this->folder}/weir/changes/{$order}-000001.csv";
    // A worker that was lost after it had written comes again.
    Delivery::query()->update(['state' => 'waiting', 'ended_at' => null]);
    $this->world->only('nils', 'POST', '/channels/weir/deliveries', ['ids' => []])->assertOk();
    expect(($this->log)()[0])->toMatchArray(['state' => 'delivered', 'said' => 'It was there already.']);
    File::put($file, 'theirs');
    $this->world->only('nils', 'POST', '/channels/weir/deliveries', ['ids' => [Delivery::query()->value('id')]])->assertOk();
    expect(($this->log)()[0])
        ->toMatchArray(['state' => 'refused', 'said' => 'Another file of this name is there.'])
        ->and(File::get($file))
        ->toBe('theirs');
});

it('is tried out on what was handed over before, and saves nothing by it', function (): void {
    $order = ($this->release)();
    $past = Handover::query()->sole()->name;
    expect(
        $this->world
            ->as('nils', 'GET', "/past-hand-overs?words={$order}")
            ->assertOk()
            ->json(),
    )
        ->toMatchArray(['total' => 1])
        ->and($this->world->as('nils', 'GET', '/past-hand-overs?words=nothing')->json('total'))
        ->toBe(0);
    $look = fn(array $some) => $this->world->only(
        'nils',
        'POST',
        '/hand-over-previews',
        array_intersect_key(($this->wanted)($some), array_flip(['structures', 'plants', 'fields', 'format', 'file_name'])) + [
            'hand_over' => $some['hand_over'] ?? $past,
        ],
    );
    $seen = $look([])->assertOk()->json();
    expect($seen['file_name'])
        ->toBe("{$order}-000001.csv")
        ->and($seen['lines'])
        ->toBe($seen['entries'] + 1)
        ->and($seen['begins'])
        ->toStartWith('order,effective_from,entry')
        ->and($look(['structures' => ['document']])->json())
        ->toMatchArray(['file_name' => null, 'entries' => 0, 'left_out' => $seen['entries'], 'lines' => 0])
        ->and(Delivery::query()->count())
        ->toBe(0);
    $look(['file_name' => 'x'])
        ->assertUnprocessable()
        ->assertJsonPath('errors.file_name.0', 'Put {number} into it, so that no file is laid over another.');
    $look(['hand_over' => 'none'])
        ->assertUnprocessable()
        ->assertJsonPath('errors.hand_over.0', 'There is no such hand-over.');
    // And then sent.
    ($this->profile)()->assertOk();
    $this->world->only('nils', 'POST', '/hand-over-profiles/weir/files', ['hand_over' => $past])->assertOk();
    expect(File::exists("{$this->folder}/weir/changes/{$order}-000001.csv"))->toBeTrue();
    ($this->profile)(['structures' => ['document'], 'version' => 1])->assertOk();
    $this->world
        ->only('nils', 'POST', '/hand-over-profiles/weir/files', ['hand_over' => $past])
        ->assertUnprocessable()
        ->assertJsonPath('errors.hand_over.0', 'Nothing of it is for this profile.');
});

it('keeps what opens a target to itself, and sends it to no other', function (): void {
    $some = ['target' => 'http', 'address' => 'https://weir.example/files', 'secret' => 'open-sesame'];
    ($this->profile)($some)->assertOk();
    expect(DB::table('channels')->value('secret'))
        ->not->toContain('sesame')
        ->and($this->world->as('nils', 'GET', '/hand-over-profiles')->assertOk()->getContent())
        ->not->toContain('sesame')
        ->and(DB::table('ledger')->where('act', 'handover_profile.set')->value('details'))
        ->not->toContain('sesame');
    $secret = fn(): ?string => Channel::query()->sole()->secret;
    ($this->profile)(['secret' => null, 'name' => 'Weir', 'version' => 1] + $some)->assertOk();
    expect($secret())->toBe('open-sesame');
    ($this->profile)(['secret' => null, 'address' => 'https://evil.example/files', 'version' => 2] + $some)->assertOk();
    expect($secret())->toBeNull();
    ($this->profile)(['version' => 3] + $some)->assertOk();
    ($this->profile)(['secret' => null, 'keep_secret' => false, 'version' => 4] + $some)->assertOk();
    expect($secret())->toBeNull();
});

it('says what is wrong with it, and saves nothing then', function (array $some, string $field, string $reason): void {
    expect(($this->profile)($some)->assertUnprocessable()->json('errors')[$field][0] ?? null)->toBe($reason);
    expect(Channel::query()->count())->toBe(0);
})->with([
    [['name' => ''], 'name', 'Give it a name.'],
    [['target' => 'mail'], 'target', 'Choose HTTP, SFTP or a folder.'],
    [['address' => '../etc'], 'address', 'Write folders of letters, digits, - and _, apart by /: weir/changes.'],
    [['address' => '/etc'], 'address', 'Write folders of letters, digits, - and _, apart by /: weir/changes.'],
    [['target' => 'sftp', 'address' => 'host'], 'address', 'Write host, port and folder: sftp.example:22/incoming.'],
    [['target' => 'sftp', 'address' => 'host/in'], 'login', 'Give the name by which we sign in there, without blanks.'],
    [
        ['target' => 'sftp', 'address' => 'host/in', 'login' => 'us', 'host_key' => 'ab:cd'],
        'host_key',
        'Give the fingerprint of the host, as ssh-keygen -l tells it: SHA256: and 43 characters.',
    ],
    [
        [
            'target' => 'sftp',
            'address' => 'host/in',
            'login' => 'us',
            'host_key' => 'SHA256:' . 'A123456789A123456789A123456789A123456789A12',
        ],
        'secret',
        'Give a password or a private key.',
    ],
    [
        ['target' => 'http', 'address' => 'https://a.example', 'secret' => "a\nb"],
        'secret',
        'A token or a password without blanks, or a private key in PEM.',
    ],
    [['moments' => []], 'moments', 'Choose when files are written.'],
    [['moments' => ['once']], 'moments.0', 'There is no such moment.'],
    [['plants' => ['Holm']], 'plants.0', 'There is no such plant.'],
    [['structures' => []], 'structures', 'Choose what it gets.'],
    [['format' => 'pdf'], 'format', 'Choose XML, JSON or CSV.'],
    [['file_name' => '{order}'], 'file_name', 'Put {number} into it, so that no file is laid over another.'],
]);

it('is set up by whoever may', function (): void {
    foreach (['/hand-over-profiles', '/past-hand-overs'] as $path) {
        $this->world->as('mira', 'GET', $path)->assertForbidden();
    }
    $this->world->only('mira', 'PUT', '/hand-over-profiles/weir', ($this->wanted)())->assertForbidden();
    $this->world->only('mira', 'POST', '/hand-over-previews', [])->assertForbidden();
    $this->world->only('mira', 'POST', '/hand-over-profiles/weir/files', [])->assertForbidden();
    ($this->profile)()->assertOk();
    ($this->profile)()->assertUnprocessable()->assertJsonPath('errors.code.0', 'weir is there already: choose another code.');
    ($this->profile)(['version' => 2])->assertConflict();
});
