<?php

declare(strict_types=1);

namespace App\Files;

use Orthotaxis\Core\Refusal;

/**
 * What a file is, by its content: its name may say anything. What would run something is refused, though it is shown in ways that
 * never run it: a drawing stands still.
 */
final readonly class FileContent
{
    /** Of a STEP file, as ISO registered it. */
    public const MODEL = 'model/step';

    private function __construct(public string $mediaType) {}

    /** @throws Refusal when it is none of the kinds that can be shown */
    public static function of(string $path): self
    {
        $content = (string) file_get_contents($path);
        if ($content === '') {
            throw Refusal::at('file', 'The file is empty.');
        }
        if (str_starts_with($content, '%PDF-')) {
            PdfContent::check($content);

            return new self('application/pdf');
        }
        if (self::looksLikeXml($content)) {
            SvgContent::check($content);

            return new self('image/svg+xml');
        }

        return new self(self::picture($path, $content));
    }

    /**
     * A design model, ISO 10303-21, whole; what is in it is read by whoever looks at it.
     *
     * @throws Refusal when it is none
     */
    public static function model(string $path): self
    {
        $begins = ltrim((string) file_get_contents($path, length: 200), "\xEF\xBB\xBF \t\r\n");
        if (!str_starts_with($begins, 'ISO-10303-21;')) {
            throw Refusal::at('file', 'A model is a STEP file (ISO 10303-21).');
        }
        $ends = (string) file_get_contents($path, offset: max(0, (int) filesize($path) - 200));
        if (!str_contains($ends, 'END-ISO-10303-21;')) {
            throw Refusal::at('file', 'The file is cut short: it does not end with END-ISO-10303-21. Export it again.');
        }

        return new self(self::MODEL);
    }

    private static function looksLikeXml(string $content): bool
    {
        return str_starts_with(ltrim(substr($content, 0, 200), "\xEF\xBB\xBF \t\r\n"), '<');
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
