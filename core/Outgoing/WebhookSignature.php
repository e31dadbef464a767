<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Outgoing;

/**
 * By which a receiver knows from whom a message is, and that nobody has changed it: HMAC-SHA256 over its id, the moment it was sent and its
 * body, as the open specification "Standard Webhooks" has it.
 */
final readonly class WebhookSignature
{
    private const PREFIX = 'whsec_';

    /** Bytes of a secret. */
    public const LENGTH = 32;

    /** As a secret is told to people: "whsec_" and its bytes in base64. */
    public static function secret(string $bytes): string
    {
        return self::PREFIX . base64_encode($bytes);
    }

    /**
     * @param  list<string>  $secrets  as they are told to people; while one is being replaced, the old one too
     * @param  int  $moment  seconds since 1970
     * @return string one signature for each secret, apart by a blank
     */
    public static function of(array $secrets, string $id, int $moment, string $body): string
    {
        return implode(
            ' ',
            array_map(
                static fn(string $secret): string => 'v1,' .
                    base64_encode(
                        hash_hmac('sha256', "{$id}.{$moment}.{$body}", (string) base64_decode(substr($secret, strlen(self::PREFIX))), true),
                    ),
                $secrets,
            ),
        );
    }
}
