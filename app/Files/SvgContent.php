<?php

declare(strict_types=1);

namespace App\Files;

use Orthotaxis\Core\Refusal;
use XMLReader;

/**
 * What an SVG drawing is made of, read node by node: however large it is, it never stands in memory as a whole. References to
 * characters are resolved before anything is looked at, and prefixes do not hide what an element is.
 */
final readonly class SvgContent
{
    private const MOST_NODES = 1_000_000;

    private const DEEPEST = 120;

    private const NAMESPACE = 'http://www.w3.org/2000/svg';

    private function __construct(public bool $carriesScript) {}

    /** @throws Refusal when it is no drawing, or one that cannot be shown */
    public static function of(string $content): self
    {
        // Entities that unfold into gigabytes, or into files of the server, are declared in a document type.
        if (preg_match('/<!ENTITY|<!DOCTYPE[^>\[]*\[/i', $content) === 1) {
            throw Refusal::at('file', 'This SVG declares entities of its own. Save it without a document type.');
        }
        if (preg_match('/^[^>]*encoding\s*=\s*["\'](?!utf-?8["\']|us-ascii["\'])/i', substr($content, 0, 200)) === 1) {
            throw Refusal::at('file', 'This SVG is not in UTF-8. Save it so.');
        }
        $was = libxml_use_internal_errors(true);
        $reader = new XMLReader;
        try {
            $reader->XML($content, 'UTF-8', LIBXML_NONET | LIBXML_COMPACT);

            return new self(self::walk($reader));
        } finally {
            $reader->close();
            libxml_clear_errors();
            libxml_use_internal_errors($was);
        }
    }

    private static function walk(XMLReader $reader): bool
    {
        $script = $root = false;
        for ($nodes = 0; $reader->read(); $nodes++) {
            if ($nodes >= self::MOST_NODES || $reader->depth > self::DEEPEST) {
                throw Refusal::at('file', 'This SVG has more than '.number_format(self::MOST_NODES).' parts, or is nested deeper than '.self::DEEPEST.'. Save it simpler, or as PDF.');
            }
            if ($reader->nodeType === XMLReader::ELEMENT) {
                if (! $root && ($reader->localName !== 'svg' || $reader->namespaceURI !== self::NAMESPACE)) {
                    throw Refusal::at('file', 'This is XML, but no SVG drawing.');
                }
                $root = true;
                $script = $script || in_array(strtolower($reader->localName), ['script', 'handler', 'listener', 'foreignobject', 'iframe', 'object', 'embed'], true) || self::acts($reader);
            }
        }
        $error = libxml_get_last_error();
        if ($error !== false || ! $root) {
            throw Refusal::at('file', 'This is no well-formed SVG'.($error === false ? '.' : ': line '.$error->line.', '.trim($error->message).'.'));
        }

        return $script;
    }

    /** Whether an attribute of the element runs something, or leads to what does. */
    private static function acts(XMLReader $reader): bool
    {
        $acts = false;
        for ($more = $reader->moveToFirstAttribute(); $more; $more = $reader->moveToNextAttribute()) {
            $plain = (string) preg_replace('/[\x00-\x20]+/', '', $reader->value);
            $acts = $acts || preg_match('/^on[a-z]/i', $reader->localName) === 1 || preg_match('/^(javascript|vbscript|data:text\/html|data:application)/i', $plain) === 1;
        }
        $reader->moveToElement();

        return $acts;
    }
}
