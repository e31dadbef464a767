<?php

declare(strict_types=1);

namespace App\Files;

use Orthotaxis\Core\Refusal;

/**
 * What a file is, by its content: its name may say anything. Scripts in it are allowed, because it is shown in ways that
 * never run them; that it has some is told.
 */
final readonly class FileContent
{
    private const SCRIPT = '~javascript:|/JavaScript\b|/JS\b|/Launch\b|/OpenAction\b~i';

    private function __construct(public string $mediaType, public bool $carriesScript) {}

    /** @throws Refusal when it is none of the kinds that can be shown */
    public static function of(string $path): self
    {
        $content = (string) file_get_contents($path);
        if ($content === '') {
            throw Refusal::at('file', 'The file is empty.');
        }
        if (str_starts_with($content, '%PDF-')) {
            return new self(self::pdf($content), preg_match(self::SCRIPT, self::named($content)) === 1);
        }

        return self::looksLikeXml($content) ? new self('image/svg+xml', SvgContent::of($content)->carriesScript) : new self(self::picture($path, $content), false);
    }

    /** A PDF with the names in it as they are meant: a letter may be written as its number, /J#53 for /JS. */
    private static function named(string $content): string
    {
        return (string) preg_replace_callback('/#([0-9A-Fa-f]{2})/', static fn (array $hex): string => (string) hex2bin($hex[1]), $content);
    }

    private static function looksLikeXml(string $content): bool
    {
        return str_starts_with(ltrim(substr($content, 0, 200), "\xEF\xBB\xBF \t\r\n"), '<');
    }

    private static function pdf(string $content): string
    {
        if (! str_contains(substr($content, -2048), '%%EOF') || ! str_contains($content, 'startxref')) {
            throw Refusal::at('file', 'This PDF breaks off in the middle. Save it again.');
        }
        if (str_contains($content, '/Encrypt')) {
            throw Refusal::at('file', 'This PDF is locked with a password. Save it without.');
        }

        return 'application/pdf';
    }

    private static function picture(string $path, string $content): string
    {
        $size = @getimagesize($path);
        $type = $size === false ? '' : $size['mime'];
        $whole = match ($type) {
            'image/png' => str_contains(substr($content, -64), "IEND\xAE\x42\x60\x82"),
            'image/jpeg' => str_contains(substr($content, -4096), "\xFF\xD9"),
            default => throw Refusal::at('file', 'Only SVG, PDF, PNG and JPEG can be shown here.'),
        };

        return $whole ? $type : throw Refusal::at('file', 'This picture breaks off in the middle. Save it again.');
    }
}
