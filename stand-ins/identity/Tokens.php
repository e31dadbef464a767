<?php

declare(strict_types=1);

namespace StandIns\Identity;

use Firebase\JWT\JWT;

/** What the simulated provider signs: codes for itself, tokens for others. Its key is made when it is first needed. */
final class Tokens
{
    private const MINUTE = 60;

    public function __construct(private readonly string $folder) {}

    /** @param  array<string, string>  $said  what the code stands for, for a minute */
    public function code(array $said): string
    {
        $text = base64_encode((string) json_encode($said + ['until' => time() + self::MINUTE]));

        return rtrim(strtr($text . '.' . base64_encode($this->mac($text)), '+/', '-_'), '=');
    }

    /** @return ?array<string, mixed> what it stands for; null when it is none of ours, or too old */
    public function said(string $code): ?array
    {
        [$text, $mac] = explode('.', strtr($code, '-_', '+/') . '.');
        $said = json_decode((string) base64_decode($text, true), true);
        $isOurs = hash_equals($this->mac($text), (string) base64_decode($mac));

        return $isOurs && is_array($said) && $said['until'] >= time() ? $said : null;
    }

    /** @param  array<string, mixed>  $claims */
    public function idToken(array $claims): string
    {
        return JWT::encode($claims, $this->key(), 'RS256', $this->keyId());
    }

    /** @return array{keys: list<array<string, string>>} RFC 7517 */
    public function keySet(): array
    {
        $key = openssl_pkey_get_private($this->key()) ?: throw new \RuntimeException('The key cannot be read.');
        $rsa = (openssl_pkey_get_details($key) ?: [])['rsa'] ?? throw new \RuntimeException('The key is no RSA key.');
        $text = static fn(string $bytes): string => rtrim(strtr(base64_encode($bytes), '+/', '-_'), '=');

        return [
            'keys' => [
                [
                    'kty' => 'RSA',
                    'use' => 'sig',
                    'alg' => 'RS256',
                    'kid' => $this->keyId(),
                    'n' => $text($rsa['n']),
                    'e' => $text($rsa['e']),
                ],
            ],
        ];
    }

    private function mac(string $text): string
    {
        return hash_hmac('sha256', $text, $this->key(), true);
    }

    private function keyId(): string
    {
        return substr(hash('sha256', $this->key()), 0, 16);
    }

    private function key(): string
    {
        $path = "{$this->folder}/key.pem";
        if (!is_file($path)) {
            is_dir($this->folder) || mkdir($this->folder, 0700, true);
            $key =
                openssl_pkey_new(['private_key_bits' => 2048, 'private_key_type' => OPENSSL_KEYTYPE_RSA]) ?:
                throw new \RuntimeException('No key could be made.');
            openssl_pkey_export($key, $pem);
            file_put_contents($path, $pem, LOCK_EX);
        }

        return (string) file_get_contents($path);
    }
}
