<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Text;

/**
 * Whether a text can be kept as it is: everybody who reads it sees the same, a database and a hash included.
 *
 * Rule: text is UTF-8; of the control characters it has line breaks and tabs only; nothing in it turns the direction of what
 * stands beside it (Unicode Technical Report 36, bidirectional text); and what reads as a number or a name of the letters of a
 * number has no character that nobody sees.
 */
final readonly class Readable
{
    private const CONTROL = '/[\x{00}-\x{08}\x{0B}\x{0C}\x{0E}-\x{1F}\x{7F}-\x{9F}]/u';

    private const TURNS = '/[\x{202A}-\x{202E}\x{2066}-\x{2069}]/u';

    private const UNSEEN = '/[\x{00AD}\x{034F}\x{061C}\x{115F}\x{1160}\x{17B4}\x{17B5}\x{180B}-\x{180E}\x{200B}-\x{200F}\x{2060}-\x{2064}\x{FE00}-\x{FE0F}\x{FEFF}]/u';

    /** @return ?string what is wrong with it, as a sentence; null when nothing is */
    public static function fault(string $text): ?string
    {
        return match (true) {
            preg_match('//u', $text) !== 1 => 'This is not text in UTF-8.',
            preg_match(self::CONTROL, $text) === 1 => 'Control characters cannot be kept. Write it again.',
            preg_match(self::TURNS, $text) === 1 => 'Characters that turn the direction of text cannot be kept. Write it again.',
            preg_match(self::UNSEEN, $text) === 1 &&
                preg_match('/^[\p{Latin}\p{N}._\/+-]*$/uD', (string) preg_replace(self::UNSEEN, '', $text)) === 1
                => 'There are invisible characters in it. Write it again.',
            default => null,
        };
    }
}
