<?php

declare(strict_types=1);

namespace App\SignIn\OpenId;

use Firebase\JWT\JWK;
use Firebase\JWT\JWT;
use GuzzleHttp\ClientInterface;
use Illuminate\Support\Facades\Cache;
use League\OAuth2\Client\Provider\GenericProvider;

/** A provider of sign-ins, by OpenID Connect Core 1.0: the code flow with PKCE, what it says of itself by Discovery 1.0. */
final class OpenIdProvider
{
    /** Seconds for which what it says of itself, and its keys, are kept. */
    private const KEPT = 3600;

    /** Seconds by which clocks may differ. */
    private const LEEWAY = 60;

    public function __construct(private readonly ClientInterface $http) {}

    public static function isSet(): bool
    {
        return config()->string('security.oidc.issuer') !== '';
    }

    /** Where a browser goes, and what has to be known when it comes back. */
    public function begin(string $to): Pending
    {
        $provider = $this->provider();
        $nonce = bin2hex(random_bytes(16));
        $address = $provider->getAuthorizationUrl(['scope' => 'openid email profile', 'nonce' => $nonce]);

        return new Pending($address, $provider->getState(), (string) $provider->getPkceCode(), $nonce, $to);
    }

    /** @throws NotSignedIn when what the provider sent does not hold */
    public function finish(Pending $pending, string $code): Identity
    {
        try {
            $provider = $this->provider();
            $provider->setPkceCode($pending->verifier);
            $token = $provider->getAccessToken('authorization_code', ['code' => $code]);
            $said = $token->getValues()['id_token'] ?? null;

            return $this->read(is_string($said) ? $said : '', $pending->nonce);
        } catch (NotSignedIn $fault) {
            throw $fault;
        } catch (\Throwable $fault) {
            throw new NotSignedIn(NotSignedIn::FAILED, "What the provider sent does not hold: {$fault->getMessage()}", $fault);
        }
    }

    /** Clause 3.1.3.7 of OpenID Connect Core. */
    private function read(string $token, string $nonce): Identity
    {
        JWT::$leeway = self::LEEWAY;
        /** @var array<string, mixed> $claims */
        $claims = (array) JWT::decode($token, JWK::parseKeySet($this->keys($token), 'RS256'));
        $text = static fn(string $name): string => is_string($claims[$name] ?? null) ? $claims[$name] : '';
        $client = config()->string('security.oidc.client_id');
        $holds = [
            'issuer' => $text('iss') === config()->string('security.oidc.issuer'),
            'audience' => in_array($client, (array) ($claims['aud'] ?? []), true) && in_array($text('azp'), ['', $client], true),
            'end' => is_int($claims['exp'] ?? null),
            'nonce' => $nonce !== '' && hash_equals($nonce, $text('nonce')),
            'subject' => $text('sub') !== '',
        ];
        foreach ($holds as $what => $does) {
            $does || throw new NotSignedIn(NotSignedIn::FAILED, "The {$what} of the token is not right.");
        }

        return new Identity($text('iss'), $text('sub'), $text('email'), ($claims['email_verified'] ?? null) === true);
    }

    private function provider(): GenericProvider
    {
        $about = $this->about();

        return new GenericProvider(
            [
                'clientId' => config()->string('security.oidc.client_id'),
                'clientSecret' => config()->string('security.oidc.client_secret'),
                'redirectUri' => url('/sign-in/provider/back'),
                'urlAuthorize' => $about['authorization_endpoint'],
                'urlAccessToken' => $about['token_endpoint'],
                'urlResourceOwnerDetails' => '',
                'pkceMethod' => GenericProvider::PKCE_METHOD_S256,
            ],
            ['httpClient' => $this->http],
        );
    }

    /** @return array<string, string> */
    private function about(): array
    {
        $issuer = config()->string('security.oidc.issuer');

        return Cache::remember("openid {$issuer}", self::KEPT, function () use ($issuer): array {
            $said = array_filter($this->get(rtrim($issuer, '/') . '/.well-known/openid-configuration'), is_string(...));
            if (
                ($said['issuer'] ?? '') !== $issuer ||
                !isset($said['authorization_endpoint'], $said['token_endpoint'], $said['jwks_uri'])
            ) {
                throw new NotSignedIn(NotSignedIn::FAILED, 'The provider says another thing of itself than is set.');
            }

            return $said;
        });
    }

    /**
     * Asked anew when a token names a key that is not known yet.
     *
     * @return array<string, mixed>
     */
    private function keys(string $token): array
    {
        $name = 'openid keys ' . config()->string('security.oidc.issuer');
        $header = json_decode(JWT::urlsafeB64Decode(explode('.', $token)[0]), true);
        $wanted = is_array($header) ? $header['kid'] ?? null : null;
        $kept = Cache::get($name);
        if (!is_array($kept) || !in_array($wanted, array_column((array) ($kept['keys'] ?? []), 'kid'), true)) {
            $kept = $this->get($this->about()['jwks_uri']);
            Cache::put($name, $kept, self::KEPT);
        }

        return $kept;
    }

    /** @return array<string, mixed> */
    private function get(string $address): array
    {
        return (array) json_decode((string) $this->http->request('GET', $address)->getBody(), true, 16, JSON_THROW_ON_ERROR);
    }
}
