<?php

declare(strict_types=1);

namespace App\Files;

use Orthotaxis\Core\Refusal;

/**
 * What a PDF asks of whoever opens it (ISO 32000-1, 12.6.4). What stands in its streams are pictures and text, not names; only
 * streams of objects are looked into.
 */
final readonly class PdfContent
{
    /** Actions that run something, and content that does. */
    private const ACTS = '~/(JavaScript|JS|Launch|RichMedia)(?![A-Za-z0-9])~';

    private const LARGEST_STREAM = 16_777_216;

    /** @throws Refusal when it is not whole, locked, or runs something */
    public static function check(string $content): void
    {
        if (!str_contains(substr($content, -2048), '%%EOF') || !str_contains($content, 'startxref')) {
            throw Refusal::at('file', 'This PDF breaks off in the middle. Save it again.');
        }
        foreach (self::objects($content) as $objects) {
            if (str_contains($objects, '/Encrypt')) {
                throw Refusal::at('file', 'This PDF is locked with a password. Save it without.');
            }
            if (preg_match(self::ACTS, self::named($objects)) === 1) {
                throw Refusal::at('file', 'This PDF runs scripts or starts programs. Save it without, as PDF/A for instance.');
            }
        }
    }

    /** @return \Generator<int, string> all that is not in a stream, and what is in streams of objects */
    private static function objects(string $content): \Generator
    {
        for ($at = 0; ($begin = strpos($content, 'stream', $at)) !== false; $at = $end + 9) {
            $before = substr($content, $at, $begin - $at);
            yield $before;
            $end = strpos($content, 'endstream', $begin);
            if ($end === false) {
                return;
            }
            if (str_contains(self::named(substr($before, -2048)), '/ObjStm')) {
                $body = substr($content, $begin + 6, $end - $begin - 6);
                // Whatever cannot be unpacked here, no viewer unpacks to an act.
                yield (string) @gzuncompress(ltrim($body, "\r\n"), self::LARGEST_STREAM);
            }
        }
        yield substr($content, $at);
    }

    /** Names as they are meant: a letter may be written as its number, /J#53 for /JS. */
    private static function named(string $objects): string
    {
        return (string) preg_replace_callback('/#([0-9A-Fa-f]{2})/', static fn(array $hex): string => (string) hex2bin($hex[1]), $objects);
    }
}
