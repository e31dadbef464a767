<?php

declare(strict_types=1);

use App\People\ShippedRole;
use App\SignIn\Mail\PasswordMail;
use App\SignIn\Models\SecondFactor;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Orthotaxis\Core\SignIn\Totp;
use Tests\Feature\Support\World;

const LONG = 'silty rivers wear tubes';

beforeEach(function (): void {
    $this->world = new World($this);
    $this->world->people['nils']->update(['roles' => [ShippedRole::Administrator->value]]);
    $this->signIn = function (string $login, string $password = 'secret', ?string $code = null) {
        Auth::forgetGuards();

        return $this->postJson('/api/session', ['login' => $login, 'password' => $password, ...$code === null ? [] : ['code' => $code]]);
    };
    /** The address in the mail that was sent last: sign-in name and token. */
    $this->mailed = function (): array {
        $said = [];
        Mail::assertSent(PasswordMail::class, static function (PasswordMail $mail) use (&$said): bool {
            preg_match('/#(\S+)/', $mail->render(), $found);
            parse_str($found[1] ?? '', $said);

            return true;
        });

        return $said;
    };
    $this->secret = fn(): string => (string) hex2bin(SecondFactor::query()->firstOrFail()->secret);
    $this->code = fn(int $later = 0): string => (new Totp(($this->secret)()))->at(time() + $later);
    /** Somebody sets up their authenticator. @return list<string> codes for when it is lost */
    $this->enrol = function (string $login): array {
        $this->world->only($login, 'POST', '/session/second-factor', ['password' => 'secret'])->assertOk();

        return $this->world
            ->only($login, 'PUT', '/session/second-factor', ['code' => ($this->code)(-30)])
            ->assertOk()
            ->json('codes');
    };
});

it('sets a password by a mail, once', function (): void {
    Mail::fake();
    $this->postJson('/api/password-link', ['login' => 'vera'])->assertNoContent();
    Mail::assertSent(PasswordMail::class, static fn(PasswordMail $mail): bool => $mail->hasTo('vera@quillback.example'));
    $said = ($this->mailed)();
    expect($said['login'])->toBe('vera');
    $this->postJson('/api/password', [...$said, 'password' => LONG])->assertNoContent();
    ($this->signIn)('vera')->assertStatus(422);
    ($this->signIn)('vera', LONG)->assertOk();
    $this->deleteJson('/api/session')->assertNoContent();
    $this->postJson('/api/password', [...$said, 'password' => 'another long one'])
        ->assertStatus(422)
        ->assertJsonValidationErrors('token');
    expect(DB::table('ledger')->where('act', 'person.password_set')->value('details'))->toContain('"mailed":true');
});

it('tells nobody whether there is such a person', function (string $login): void {
    Mail::fake();
    $this->world->people['jonas']->update(['active' => false]);
    $this->postJson('/api/password-link', ['login' => $login])->assertNoContent();
    Mail::assertNothingSent();
})->with(['nobody', 'jonas']);

it('takes no address that is made up, of somebody else, or too old', function (): void {
    Mail::fake();
    $this->postJson('/api/password-link', ['login' => 'vera'])->assertNoContent();
    $said = ($this->mailed)();
    foreach ([['token' => str_repeat('0', 64)], ['login' => 'mira'], ['login' => 'nobody']] as $other) {
        $this->postJson('/api/password', [...$said, 'password' => LONG, ...$other])
            ->assertStatus(422)
            ->assertJsonValidationErrors('token');
    }
    $this->travel(25)->hours();
    $this->postJson('/api/password', [...$said, 'password' => LONG])
        ->assertStatus(422)
        ->assertJsonValidationErrors('token');
    ($this->signIn)('vera')->assertOk();
});

it('mails two a minute to one name, whoever asks', function (): void {
    Mail::fake();
    foreach ([204, 204, 429] as $status) {
        $this->postJson('/api/password-link', ['login' => 'vera'])->assertStatus($status);
    }
    // And the framework holds the second one back.
    Mail::assertSentCount(1);
});

it('keeps the mailed address good while what is written is not', function (): void {
    Mail::fake();
    $this->postJson('/api/password-link', ['login' => 'vera']);
    $said = ($this->mailed)();
    $this->postJson('/api/password', [...$said, 'password' => 'short'])
        ->assertStatus(422)
        ->assertJsonValidationErrors('password');
    $this->postJson('/api/password', [...$said, 'password' => LONG])->assertNoContent();
});

it('asks of a password that it is long and no name', function (string $password, ?string $fault): void {
    $answer = $this->world->only('vera', 'PUT', '/session/password', ['current' => 'secret', 'password' => $password]);
    $fault === null ? $answer->assertNoContent() : $answer->assertStatus(422)->assertJsonValidationErrors(['password' => $fault]);
})->with([
    'short' => ['elevensigns', 'At least 12'],
    'of few signs' => ['abababababababab', 'Too few'],
    'with a name' => ['Vera likes rivers', 'your name'],
    'beyond what counts' => [str_repeat('ten signs ', 8), 'At most 72'],
    'the one there is' => ['secret', 'the one you have'],
    'a sentence' => [LONG, null],
    'in letters of any script' => ['щуки клюют на рассвете', null],
]);

it('ends every other sign-in with another password, and keeps this one', function (): void {
    config()->set('session.driver', 'database');
    DB::table('sessions')->insert([
        'id' => 'elsewhere',
        'user_id' => $this->world->people['vera']->id,
        'payload' => '',
        'last_activity' => time(),
    ]);
    $this->world->people['vera']->createToken('reports');
    $this->world
        ->only('vera', 'PUT', '/session/password', ['current' => 'wrong', 'password' => LONG])
        ->assertStatus(422)
        ->assertJsonValidationErrors('current');
    expect(DB::table('sessions')->where('id', 'elsewhere')->exists())->toBeTrue();
    $this->world->only('vera', 'PUT', '/session/password', ['current' => 'secret', 'password' => LONG])->assertNoContent();
    $this->getJson('/api/session')->assertOk();
    expect(DB::table('sessions')->where('id', 'elsewhere')->exists())
        ->toBeFalse()
        ->and(DB::table('personal_access_tokens')->count())
        ->toBe(0);
});

it('asks for the code of the authenticator, once the password is right', function (): void {
    ($this->enrol)('vera');
    ($this->signIn)('vera', 'wrong')->assertStatus(422)->assertJsonMissingValidationErrors('code');
    ($this->signIn)('vera')
        ->assertStatus(422)
        ->assertJsonValidationErrors(['code' => 'Write the code']);
    ($this->signIn)('vera', 'secret', '000000')
        ->assertStatus(422)
        ->assertJsonValidationErrors(['code' => 'wrong']);
    $this->getJson('/api/session')->assertUnauthorized();
    $code = ($this->code)();
    ($this->signIn)('vera', 'secret', substr($code, 0, 3) . ' ' . substr($code, 3))->assertOk();
    $this->deleteJson('/api/session');
    ($this->signIn)('vera', 'secret', $code)
        ->assertStatus(422)
        ->assertJsonValidationErrors(['code' => 'used already']);
    ($this->signIn)('vera', 'secret', ($this->code)(30))->assertOk();
});

it('lets in with each recovery code once', function (): void {
    $codes = ($this->enrol)('vera');
    expect($codes)->toHaveCount(10)->and(array_unique($codes))->toHaveCount(10);
    ($this->signIn)('vera', 'secret', strtolower($codes[3]))->assertOk();
    $this->world->as('vera', 'GET', '/session/second-factor')->assertJsonPath('recovery_codes', 9);
    ($this->signIn)('vera', 'secret', $codes[3])->assertStatus(422);
    $new = $this->world
        ->only('vera', 'POST', '/session/recovery-codes', ['password' => 'secret'])
        ->assertOk()
        ->json('codes');
    ($this->signIn)('vera', 'secret', $codes[4])->assertStatus(422);
    ($this->signIn)('vera', 'secret', $new[0])->assertOk();
});

it('keeps no secret and no code that can be read', function (): void {
    $codes = ($this->enrol)('vera');
    $kept = json_encode(DB::table('second_factors')->first());
    expect($kept)->not->toContain(bin2hex(($this->secret)()))->not->toContain(str_replace('-', '', $codes[0]));
});

it('counts an authenticator only after a code of it', function (): void {
    $this->world
        ->only('vera', 'POST', '/session/second-factor', ['password' => 'guess'])
        ->assertStatus(422)
        ->assertJsonValidationErrors('password');
    $this->world->only('vera', 'POST', '/session/second-factor', ['password' => 'secret'])->assertOk();
    $this->world
        ->only('vera', 'PUT', '/session/second-factor', ['code' => '000000'])
        ->assertStatus(422)
        ->assertJsonValidationErrors('code');
    ($this->signIn)('vera')->assertOk();
    $this->world->only('vera', 'PUT', '/session/second-factor', ['code' => ($this->code)()])->assertOk();
    $this->world->only('vera', 'POST', '/session/second-factor', ['password' => 'secret'])->assertStatus(422);
    $this->world->only('vera', 'DELETE', '/session/second-factor', ['password' => 'guess'])->assertStatus(422);
    $this->world
        ->only('vera', 'DELETE', '/session/second-factor', ['password' => 'secret'])
        ->assertOk()
        ->assertJsonPath('on', false);
    ($this->signIn)('vera')->assertOk();
});

it('lets nobody of a role that asks for one do anything before', function (): void {
    DB::table('roles')
        ->where('code', 'viewer')
        ->update(['second_factor' => true]);
    $this->world->as('vera', 'GET', '/session')->assertOk()->assertJsonPath('lacks_second_factor', true);
    $this->world->as('vera', 'GET', '/desk')->assertStatus(422)->assertJsonValidationErrors('second_factor');
    $this->world->as('mira', 'GET', '/desk')->assertOk();
    ($this->enrol)('vera');
    $this->world->as('vera', 'GET', '/desk')->assertOk();
    $this->world->as('vera', 'GET', '/session')->assertJsonPath('lacks_second_factor', false);
    $this->world
        ->only('vera', 'DELETE', '/session/second-factor', ['password' => 'secret'])
        ->assertStatus(422)
        ->assertJsonValidationErrors('second_factor');
    $this->world->only('nils', 'DELETE', '/accounts/vera/second-factor')->assertOk()->assertJsonPath('second_factor', false);
    $this->world->as('vera', 'GET', '/desk')->assertStatus(422);
    expect(DB::table('ledger')->where('act', 'person.second_factor_set')->orderBy('number')->pluck('actor')->all())->toBe(['vera', 'nils']);
});

it('gives a program some of what its person may, until a day', function (): void {
    $issue = fn(array $some) => $this->world->only('mira', 'POST', '/session/tokens', [
        'name' => 'Scanner',
        'all' => false,
        'scopes' => [],
        'days' => 30,
        ...$some,
    ]);
    $ask = function (string $token, string $method, string $path, array $body = []) {
        Auth::forgetGuards();

        return $this->json($method, "/api{$path}", $body, ['Authorization' => "Bearer {$token}"]);
    };
    $reads = $issue([])->assertOk()->json('token');
    $reports = $issue(['scopes' => ['report_problem']])
        ->assertOk()
        ->json('token');
    $all = $issue(['all' => true])
        ->assertOk()
        ->json('token');
    Auth::forgetGuards();
    $this->app['auth']->guard('web')->logout();
    $report = [
        'title' => 'Tube torn',
        'source' => 'field',
        'site' => 'Tarn',
        'severity' => 'minor',
        'description' => 'Torn.',
        'items' => ['200-0040'],
    ];
    $ask($reads, 'GET', '/desk')->assertOk();
    $ask($reads, 'POST', '/requests', $this->world->request())->assertForbidden();
    $ask($reports, 'POST', '/requests', $this->world->request())->assertForbidden();
    expect($ask($reports, 'POST', '/reports', $report)->status())->not->toBe(403);
    $ask($all, 'POST', '/requests', $this->world->request())->assertOk();
    // What it may not be given: more than it has.
    $ask($all, 'POST', '/session/tokens', ['name' => 'Other', 'all' => true, 'scopes' => [], 'days' => 30])->assertForbidden();
    $ask($all, 'PUT', '/session/password', ['current' => 'secret', 'password' => LONG])->assertForbidden();
    $rows = $this->world->as('mira', 'GET', '/session/tokens')->json();
    expect($rows)
        ->toHaveCount(3)
        ->and($rows[1]['scopes'])
        ->toBe(['report_problem'])
        ->and($rows[0]['all'])
        ->toBeTrue();
    $this->world->only('mira', 'DELETE', "/session/tokens/{$rows[0]['id']}")->assertOk();
    $this->world->only('vera', 'DELETE', "/session/tokens/{$rows[1]['id']}")->assertNotFound();
    Auth::forgetGuards();
    $this->app['auth']->guard('web')->logout();
    $ask($all, 'GET', '/desk')->assertUnauthorized();
    $ask($reads, 'GET', '/desk')->assertOk();
    $this->travel(31)->days();
    $ask($reads, 'GET', '/desk')->assertUnauthorized();
});

it('says at its place what is wrong with a token', function (array $some, string $place): void {
    $this->world
        ->only('mira', 'POST', '/session/tokens', ['name' => 'Scanner', 'all' => false, 'scopes' => [], 'days' => 30, ...$some])
        ->assertStatus(422)
        ->assertJsonValidationErrors($place);
    expect(DB::table('personal_access_tokens')->count())->toBe(0);
})->with([[['name' => ''], 'name'], [['days' => 0], 'days'], [['days' => 731], 'days'], [['scopes' => ['fly']], 'scopes.0']]);

it('lists where somebody is signed in, and ends it', function (): void {
    $firefox = 'Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0';
    foreach (['one' => time(), 'two' => time() - 60, 'old' => time() - 60 * 24 * 3600] as $id => $at) {
        DB::table('sessions')->insert([
            'id' => $id,
            'user_id' => $this->world->people['vera']->id,
            'ip_address' => '10.0.0.7',
            'user_agent' => $firefox,
            'payload' => '',
            'last_activity' => $at,
        ]);
    }
    DB::table('sessions')->insert([
        'id' => 'hers',
        'user_id' => $this->world->people['mira']->id,
        'payload' => '',
        'last_activity' => time(),
    ]);
    $rows = $this->world->as('vera', 'GET', '/session/sign-ins')->assertOk()->json();
    expect($rows)
        ->toHaveCount(2)
        ->and($rows[0])
        ->toMatchArray(['from' => '10.0.0.7', 'program' => 'Firefox on Linux', 'here' => false]);
    expect(json_encode($rows))->not->toContain('"one"');
    $hers = $this->world->as('mira', 'GET', '/session/sign-ins')->json('0.id');
    $this->world->only('vera', 'DELETE', "/session/sign-ins/{$hers}")->assertNotFound();
    $this->world
        ->only('vera', 'DELETE', "/session/sign-ins/{$rows[0]['id']}")
        ->assertOk()
        ->assertJsonCount(1);
    $this->world->as('nils', 'GET', '/accounts/vera/safety')->assertOk()->assertJsonCount(1, 'sign_ins');
    $this->world
        ->only('nils', 'DELETE', "/accounts/vera/sign-ins/{$rows[1]['id']}")
        ->assertOk()
        ->assertJsonCount(0, 'sign_ins');
    expect(DB::table('sessions')->pluck('id')->sort()->values()->all())
        ->toBe(['hers', 'old'])
        ->and(DB::table('ledger')->where('act', 'person.sign_in_ended')->orderBy('number')->pluck('actor')->all())
        ->toBe(['vera', 'nils']);
});

it('invites somebody new by mail, and by nobody else', function (): void {
    Mail::fake();
    $this->world
        ->only('nils', 'PUT', '/accounts/ruth.amery', [
            'name' => 'Ruth Amery',
            'email' => 'ruth@quillback.example',
            'roles' => ['planner'],
            'active' => true,
        ])
        ->assertOk();
    $this->world->only('mira', 'POST', '/accounts/ruth.amery/password-link')->assertForbidden();
    $this->world->only('nils', 'POST', '/accounts/nobody/password-link')->assertNotFound();
    $this->world->only('nils', 'POST', '/accounts/ruth.amery/password-link')->assertNoContent();
    Mail::assertSent(
        PasswordMail::class,
        static fn(PasswordMail $mail): bool => $mail->hasTo('ruth@quillback.example') &&
            str_contains($mail->render(), 'you have an account'),
    );
    $this->postJson('/api/password', [...($this->mailed)(), 'password' => LONG])->assertNoContent();
    ($this->signIn)('ruth.amery', LONG)
        ->assertOk()
        ->assertJsonPath('roles', ['Planner']);
});

it('adds the first administrator from the command line', function (): void {
    $this->artisan('person:add', [
        'login' => 'ann',
        'name' => 'Ann Bly',
        'email' => 'ann@quillback.example',
        'role' => 'captain',
    ])->assertFailed();
    $this->artisan('person:add', ['login' => 'vera', 'name' => 'V', 'email' => 'v@quillback.example', 'role' => 'viewer'])->assertFailed();
    Artisan::call('person:add', ['login' => 'ann', 'name' => 'Ann Bly', 'email' => 'ann@quillback.example', 'role' => 'administrator']);
    parse_str((string) parse_url(trim(Artisan::output()), PHP_URL_FRAGMENT), $said);
    $this->postJson('/api/password', [...$said, 'password' => LONG])->assertNoContent();
    ($this->signIn)('ann', LONG)
        ->assertOk()
        ->assertJsonPath('roles', ['Administrator']);
});
