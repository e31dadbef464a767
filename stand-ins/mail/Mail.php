<?php

declare(strict_types=1);

namespace StandIns\Mail;

/** A mail as it was kept, taken apart (RFC 5322, MIME). */
final readonly class Mail
{
    /**
     * @param  array<string, string>  $headers  by name in small letters
     * @param  array<string, string>  $bodies  by type, such as text/plain
     */
    private function __construct(public array $headers, public array $bodies) {}

    public static function read(string $mail): self
    {
        [$head, $body] = explode("\r\n\r\n", $mail, 2) + [1 => ''];
        $headers = self::headers($head);

        return new self($headers, self::bodies($headers, $body));
    }

    /** @return array<string, string> */
    private static function headers(string $head): array
    {
        $headers = [];
        foreach (iconv_mime_decode_headers($head, ICONV_MIME_DECODE_CONTINUE_ON_ERROR, 'UTF-8') ?: [] as $name => $value) {
            $headers[strtolower((string) $name)] = is_array($value) ? implode(', ', $value) : $value;
        }

        return $headers;
    }

    /**
     * @param  array<string, string>  $headers
     * @return array<string, string>
     */
    private static function bodies(array $headers, string $body): array
    {
        $type = $headers['content-type'] ?? 'text/plain';
        if (preg_match('#^multipart/.*boundary="?([^";]+)"?#is', $type, $of) === 1) {
            $bodies = [];
            foreach (array_slice(explode("--{$of[1]}", $body), 1, -1) as $part) {
                [$head, $rest] = explode("\r\n\r\n", ltrim($part, "\r\n"), 2) + [1 => ''];
                $bodies += self::bodies(self::headers($head), $rest);
            }

            return $bodies;
        }
        $plain = match (strtolower($headers['content-transfer-encoding'] ?? '')) {
            'quoted-printable' => quoted_printable_decode($body),
            'base64' => (string) base64_decode($body, true),
            default => $body,
        };

        return [strtolower(trim((string) strtok($type, ';'))) => $plain];
    }
}
