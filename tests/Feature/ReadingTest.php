<?php

declare(strict_types=1);

use App\Console\Commands\ForgetExpired;
use App\Files\Confined;
use App\Files\ConfinedEnd;
use App\Reading\AnswerReading;
use App\Reading\ReadFile;
use App\Reading\Reading;
use App\Reading\ReadInWorker;
use Illuminate\Http\UploadedFile;
use Illuminate\Routing\Route as RouteOf;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

/* Files that somebody brings are read by a worker, in a process of its own, and keep nobody waiting but who brought them. */

beforeEach(function (): void {
    $this->world = new World($this);
    $this->bring = fn(string $login): TestResponse => $this->actingAs($this->world->people[$login])->post(
        '/api/comparison-files',
        [
            'file' => UploadedFile::fake()->createWithContent(
                'theirs.csv',
                "parent,find,component,quantity,unit\n200-0001,10,200-0010,1,pc\n",
            ),
        ],
        ['Accept' => 'application/json'],
    );
    $this->read = fn(): mixed => app(AnswerReading::class)(Reading::query()->with('person')->latest('id')->firstOrFail());
});

it('answers a request that brings a file only after a worker has read it', function (): void {
    Queue::fake();
    $address = ($this->bring)('vera')->assertStatus(202)->assertHeader('Retry-After')->headers->get('Location');
    Queue::assertPushedOn('reading', ReadFile::class);
    $this->get((string) $address)->assertStatus(202);
    $kept = DB::table('stored_files')->count();
    ($this->read)();
    $this->get((string) $address)
        ->assertOk()
        ->assertJsonPath('name', 'theirs.csv')
        ->assertJsonPath('parents', ['200-0001']);
    // The file as it was brought is gone, and nobody else reads the answer.
    expect(DB::table('stored_files')->count())->toBe($kept - 1);
    $this->actingAs($this->world->people['mira'])
        ->get((string) $address, ['Accept' => 'application/json'])
        ->assertNotFound();
});

it('answers a refusal as the act itself would, with its status and its place', function (): void {
    Queue::fake();
    $address = $this->actingAs($this->world->people['vera'])
        ->post(
            '/api/comparison-files',
            ['file' => UploadedFile::fake()->createWithContent('x.csv', 'nothing')],
            ['Accept' => 'application/json'],
        )
        ->assertStatus(202)
        ->headers->get('Location');
    ($this->read)();
    $this->get((string) $address, ['Accept' => 'application/json'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['file']]);
});

it('lets one person have two files read at a time, and others theirs', function (): void {
    Queue::fake();
    ($this->bring)('vera')->assertStatus(202);
    ($this->bring)('vera')->assertStatus(202);
    ($this->bring)('vera')->assertStatus(429)->assertHeader('Retry-After');
    ($this->bring)('mira')->assertStatus(202);
    Reading::query()->get()->each(fn(Reading $one) => $one->refuse('Done.'));
    ($this->bring)('vera')->assertStatus(202);
});

it('reads nothing for whoever was deactivated meanwhile', function (): void {
    Queue::fake();
    ($this->bring)('vera')->assertStatus(202);
    DB::table('people')
        ->where('login', 'vera.stone')
        ->orWhere('id', $this->world->people['vera']->id)
        ->update(['active' => false]);
    ($this->read)();
    expect(Reading::query()->value('status'))
        ->toBe(401)
        ->and(DB::table('comparison_files')->count())
        ->toBe(0);
});

it('says so when no worker reads, and forgets answers after a day', function (): void {
    Queue::fake();
    $address = (string) ($this->bring)('vera')->headers->get('Location');
    $this->travel(3)->minutes();
    $this->get($address, ['Accept' => 'application/json'])
        ->assertStatus(503)
        ->assertJsonPath('message', fn(string $told): bool => str_contains($told, 'Nobody reads files'));
    $this->travel(2)->days();
    $this->artisan(ForgetExpired::class)->assertSuccessful();
    expect(Reading::query()->count())
        ->toBe(0)
        ->and(DB::table('stored_files')->count())
        ->toBe(0);
});

it('reads in a worker wherever a file is brought', function (): void {
    $description = json_decode((string) file_get_contents(dirname(__DIR__, 2) . '/docs/openapi.json'), true, 512, JSON_THROW_ON_ERROR);
    $bringing = array_keys(
        array_filter(
            $description['paths'],
            fn(array $methods): bool => isset($methods['post']['requestBody']['content']['multipart/form-data']),
        ),
    );
    $reading = collect(Route::getRoutes()->getRoutes())
        ->filter(fn(RouteOf $route): bool => in_array(ReadInWorker::class, $route->gatherMiddleware(), true))
        ->map(fn(RouteOf $route): string => '/' . $route->uri())
        ->values()
        ->all();
    // An import is read by a job of its own.
    expect(array_values(array_diff($bringing, $reading)))
        ->toBe(['/api/imports'])
        ->and(count($reading))
        ->toBeGreaterThan(8);
});

it('ends a process that takes too much, and what it wrote goes with it', function (
    string $code,
    ConfinedEnd $end,
    int $seconds = 30,
): void {
    $left = fn(): array => glob(sys_get_temp_dir() . '/orthotaxis-*') ?: [];
    $before = $left();
    expect(Confined::run(['-r', $code], seconds: $seconds, megabytes: 32))->toBe($end)->and($left())->toBe($before);
})->with([
    'nothing wrong' => ['tempnam(sys_get_temp_dir(), "x");', ConfinedEnd::Whole],
    'memory' => ['str_repeat("x", 64 << 20);', ConfinedEnd::Memory],
    'time' => ['while (true);', ConfinedEnd::Time, 1],
    'a fault' => ['exit(3);', ConfinedEnd::Broken],
    'a file that grows' => [
        '$f = fopen(tempnam(sys_get_temp_dir(), "x"), "w"); for ($i = 0; $i < 600; $i++) if (fwrite($f, str_repeat("x", 1 << 20)) !== 1 << 20) exit(1);',
        ConfinedEnd::Broken,
    ],
]);

it('stops a process when it is told to', function (): void {
    $asked = 0;
    $end = Confined::run(
        ['-r', 'sleep(20);'],
        seconds: 30,
        megabytes: 32,
        stop: function () use (&$asked): bool {
            return ++$asked === 3;
        },
    );
    expect($end)->toBe(ConfinedEnd::Stopped)->and($asked)->toBe(3);
});

it('sweeps away what a killed process left of its temporary files, and nothing younger', function (): void {
    $old = [
        sys_get_temp_dir() . '/orthotaxis-' . bin2hex(random_bytes(8)),
        sys_get_temp_dir() . '/orthotaxis-file-' . bin2hex(random_bytes(3)),
    ];
    $young = sys_get_temp_dir() . '/orthotaxis-' . bin2hex(random_bytes(8));
    mkdir($old[0]);
    file_put_contents("{$old[0]}/part", 'x');
    file_put_contents($old[1], 'x');
    mkdir($young);
    array_map(static fn(string $path): bool => touch($path, time() - 4 * 3600), $old);
    $this->artisan(ForgetExpired::class)->assertSuccessful();
    expect(file_exists($old[0]))->toBeFalse()->and(file_exists($old[1]))->toBeFalse()->and(file_exists($young))->toBeTrue();
    rmdir($young);
});
