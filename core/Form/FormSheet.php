<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Form;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Refusal;

/**
 * The body of a word-processing document and the content controls in it (ECMA-376, part 1, 17.5.2; boxes to tick after
 * Microsoft's published extension of 2010). Elements are found by their local names: the strict and the transitional form
 * of the standard differ in namespaces only.
 */
final readonly class FormSheet
{
    /** Tags that are read: a form of fifty pages has some ten thousand. */
    private const MOST_TAGS = 400_000;

    private function __construct(private \DOMDocument $xml, private \DOMXPath $path) {}

    /** @throws Refusal when it is no well-formed document */
    public static function read(string $xml): self
    {
        if (substr_count($xml, '<') > self::MOST_TAGS) {
            throw Refusal::at('file', 'This form has far more in it than a form: it is not read.');
        }
        $document = new \DOMDocument();
        $was = libxml_use_internal_errors(true);
        try {
            if (
                $xml === '' ||
                !$document->loadXML($xml, LIBXML_NONET | LIBXML_COMPACT) ||
                $document->doctype !== null ||
                $document->documentElement?->localName !== 'document'
            ) {
                throw Refusal::at('file', 'The file is damaged: its text cannot be read.');
            }
        } finally {
            libxml_clear_errors();
            libxml_use_internal_errors($was);
        }

        return new self($document, new \DOMXPath($document));
    }

    /** @return array<string, Control> by tag; where a tag stands several times, the first */
    public function controls(): array
    {
        $controls = [];
        foreach ($this->tagged() as [$tag, $control]) {
            $controls[$tag] ??= $this->control($tag, $control);
        }

        return $controls;
    }

    /**
     * The controls of a document that was made from another one. Some word processors drop the tags when they save; then
     * what stands in the same place is the same control, as long as all of them are there.
     *
     * @return array<string, Control> by tag
     */
    public function controlsLike(self $handed): array
    {
        $found = $this->controls();
        $expected = $handed->controls();
        if (array_diff_key($expected, $found) !== []) {
            $places = $handed->places();
            $here = $this->places();
            $kind = static fn(Control $control): ControlKind => $control->kind;
            if (array_map($kind, $places) === array_map($kind, $here)) {
                foreach ($places as $i => $place) {
                    $found[$place->tag] ??= new Control($place->tag, $place->kind, $place->title, $here[$i]->value, $here[$i]->options);
                }
            }
        }
        foreach ($found as $tag => $control) {
            if (($expected[$tag]->hint ?? '') !== '' && $control->value === $expected[$tag]->hint) {
                $found[$tag] = $control->saying('');
            }
        }

        return $found;
    }

    /** @return list<Control> one for each place that can be filled in, in the order of the text, with its tag if it has one */
    public function places(): array
    {
        $places = [];
        foreach ($this->all('//*[local-name()="sdt"][not(.//*[local-name()="sdt"])]', $this->xml) as $inner) {
            // A control that was saved as two, one around the other: the one that says what can be done in it counts.
            $outer = $this->all('ancestor::*[local-name()="sdt"][1][count(.//*[local-name()="sdt"])=1]', $inner)[0] ?? null;
            $control =
                $outer !== null && $this->kind($inner) === ControlKind::Text && $this->kind($outer) !== ControlKind::Text ? $outer : $inner;
            $places[] = $this->control($this->tag($control), $control);
        }

        return $places;
    }

    /**
     * The document with values written into its controls. A control that is filled with nothing keeps its hint.
     *
     * @param  array<string, Filling>  $fillings  by tag
     */
    public function filled(array $fillings): string
    {
        $copy = self::read((string) $this->xml->saveXML());
        foreach ($copy->tagged() as [$tag, $control]) {
            if (isset($fillings[$tag])) {
                $copy->fill($control, $fillings[$tag]);
            }
        }

        return (string) $copy->xml->saveXML();
    }

    /** @return list<array{string, \DOMElement}> tag and control, in the order of the text */
    private function tagged(): array
    {
        $found = [];
        foreach ($this->all('//*[local-name()="sdt"]', $this->xml) as $control) {
            $tag = $this->tag($control);
            if ($tag !== '') {
                $found[] = [$tag, $control];
            }
        }

        return $found;
    }

    private function tag(\DOMElement $control): string
    {
        return $this->value('*[local-name()="sdtPr"]/*[local-name()="tag"]/@*[local-name()="val"]', $control);
    }

    private function control(string $tag, \DOMElement $control): Control
    {
        $title = $this->value('*[local-name()="sdtPr"]/*[local-name()="alias"]/@*[local-name()="val"]', $control);
        $kind = $this->kind($control);
        $options = [];
        foreach (
            $this->all(
                '*[local-name()="sdtPr"]/*[local-name()="dropDownList" or local-name()="comboBox"]/*[local-name()="listItem"]',
                $control,
            )
            as $item
        ) {
            $value = $this->value('@*[local-name()="value"]', $item);
            $options[$value] = $this->value('@*[local-name()="displayText"]', $item) ?: $value;
        }

        return new Control(
            tag: $tag,
            kind: $kind,
            title: $title,
            value: match ($kind) {
                ControlKind::Check => $this->ticked($control) ? Control::TICKED : '',
                ControlKind::Picture => $this->value(
                    '*[local-name()="sdtContent"]//*[local-name()="blip"]/@*[local-name()="embed"]',
                    $control,
                ),
                ControlKind::Choice => self::chosen($this->text($control), $options),
                ControlKind::Date => $this->day($control),
                ControlKind::Text => $this->text($control),
            },
            options: $options,
            hint: $this->hint($control) === null ? '' : $this->raw($control),
        );
    }

    private function kind(\DOMElement $control): ControlKind
    {
        $names = array_map(
            static fn(\DOMElement $one): string => (string) $one->localName,
            $this->all('*[local-name()="sdtPr"]/*', $control),
        );

        return match (true) {
            in_array('checkbox', $names, true) => ControlKind::Check,
            in_array('date', $names, true) => ControlKind::Date,
            in_array('dropDownList', $names, true), in_array('comboBox', $names, true) => ControlKind::Choice,
            in_array('picture', $names, true) => ControlKind::Picture,
            default => ControlKind::Text,
        };
    }

    /** By what the word processor keeps, or by the sign that somebody put there by hand. */
    private function ticked(\DOMElement $control): bool
    {
        $kept = $this->value(
            '*[local-name()="sdtPr"]/*[local-name()="checkbox"]/*[local-name()="checked"]/@*[local-name()="val"]',
            $control,
        );

        return in_array($kept, ['1', 'true', 'on'], true) || in_array(trim($this->raw($control)), ['☒', '☑', '✓', '✗', 'x', 'X'], true);
    }

    /** @param  array<string, string>  $options */
    private static function chosen(string $text, array $options): string
    {
        $value = array_search($text, $options, true);

        return $value === false ? $text : (string) $value;
    }

    /** What is written counts; the day that the word processor keeps beside it only where the writing is in another order. */
    private function day(\DOMElement $control): string
    {
        $text = trim($this->text($control));
        $kept = substr($this->value('*[local-name()="sdtPr"]/*[local-name()="date"]/@*[local-name()="fullDate"]', $control), 0, 10);
        try {
            return $text === '' ? '' : (string) Day::parse($text);
        } catch (Refusal) {
            return $kept === '' ? $text : $kept;
        }
    }

    private function text(\DOMElement $control): string
    {
        return $this->hint($control) === null ? $this->raw($control) : '';
    }

    private function raw(\DOMElement $control): string
    {
        $text = '';
        foreach (
            $this->all(
                '*[local-name()="sdtContent"]//*[local-name()="t" or local-name()="tab" or local-name()="br" or local-name()="cr" or local-name()="p"]',
                $control,
            )
            as $piece
        ) {
            $text .= match ($piece->localName) {
                't' => $piece->textContent,
                'tab' => $piece->parentNode?->localName === 'r' ? "\t" : '',
                // A new paragraph inside of the control is a new line.
                'p' => $text === '' ? '' : "\n",
                default => "\n",
            };
        }

        return $text;
    }

    private function hint(\DOMElement $control): ?\DOMElement
    {
        return $this->all(
            '*[local-name()="sdtPr"]/*[local-name()="showingPlcHdr" and not(@*[local-name()="val"]="0" or @*[local-name()="val"]="false")]',
            $control,
        )[0] ?? null;
    }

    private function fill(\DOMElement $control, Filling $filling): void
    {
        $this->offer($control, $filling->options);
        $now = $this->control('', $control);
        $text = $now->options[$filling->value] ?? (($now->kind === ControlKind::Text ? $filling->text : null) ?? $filling->value);
        if ($text === '') {
            return;
        }
        $hint = $this->hint($control);
        if ($hint !== null) {
            $hint->parentNode?->removeChild($hint);
        }
        $date = $this->all('*[local-name()="sdtPr"]/*[local-name()="date"]', $control)[0] ?? null;
        $date?->setAttributeNS((string) $date->namespaceURI, self::named($date, 'fullDate'), "{$filling->value}T00:00:00Z");
        $this->write($control, $text, $hint !== null);
    }

    /** @param  array<string, string>  $options */
    private function offer(\DOMElement $control, array $options): void
    {
        $list = $this->all('*[local-name()="sdtPr"]/*[local-name()="dropDownList" or local-name()="comboBox"]', $control)[0] ?? null;
        if ($list === null || $this->all('*[local-name()="listItem"]', $list) !== []) {
            return;
        }
        foreach ($options as $value => $text) {
            $item = $list->appendChild($this->xml->createElementNS((string) $list->namespaceURI, self::named($list, 'listItem')));
            $item->setAttributeNS((string) $list->namespaceURI, self::named($list, 'displayText'), $text);
            $item->setAttributeNS((string) $list->namespaceURI, self::named($list, 'value'), (string) $value);
        }
    }

    /** Puts text in place of what the control holds, in the looks of its first run. */
    private function write(\DOMElement $control, string $text, bool $overHint): void
    {
        $content = $this->all('*[local-name()="sdtContent"]', $control)[0] ?? null;
        if ($content === null) {
            return;
        }
        $lines = explode("\n", str_replace(["\r\n", "\r"], "\n", $text));
        $looks = $overHint ? null : $this->all('.//*[local-name()="r"]/*[local-name()="rPr"]', $content)[0] ?? null;
        $paragraphs = $this->all('.//*[local-name()="p"]', $content);
        foreach (array_slice($paragraphs, 1) as $more) {
            $more->parentNode?->removeChild($more);
        }
        $place = $paragraphs[0] ?? $content;
        foreach ($this->all('*[local-name()!="pPr"]', $place) as $old) {
            $place->removeChild($old);
        }
        foreach ($lines as $i => $line) {
            // Around whole paragraphs, a line is a paragraph; inside of one it is broken.
            if ($i > 0 && $paragraphs !== []) {
                $next = $place->cloneNode(true);
                foreach ($this->all('*[local-name()!="pPr"]', $next) as $old) {
                    $next->removeChild($old);
                }
                $place->parentNode?->insertBefore($next, $place->nextSibling);
                $place = $next;
            }
            $run = $place->appendChild($this->xml->createElementNS((string) $control->namespaceURI, self::named($control, 'r')));
            if ($looks !== null) {
                $run->appendChild($looks->cloneNode(true));
            }
            if ($i > 0 && $paragraphs === []) {
                $run->appendChild($this->xml->createElementNS((string) $control->namespaceURI, self::named($control, 'br')));
            }
            $words = $run->appendChild($this->xml->createElementNS((string) $control->namespaceURI, self::named($control, 't')));
            $words->setAttributeNS('http://www.w3.org/XML/1998/namespace', 'xml:space', 'preserve');
            // What XML cannot hold at all is left out.
            $words->appendChild(
                $this->xml->createTextNode(
                    (string) preg_replace('/[^\x{9}\x{20}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}]/u', '', $line),
                ),
            );
        }
    }

    /** A name beside that of another element; attributes have to have a prefix. */
    private static function named(\DOMElement $beside, string $name): string
    {
        return ($beside->prefix === '' ? 'w' : $beside->prefix) . ":{$name}";
    }

    /** @return list<\DOMElement> */
    private function all(string $path, \DOMNode $at): array
    {
        $found = $this->path->query($path, $at);

        return $found === false
            ? []
            : array_values(array_filter(iterator_to_array($found), static fn(mixed $node): bool => $node instanceof \DOMElement));
    }

    private function value(string $path, \DOMNode $at): string
    {
        $found = $this->path->query($path, $at);

        return $found === false ? '' : (string) $found->item(0)?->nodeValue;
    }
}
