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
    private const SCRIPT = '~<script|\son[a-z]+\s*=|javascript:|/JavaScript\b|/JS\b|/Launch\b|/OpenAction\b~i';

    private function __construct(public string $mediaType, public bool $carriesScript) {}

    /** @throws Refusal when it is none of the kinds that can be shown */
    public static function of(string $path): self
    {
        $content = (string) file_get_contents($path);
        $type = match (true) {
            $content === '' => throw Refusal::at('file', 'The file is empty.'),
            str_starts_with($content, '%PDF-') => self::pdf($content),
            self::looksLikeXml($content) => self::svg($content),
            default => self::picture($path),
        };

        return new self($type, preg_match(self::SCRIPT, $content) === 1);
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

    private static function svg(string $content): string
    {
        $document = new \DOMDocument;
        $was = libxml_use_internal_errors(true);
        try {
            if (! $document->loadXML($content, LIBXML_NONET)) {
                $error = libxml_get_last_error();
                throw Refusal::at('file', 'This is no well-formed SVG'.($error === false ? '.' : ': line '.$error->line.', '.trim($error->message).'.'));
            }
        } finally {
            libxml_clear_errors();
            libxml_use_internal_errors($was);
        }
        // Entities that unfold into gigabytes, or into files of the server, are declared in a document type.
        if (($document->doctype->internalSubset ?? null) !== null) {
            throw Refusal::at('file', 'This SVG declares entities of its own. Save it without a document type.');
        }
        $root = $document->documentElement;
        if ($root?->localName !== 'svg' || $root->namespaceURI !== 'http://www.w3.org/2000/svg') {
            throw Refusal::at('file', 'This is XML, but no SVG drawing.');
        }

        return 'image/svg+xml';
    }

    private static function picture(string $path): string
    {
        $size = @getimagesize($path);
        $type = $size === false ? '' : $size['mime'];

        return in_array($type, ['image/png', 'image/jpeg'], true) ? $type : throw Refusal::at('file', 'Only SVG, PDF, PNG and JPEG can be shown here.');
    }
}
