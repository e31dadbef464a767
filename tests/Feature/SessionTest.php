<?php

declare(strict_types=1);

use App\Http\RefuseForeignForms;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->signIn = fn(string $login, string $password = 'secret', string $from = '10.0.0.1') => $this->withServerVariables([
        'REMOTE_ADDR' => $from,
    ])->postJson('/api/session', ['login' => $login, 'password' => $password]);
    // Each request of a test begins with nobody in memory, as each one of a browser does.
    $this->mine = function () {
        Auth::forgetGuards();

        return $this->getJson('/api/session');
    };
});

it('ends with the person, whatever time it had left', function (): void {
    ($this->signIn)('vera')->assertOk();
    ($this->mine)()->assertOk()->assertJsonPath('login', 'vera');
    $this->world->people['vera']->update(['active' => false]);
    ($this->mine)()->assertUnauthorized();
    ($this->signIn)('vera')->assertStatus(422);
});

it('ends with the password it was begun with', function (): void {
    ($this->signIn)('vera')->assertOk();
    // Behind the back of the model: the session itself has to notice.
    DB::table('people')
        ->where('login', 'vera')
        ->update(['password' => Hash::make('another')]);
    ($this->mine)()->assertUnauthorized();
    ($this->signIn)('vera', 'another')->assertOk();
    ($this->mine)()->assertOk();
});

it('lets a program in until its token ends, its person is gone or has a new password', function (string $how): void {
    $plain = $this->world->people['vera']->createToken('test', ['*'], now()->addDays(10))->plainTextToken;
    $ask = function () use ($plain) {
        Auth::forgetGuards();

        return $this->getJson('/api/session', ['Authorization' => "Bearer {$plain}"]);
    };
    $ask()->assertOk()->assertJsonPath('login', 'vera');
    expect(DB::table('personal_access_tokens')->value('last_used_at'))->not->toBeNull();
    match ($how) {
        'its end' => $this->travel(11)->days(),
        'deactivated' => $this->world->people['vera']->update(['active' => false]),
        'deactivated in the database' => DB::table('people')
            ->where('login', 'vera')
            ->update(['active' => false]),
        default => $this->world->people['vera']->update(['password' => 'another']),
    };
    $ask()->assertUnauthorized();
})->with(['its end', 'deactivated', 'deactivated in the database', 'a new password']);

it('gives a program a token that ends', function (): void {
    $this->artisan('token:issue vera reports --days=30')->assertSuccessful();
    expect(now()->diffInDays(DB::table('personal_access_tokens')->value('expires_at')))->toBeGreaterThan(29)->toBeLessThan(31);
    foreach ([0, 731, 'x'] as $days) {
        $this->artisan("token:issue vera reports --days={$days}")->assertFailed();
    }
});

it('slows down who guesses: one name from one address, and name after name from one', function (): void {
    for ($i = 0; $i < 10; $i++) {
        ($this->signIn)('vera', 'wrong')->assertStatus(422);
    }
    ($this->signIn)('vera', 'wrong')->assertTooManyRequests()->assertHeader('Retry-After');
    // Its owner, elsewhere, is not kept out.
    ($this->signIn)('vera', 'secret', '10.0.0.2')->assertOk();
    for ($i = 0; $i < 30; $i++) {
        $last = ($this->signIn)("nobody{$i}", 'wrong', '10.0.0.3');
    }
    $last->assertStatus(422);
    ($this->signIn)('nobody-else', 'wrong', '10.0.0.3')->assertTooManyRequests();
});

it('counts wrong passwords of a signature for the person, whatever they send, and for nobody else', function (): void {
    $order = $this->world->inReview();
    $digest = $this->world->as('helen', 'GET', "/orders/{$order}/review")->json('order.digest');
    $sign = fn(string $by, string $password, int $try) => $this->world->as($by, 'POST', "/orders/{$order}/signature", [
        'password' => $password,
        'digest' => $digest,
        'login' => "name{$try}",
    ]);
    for ($i = 0; $i < 10; $i++) {
        $sign('helen', 'wrong', $i)->assertStatus(422);
    }
    $sign('helen', 'secret', 99)->assertTooManyRequests();
    // Another person at the same address is only told that it is not theirs to sign.
    expect($sign('nils', 'secret', 1)->status())->not->toBe(429);
    $this->travel(61)->seconds();
    $sign('helen', 'secret', 100)->assertOk();
});

it('asks for the token of a session also where a bearer token is shown beside it', function (): void {
    $excepts = fn(Request $request): bool => (new ReflectionMethod(RefuseForeignForms::class, 'inExceptArray'))->invoke(
        app(RefuseForeignForms::class),
        $request,
    );
    $request = fn(array $cookies, array $headers): Request => Request::create('/api/favourites', 'POST', [], $cookies, [], $headers);
    $bearer = ['HTTP_AUTHORIZATION' => 'Bearer x'];
    $cookie = [config()->string('session.cookie') => 'x'];
    expect($excepts($request([], $bearer)))
        ->toBeTrue()
        ->and($excepts($request($cookie, $bearer)))
        ->toBeFalse()
        ->and($excepts($request([], [])))
        ->toBeFalse();
});

it('keeps pages of its own only', function (string $address): void {
    $this->world
        ->as('vera', 'POST', '/favourites', ['address' => $address, 'name' => 'x'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['address']]);
})->with(['//evil.example', "/\t/evil.example", '/\\evil.example', 'https://evil.example', '/a\\b', 'javascript:alert(1)']);

it('takes the word of a proxy it trusts, and of no other', function (): void {
    $ask = fn(string $proxy) => $this->withServerVariables([
        'REMOTE_ADDR' => $proxy,
        'HTTP_X_FORWARDED_PROTO' => 'https',
        'HTTP_X_FORWARDED_FOR' => '203.0.113.7',
    ])->postJson('http://127.0.0.1/api/session', ['login' => 'vera', 'password' => 'secret']);
    TrustProxies::at(['10.9.9.9']);
    $trusted = $ask('10.9.9.9')->assertOk()->assertHeader('Strict-Transport-Security');
    expect($trusted->getCookie(config()->string('session.cookie'), false)?->isSecure())->toBeTrue();
    expect(request()->ip())->toBe('203.0.113.7');
    $other = $ask('10.8.8.8')->assertOk()->assertHeaderMissing('Strict-Transport-Security');
    expect($other->getCookie(config()->string('session.cookie'), false)?->isSecure())
        ->toBeFalse()
        ->and(request()->ip())
        ->toBe('10.8.8.8');
    TrustProxies::flushState();
});

it('keeps no row for whoever only looks at the door', function (): void {
    config(['session.driver' => 'database']);
    $this->get('/')->assertOk();
    $this->getJson('/api/session')->assertUnauthorized();
    ($this->signIn)('vera', 'wrong')->assertStatus(422);
    expect(DB::table('sessions')->count())->toBe(0);
    ($this->signIn)('vera')->assertOk();
    expect(DB::table('sessions')->pluck('user_id')->all())->toBe([$this->world->people['vera']->id]);
});

it('lets in who comes from a page of ours, and nobody whom a page of others sends', function (
    array $headers,
    string $type,
    bool $ours,
): void {
    $request = Request::create(
        'http://orthotaxis.example/api/session',
        'POST',
        server: ['CONTENT_TYPE' => $type] + $headers,
        content: '{}',
    );
    expect((new ReflectionMethod(RefuseForeignForms::class, 'inExceptArray'))->invoke(app(RefuseForeignForms::class), $request))->toBe(
        $ours,
    );
})->with([
    'a page of ours' => [['HTTP_ORIGIN' => 'http://orthotaxis.example', 'HTTP_SEC_FETCH_SITE' => 'same-origin'], 'application/json', true],
    'behind a proxy that ends TLS' => [['HTTP_ORIGIN' => 'https://orthotaxis.example'], 'application/json', true],
    'a program' => [[], 'application/json', true],
    'a form' => [['HTTP_ORIGIN' => 'http://orthotaxis.example'], 'application/x-www-form-urlencoded', false],
    'text that looks like JSON' => [['HTTP_ORIGIN' => 'https://elsewhere.example'], 'text/plain', false],
    'a page of others' => [['HTTP_ORIGIN' => 'https://elsewhere.example'], 'application/json', false],
    'a page beside ours' => [
        ['HTTP_ORIGIN' => 'https://x.orthotaxis.example', 'HTTP_SEC_FETCH_SITE' => 'same-site'],
        'application/json',
        false,
    ],
]);
