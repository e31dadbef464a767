<?php

declare(strict_types=1);

// The simulated provider of sign-ins (OpenID Connect Core 1.0, code flow with PKCE, RFC 7636). One chooses who one is; there is no
// password, for there is nothing to protect.
// GET /.well-known/openid-configuration, /keys and /authorize; POST /authorize and /token.

use StandIns\Identity\Directory;
use StandIns\Identity\Tokens;

require dirname(__DIR__, 2) . '/vendor/autoload.php';
require __DIR__ . '/Directory.php';
require __DIR__ . '/Tokens.php';

$issuer = (string) getenv('IDENTITY_URL');
$client = (string) getenv('OIDC_CLIENT_ID');
$tokens = new Tokens((string) getenv('IDENTITY_FOLDER'));
$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
$answer = static function (array $body, int $status = 200): never {
    http_response_code($status);
    header('Content-Type: application/json');
    exit(json_encode($body, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES));
};
$text = static fn(array $from, string $name): string => is_string($from[$name] ?? null) ? $from[$name] : '';
$escape = static fn(string $text): string => htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE);

if ($path === '/up') {
    exit('up');
}
if ($path === '/.well-known/openid-configuration') {
    $answer([
        'issuer' => $issuer,
        'authorization_endpoint' => "{$issuer}/authorize",
        'token_endpoint' => "{$issuer}/token",
        'jwks_uri' => "{$issuer}/keys",
        'response_types_supported' => ['code'],
        'subject_types_supported' => ['public'],
        'id_token_signing_alg_values_supported' => ['RS256'],
        'code_challenge_methods_supported' => ['S256'],
    ]);
}
if ($path === '/keys') {
    $answer($tokens->keySet());
}
if ($path === '/authorize' && $_SERVER['REQUEST_METHOD'] === 'GET') {
    if ($text($_GET, 'client_id') !== $client || $text($_GET, 'code_challenge_method') !== 'S256') {
        http_response_code(400);
        exit('This client is not known here, or asks without PKCE.');
    }
    echo '<!doctype html><html lang="en"><meta charset="utf-8"><title>Quillback identity</title>';
    echo '<style>body{font:15px sans-serif;margin:3rem auto;max-width:26rem}button{display:block;width:100%;text-align:left;padding:.5rem;margin:.25rem 0}</style>';
    echo '<h1>Quillback identity</h1><p>A stand-in: choose who you are.</p><form method="post">';
    foreach (['redirect_uri', 'state', 'nonce', 'code_challenge'] as $name) {
        echo '<input type="hidden" name="', $name, '" value="', $escape($text($_GET, $name)), '">';
    }
    foreach (Directory::people() as $subject => $person) {
        echo '<button name="subject" value="', $escape($subject), '">', $escape("{$person['name']}, {$person['email']}"), '</button>';
    }
    exit('<button name="subject" value="">Refuse</button></form>');
}
if ($path === '/authorize') {
    $subject = $text($_POST, 'subject');
    $said = isset(Directory::people()[$subject])
        ? [
            'code' => $tokens->code([
                'subject' => $subject,
                'nonce' => $text($_POST, 'nonce'),
                'challenge' => $text($_POST, 'code_challenge'),
                'redirect_uri' => $text($_POST, 'redirect_uri'),
            ]),
        ]
        : ['error' => 'access_denied'];
    header('Location: ' . $text($_POST, 'redirect_uri') . '?' . http_build_query($said + ['state' => $text($_POST, 'state')]), true, 303);
    exit();
}
if ($path === '/token' && $_SERVER['REQUEST_METHOD'] === 'POST') {
    $said = $tokens->said($text($_POST, 'code'));
    $challenge = rtrim(strtr(base64_encode(hash('sha256', $text($_POST, 'code_verifier'), true)), '+/', '-_'), '=');
    if ($text($_POST, 'client_id') !== $client || !hash_equals((string) getenv('OIDC_CLIENT_SECRET'), $text($_POST, 'client_secret'))) {
        $answer(['error' => 'invalid_client'], 401);
    }
    if ($said === null || $said['challenge'] !== $challenge || $said['redirect_uri'] !== $text($_POST, 'redirect_uri')) {
        $answer(['error' => 'invalid_grant'], 400);
    }
    $answer([
        'access_token' => bin2hex(random_bytes(16)),
        'token_type' => 'Bearer',
        'expires_in' => 300,
        'id_token' => $tokens->idToken([
            'iss' => $issuer,
            'sub' => $said['subject'],
            'aud' => $client,
            'iat' => time(),
            'exp' => time() + 300,
            'nonce' => $said['nonce'],
            ...Directory::people()[$said['subject']],
        ]),
    ]);
}
http_response_code(404);
