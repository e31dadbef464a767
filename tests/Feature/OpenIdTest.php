<?php

declare(strict_types=1);

use App\People\ShippedRole;
use Firebase\JWT\JWT;
use GuzzleHttp\Client;
use GuzzleHttp\ClientInterface;
use GuzzleHttp\Promise\Create;
use GuzzleHttp\Psr7\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Psr\Http\Message\RequestInterface;
use Tests\Feature\Support\World;

const ISSUER = 'https://identity.example';

beforeEach(function (): void {
    $this->world = new World($this);
    config()->set('security.oidc', ['issuer' => ISSUER, 'client_id' => 'orthotaxis', 'client_secret' => 'secret', 'name' => 'Quillback']);
    $this->key = openssl_pkey_new(['private_key_bits' => 2048]);
    $this->signedWith = $this->key;
    $this->claims = ['sub' => 'q-1', 'email' => 'Vera@quillback.example', 'email_verified' => true];
    $this->asked = [];
    $this->app->bind(
        ClientInterface::class,
        fn() => new Client(['handler' => fn(RequestInterface $request) => Create::promiseFor(($this->provider)($request))]),
    );
    $text = static fn(string $bytes): string => rtrim(strtr(base64_encode($bytes), '+/', '-_'), '=');
    /** What the provider answers. */
    $this->provider = function (RequestInterface $request) use ($text): Response {
        $json = static fn(array $body): Response => new Response(200, ['Content-Type' => 'application/json'], (string) json_encode($body));
        $this->asked[] = $path = $request->getUri()->getPath();
        if ($path === '/.well-known/openid-configuration') {
            return $json([
                'issuer' => ISSUER,
                'authorization_endpoint' => ISSUER . '/authorize',
                'token_endpoint' => ISSUER . '/token',
                'jwks_uri' => ISSUER . '/keys',
            ]);
        }
        if ($path === '/keys') {
            $rsa = openssl_pkey_get_details($this->key)['rsa'];

            return $json([
                'keys' => [['kty' => 'RSA', 'alg' => 'RS256', 'kid' => 'one', 'n' => $text($rsa['n']), 'e' => $text($rsa['e'])]],
            ]);
        }
        parse_str((string) $request->getBody(), $this->exchanged);
        $claims = [...['iss' => ISSUER, 'aud' => 'orthotaxis', 'exp' => time() + 300, 'nonce' => $this->nonce], ...$this->claims];

        return $json([
            'access_token' => 'x',
            'token_type' => 'Bearer',
            'id_token' => JWT::encode(
                array_filter($claims, static fn(mixed $one): bool => $one !== null),
                $this->signedWith,
                'RS256',
                'one',
            ),
        ]);
    };
    /** Goes to the provider and comes back with what it says. */
    $this->through = function (string $to = '/', array $back = []) {
        $begun = $this->get('/sign-in/provider?' . http_build_query(['to' => $to]))->assertRedirect();
        if (!str_starts_with((string) $begun->headers->get('Location'), ISSUER)) {
            return $begun;
        }
        parse_str((string) parse_url((string) $begun->headers->get('Location'), PHP_URL_QUERY), $this->sent);
        $this->nonce = $this->sent['nonce'];
        $cookie = $begun->getCookie('sign_in_by_provider');

        return $this->withCookie('sign_in_by_provider', $cookie->getValue())->get(
            '/sign-in/provider/back?' . http_build_query([...['code' => 'c', 'state' => $this->sent['state']], ...$back]),
        );
    };
});

it('signs in whom the provider says it is, at the page that was wanted', function (): void {
    ($this->through)('/changes/ECO-00001?at=5')->assertRedirect('/changes/ECO-00001?at=5');
    $this->getJson('/api/session')->assertOk()->assertJsonPath('login', 'vera');
    expect($this->sent)
        ->toMatchArray([
            'client_id' => 'orthotaxis',
            'response_type' => 'code',
            'code_challenge_method' => 'S256',
            'scope' => 'openid email profile',
        ])
        ->and($this->sent['redirect_uri'])
        ->toEndWith('/sign-in/provider/back')
        // RFC 7636: what was sent first is the digest of what is shown now.
        ->and(rtrim(strtr(base64_encode(hash('sha256', $this->exchanged['code_verifier'], true)), '+/', '-_'), '='))
        ->toBe($this->sent['code_challenge'])
        ->and(DB::table('identities')->value('person_id'))
        ->toBe($this->world->people['vera']->id)
        ->and(DB::table('ledger')->where('act', 'person.identity_linked')->value('subject'))
        ->toBe('vera');
});

it('knows somebody by the subject from then on, also at another address', function (): void {
    ($this->through)();
    $this->claims = ['sub' => 'q-1', 'email' => 'mira@quillback.example', 'email_verified' => true];
    ($this->through)()->assertRedirect('/');
    Auth::forgetGuards();
    $this->getJson('/api/session')->assertJsonPath('login', 'vera');
    expect(DB::table('identities')->count())->toBe(1);
    // Asked for what it is, and for its keys, once.
    expect(array_count_values($this->asked)['/keys'])->toBe(1);
});

it('lets nobody in whom it does not know', function (array $claims): void {
    $this->world->people['jonas']->update(['active' => false]);
    $this->claims = [...$this->claims, ...$claims];
    ($this->through)()->assertRedirect('/?sign_in=unknown');
    $this->getJson('/api/session')->assertUnauthorized();
    expect(DB::table('identities')->count())
        ->toBe(0)
        ->and(DB::table('people')->count())
        ->toBe(7);
})->with([
    'a stranger' => [['email' => 'sam@elsewhere.example']],
    'an address that nobody has checked' => [['email_verified' => false]],
    'one that is said to be checked as a word' => [['email_verified' => 'true']],
    'somebody who has left' => [['email' => 'jonas@quillback.example']],
    'no address' => [['email' => null]],
]);

it('takes no token that does not hold', function (Closure $broken): void {
    $broken($this);
    ($this->through)()->assertRedirect('/?sign_in=failed');
    $this->getJson('/api/session')->assertUnauthorized();
})->with([
    'for another program' => [fn(object $test) => ($test->claims = [...$test->claims, 'aud' => 'other'])],
    'for several, and made for another' => [
        fn(object $test) => ($test->claims = [...$test->claims, 'aud' => ['orthotaxis', 'other'], 'azp' => 'other']),
    ],
    'of another provider' => [fn(object $test) => ($test->claims = [...$test->claims, 'iss' => 'https://other.example'])],
    'too old' => [fn(object $test) => ($test->claims = [...$test->claims, 'exp' => time() - 600])],
    'without an end' => [fn(object $test) => ($test->claims = [...$test->claims, 'exp' => null])],
    'of another sign-in' => [fn(object $test) => ($test->claims = [...$test->claims, 'nonce' => 'other'])],
    'of nobody' => [fn(object $test) => ($test->claims = [...$test->claims, 'sub' => ''])],
    'signed with another key' => [fn(object $test) => ($test->signedWith = openssl_pkey_new(['private_key_bits' => 2048]))],
    'a provider that is away' => [fn(object $test) => ($test->provider = fn() => new Response(503))],
]);

it('takes nothing back that was not begun here', function (): void {
    ($this->through)(back: ['state' => 'other'])->assertRedirect('/?sign_in=failed');
    ($this->through)(back: ['code' => null, 'error' => 'access_denied'])->assertRedirect('/?sign_in=refused');
    $this->get('/sign-in/provider/back?code=c&state=s')->assertRedirect('/?sign_in=failed');
    $this->getJson('/api/session')->assertUnauthorized();
});

it('goes to no page but its own', function (string $to): void {
    ($this->through)($to)->assertRedirect('/');
})->with(['https://elsewhere.example/', '//elsewhere.example', '/\\elsewhere.example', 'changes', "/a\nb"]);

it('needs no second factor of ours: the provider asks for what it asks for', function (): void {
    DB::table('roles')
        ->where('code', ShippedRole::Viewer->value)
        ->update(['second_factor' => true]);
    ($this->through)();
    $this->getJson('/api/session')->assertJsonPath('lacks_second_factor', false);
    $this->getJson('/api/desk')->assertOk();
});

it('is not there where no provider is set', function (): void {
    config()->set('security.oidc.issuer', '');
    $this->get('/sign-in/provider')->assertNotFound();
    $this->get('/sign-in/provider/back')->assertNotFound();
    $this->get('/')->assertOk()->assertDontSee('sign-in-with');
});
