<?php

declare(strict_types=1);

namespace App\Sheets\Svg;

use Orthotaxis\Core\Sheet\Box;
use Orthotaxis\Core\Sheet\SheetElement;
use Orthotaxis\Core\Sheet\SheetSize;

/** What is drawn on an SVG sheet, element by element, in millimetres. */
final class SvgSheet
{
    /** Groups of other elements. */
    private const GROUPS = ['svg', 'g', 'a', 'switch'];

    /** What is told about a drawing, or only drawn where something refers to it. */
    private const SILENT = ['title', 'desc', 'metadata', 'style', 'defs', 'view'];

    /** Where an element is; all its other attributes are how it looks. */
    private const PLACES = [
        'transform',
        'x',
        'y',
        'x1',
        'y1',
        'x2',
        'y2',
        'cx',
        'cy',
        'r',
        'rx',
        'ry',
        'width',
        'height',
        'points',
        'd',
        'id',
    ];

    /** A longer stroke is told by pieces, so that what lies beside it is not in its box. */
    private const PIECE = 10.0;

    private const MOST = 200_000;

    /** Millimetres of what a length may be given in; a bare number is a pixel (CSS 2.1, 4.3.2). */
    private const UNITS = ['mm' => 1, 'cm' => 10, 'in' => 25.4, 'pt' => 25.4 / 72, 'pc' => 25.4 / 6, 'px' => 25.4 / 96, '' => 25.4 / 96];

    /** @var list<SheetElement> */
    private array $elements = [];

    /** @var array<string, float> sizes of letters by class, or by "text" */
    private array $letters = [];

    private bool $isKnown = true;

    /** @param  string  $look  all that says elsewhere how elements look */
    private function __construct(public readonly SheetSize $size, public readonly string $look)
    {
        preg_match_all('/(?:\.([\w-]+)|\b(text))\s*\{[^}]*?font-size:\s*([\d.]+)/', $look, $rules, PREG_SET_ORDER);
        foreach ($rules as $rule) {
            $this->letters[$rule[1] !== '' ? $rule[1] : 'text'] = (float) $rule[3];
        }
    }

    /** @return ?self null: it is none, or something is in it of which it is not known where it is drawn */
    public static function read(string $path): ?self
    {
        $document = new \DOMDocument();
        $root = @$document->load($path, LIBXML_NONET) ? $document->documentElement : null;
        if ($root === null) {
            return null;
        }
        $box = SvgPath::numbers($root->getAttribute('viewBox'));
        $width = self::millimetres($root->getAttribute('width')) ?? ($box[2] ?? 0) * self::UNITS[''];
        $height = self::millimetres($root->getAttribute('height')) ?? ($box[3] ?? 0) * self::UNITS[''];
        if ($width <= 0 || $height <= 0 || (count($box) === 4 && ($box[2] <= 0 || $box[3] <= 0))) {
            return null;
        }
        $look = '';
        foreach (['style', 'defs'] as $name) {
            foreach ($document->getElementsByTagName($name) as $element) {
                $look .= $document->saveXML($element);
            }
        }
        $self = new self(new SheetSize($width, $height), $look);
        $perUnit = self::UNITS[''];
        $self->walk(
            $root,
            count($box) === 4
                ? SvgMatrix::scaled($width / $box[2], $height / $box[3], $box[0], $box[1])
                : SvgMatrix::scaled($perUnit, $perUnit),
            '',
        );

        return $self->isKnown ? $self : null;
    }

    /** @return list<SheetElement> */
    public function elements(): array
    {
        return $this->elements;
    }

    private static function millimetres(string $length): ?float
    {
        return preg_match('/^\s*([\d.]+)\s*(mm|cm|in|pt|pc|px|)\s*$/D', $length, $read) === 1
            ? (float) $read[1] * self::UNITS[$read[2]]
            : null;
    }

    private function walk(\DOMElement $of, SvgMatrix $matrix, string $inherited): void
    {
        foreach ($of->childNodes as $element) {
            if (!$this->isKnown || !($element instanceof \DOMElement) || $element->namespaceURI !== $of->namespaceURI) {
                continue;
            }
            $name = (string) $element->localName;
            $there = $matrix->times(SvgMatrix::of($element->getAttribute('transform')));
            $look = $inherited . self::look($element);
            match (true) {
                in_array($name, self::SILENT, true) => null,
                $name !== 'svg' && in_array($name, self::GROUPS, true) => $this->walk($element, $there, "{$look}>"),
                default => $this->draw($name, $element, $there, $look),
            };
            $this->isKnown = $this->isKnown && count($this->elements) <= self::MOST;
        }
    }

    private function draw(string $name, \DOMElement $element, SvgMatrix $matrix, string $look): void
    {
        $number = static fn(string $of): float => (float) $element->getAttribute($of);
        $text = $name === 'text' ? trim((string) preg_replace('/\s+/u', ' ', $element->textContent)) : '';
        $strokes = match ($name) {
            'path' => SvgPath::strokes($element->getAttribute('d')),
            'line' => [[[$number('x1'), $number('y1')], [$number('x2'), $number('y2')]]],
            'polyline', 'polygon' => [self::pairs($element->getAttribute('points'), $name === 'polygon')],
            'rect', 'image' => [self::corners($number('x'), $number('y'), $number('width'), $number('height'))],
            'circle' => [self::round($number('cx'), $number('cy'), $number('r'), $number('r'))],
            'ellipse' => [self::round($number('cx'), $number('cy'), $number('rx'), $number('ry'))],
            'text' => [$this->written($element, $text)],
            default => null,
        };
        if ($strokes === null) {
            $this->isKnown = false;

            return;
        }
        $boxes = [];
        $places = '';
        foreach ($strokes as $stroke) {
            $points = array_map(static fn(array $at): array => $matrix->point($at[0], $at[1]), $stroke);
            $places .= implode(' ', array_map(static fn(array $at): string => sprintf('%.2f,%.2f', $at[0], $at[1]), $points)) . ';';
            array_push($boxes, ...$name === 'text' && $points !== [] ? [Box::around($points)] : self::along($points));
        }
        // What says nothing is not drawn.
        if ($boxes !== [] && ($name !== 'text' || $text !== '')) {
            $this->elements[] = new SheetElement("{$name} {$look} {$places} {$text}", $boxes, $text);
        }
    }

    /** All of how it looks that it says itself. */
    private static function look(\DOMElement $element): string
    {
        $look = [];
        foreach ($element->attributes as $attribute) {
            if ($attribute instanceof \DOMAttr && !in_array($attribute->name, self::PLACES, true)) {
                $look[] = "{$attribute->nodeName}={$attribute->value}";
            }
        }
        sort($look);

        return implode(' ', $look);
    }

    /** @return list<array{float, float}> */
    private static function pairs(string $points, bool $closed): array
    {
        $pairs = [];
        foreach (array_chunk(SvgPath::numbers($points), 2) as $pair) {
            if (isset($pair[1])) {
                $pairs[] = [$pair[0], $pair[1]];
            }
        }

        return $closed && $pairs !== [] ? [...$pairs, $pairs[0]] : $pairs;
    }

    /** @return list<array{float, float}> */
    private static function corners(float $x, float $y, float $width, float $height): array
    {
        return [[$x, $y], [$x + $width, $y], [$x + $width, $y + $height], [$x, $y + $height], [$x, $y]];
    }

    /** @return list<array{float, float}> */
    private static function round(float $x, float $y, float $rx, float $ry): array
    {
        return array_map(static fn(int $at): array => [$x + $rx * cos(($at * M_PI) / 8), $y + $ry * sin(($at * M_PI) / 8)], range(0, 16));
    }

    /** @return list<array{float, float}> two corners of what is written, as wide as letters are in the mean */
    private function written(\DOMElement $element, string $text): array
    {
        $first = $element->getElementsByTagName('tspan')->item(0);
        $from = static fn(string $what): float => SvgPath::numbers($element->getAttribute($what))[0] ??
            (SvgPath::numbers($first?->getAttribute($what) ?? '')[0] ?? 0.0);
        $size = $this->letterSize($element);
        $width = mb_strlen($text) * $size * 0.55;
        $left =
            $from('x') -
            match ($element->getAttribute('text-anchor')) {
                'middle' => $width / 2,
                'end' => $width,
                default => 0,
            };

        return [[$left, $from('y') - $size * 0.75], [$left + $width, $from('y')]];
    }

    private function letterSize(\DOMElement $element): float
    {
        for ($at = $element; $at instanceof \DOMElement; $at = $at->parentNode) {
            $own =
                $at->getAttribute('font-size') .
                ' ' .
                (preg_match('/font-size:\s*([\d.]+)/', $at->getAttribute('style'), $in) === 1 ? $in[1] : '');
            $size = SvgPath::numbers($own)[0] ?? ($this->letters[$at->getAttribute('class')] ?? null);
            if ($size !== null) {
                return $size;
            }
        }

        return $this->letters['text'] ?? 16;
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<Box> of the strokes between them
     */
    private static function along(array $points): array
    {
        $boxes = count($points) === 1 ? [Box::around($points)] : [];
        for ($i = 1; $i < count($points); $i++) {
            [[$x, $y], [$toX, $toY]] = [$points[$i - 1], $points[$i]];
            // What runs straight across or down has a box as thin as itself.
            $pieces = $x === $toX || $y === $toY ? 1 : max(1, (int) ceil(hypot($toX - $x, $toY - $y) / self::PIECE));
            for ($piece = 0; $piece < $pieces; $piece++) {
                $at = static fn(int $of): array => [$x + (($toX - $x) * $of) / $pieces, $y + (($toY - $y) * $of) / $pieces];
                $boxes[] = Box::around([$at($piece), $at($piece + 1)]);
            }
        }

        return $boxes;
    }
}
