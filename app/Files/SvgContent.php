<?php

declare(strict_types=1);

namespace App\Files;

use Orthotaxis\Core\Refusal;
use XMLReader;

/**
 * What an SVG drawing is made of, read node by node: however large it is, it never stands in memory as a whole. References to
 * characters are resolved before anything is looked at, and prefixes do not hide what an element is. Only what a drawing is made
 * of may be in it: shapes, text, paint, pictures that it carries itself, and notes of the program that drew it.
 */
final readonly class SvgContent
{
    private const MOST_NODES = 1_000_000;

    private const DEEPEST = 120;

    private const SVG = 'http://www.w3.org/2000/svg';

    /** Elements of a drawing that stands still (SVG 1.1 and 2, without script, animation and pages within). */
    private const DRAWS = [
        'svg',
        'g',
        'defs',
        'symbol',
        'use',
        'switch',
        'a',
        'view',
        'title',
        'desc',
        'metadata',
        'style',
        'path',
        'rect',
        'circle',
        'ellipse',
        'line',
        'polyline',
        'polygon',
        'text',
        'tspan',
        'textpath',
        'tref',
        'image',
        'marker',
        'clippath',
        'mask',
        'pattern',
        'lineargradient',
        'radialgradient',
        'meshgradient',
        'meshrow',
        'meshpatch',
        'hatch',
        'hatchpath',
        'stop',
        'solidcolor',
        'filter',
        'color-profile',
        'font',
        'font-face',
        'font-face-name',
        'font-face-src',
        'font-face-format',
        'glyph',
        'missing-glyph',
        'hkern',
        'vkern',
        'altglyph',
        'glyphref',
        'flowroot',
        'flowregion',
        'flowpara',
    ];

    /** Namespaces of the W3C that only tell something; of all others, what is no drawing is a note of some program. */
    private const TELLS = ['http://www.w3.org/1999/02/22-rdf-syntax-ns#', 'http://www.w3.org/2000/01/rdf-schema#'];

    private const LINKS = '~^(#|https?://|mailto:|data:image/(png|jpeg|gif|webp);base64,)~i';

    /** @throws Refusal when it is no drawing, or one that does something */
    public static function check(string $content): void
    {
        // Entities that unfold into gigabytes, or into files of the server, are declared in a document type.
        if (preg_match('/<!ENTITY|<!DOCTYPE[^>\[]*\[/i', $content) === 1) {
            throw Refusal::at('file', 'This SVG declares entities of its own. Save it without a document type.');
        }
        if (preg_match('/^[^>]*encoding\s*=\s*["\'](?!utf-?8["\']|us-ascii["\'])/i', substr($content, 0, 200)) === 1) {
            throw Refusal::at('file', 'This SVG is not in UTF-8. Save it so.');
        }
        $was = libxml_use_internal_errors(true);
        // What something else has read before is not to be told of this one.
        libxml_clear_errors();
        $reader = new XMLReader();
        try {
            $reader->XML($content, 'UTF-8', LIBXML_NONET | LIBXML_COMPACT);
            self::walk($reader);
        } finally {
            $reader->close();
            libxml_clear_errors();
            libxml_use_internal_errors($was);
        }
    }

    private static function walk(XMLReader $reader): void
    {
        $root = false;
        for ($nodes = 0; $reader->read(); $nodes++) {
            if ($nodes >= self::MOST_NODES || $reader->depth > self::DEEPEST) {
                throw Refusal::at(
                    'file',
                    'This SVG has more than ' .
                        number_format(self::MOST_NODES) .
                        ' parts, or is nested deeper than ' .
                        self::DEEPEST .
                        '. Save it simpler, or as PDF.',
                );
            }
            if ($reader->nodeType === XMLReader::PI && $reader->name === 'xml-stylesheet') {
                throw Refusal::at('file', 'This SVG fetches a style sheet. Save it with its styles inside.');
            }
            if ($reader->nodeType !== XMLReader::ELEMENT) {
                continue;
            }
            if (!$root && ($reader->localName !== 'svg' || $reader->namespaceURI !== self::SVG)) {
                throw Refusal::at('file', 'This is XML, but no SVG drawing.');
            }
            $root = true;
            $what = self::act($reader);
            if ($what !== null) {
                throw Refusal::at('file', "This SVG has {$what} in it, which is no drawing. Save it plain, or as PDF.");
            }
        }
        $error = libxml_get_last_error();
        if ($error !== false || !$root) {
            throw Refusal::at(
                'file',
                'This is no well-formed SVG' . ($error === false ? '.' : ': line ' . $error->line . ', ' . trim($error->message) . '.'),
            );
        }
    }

    /** What of the element, or in it, is no part of a drawing; null when all is. */
    private static function act(XMLReader $reader): ?string
    {
        $name = strtolower($reader->localName);
        $draws = $reader->namespaceURI === self::SVG;
        if (
            $draws
                ? !in_array($name, self::DRAWS, true) && !str_starts_with($name, 'fe')
                : $reader->namespaceURI === '' ||
                    (str_starts_with($reader->namespaceURI, 'http://www.w3.org/') && !in_array($reader->namespaceURI, self::TELLS, true))
        ) {
            return "an element “{$reader->localName}”";
        }
        $act = null;
        for ($more = $reader->moveToFirstAttribute(); $more; $more = $reader->moveToNextAttribute()) {
            $plain = (string) preg_replace('/[\x00-\x20]+/', '', $reader->value);
            $attribute = strtolower($reader->localName);
            $act ??= match (true) {
                str_starts_with($attribute, 'on') => "an attribute “{$reader->localName}”",
                $draws && in_array($attribute, ['href', 'src'], true) && $plain !== '' && preg_match(self::LINKS, $plain) !== 1
                    => "a link to “{$reader->value}”",
                preg_match('/(javascript|vbscript):/i', $plain) === 1 => 'a script',
                default => null,
            };
        }
        $reader->moveToElement();

        return $act === null ? null : mb_strimwidth($act, 0, 120, '…');
    }
}
