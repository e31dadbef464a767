<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Files\DrawingProgram;
use App\Sheets\Svg\SvgMatrix;
use Orthotaxis\Core\Sheet\SheetText;

/** The texts of a sheet and where they stand. Of pictures none can be read. */
final readonly class SheetTexts
{
    /** Of the height of the sheet: so far apart stand texts of one row at most. */
    private const TOLERANCE = 0.003;

    /** Of the radius of a circle: so far from its middle may a text begin that stands in it. */
    private const WITHIN = 1.1;

    /**
     * @param  list<SheetText>  $texts
     * @param  float  $tolerance  in units of the sheet
     */
    private function __construct(public array $texts, public float $tolerance) {}

    /** @return ?self null: nothing can be read of a file of this kind */
    public static function of(string $path, string $mediaType): ?self
    {
        return match ($mediaType) {
            'image/svg+xml' => self::svg($path),
            'application/pdf' => self::pdf($path),
            default => null,
        };
    }

    private static function svg(string $path): ?self
    {
        $document = new \DOMDocument();
        if (!@$document->load($path, LIBXML_NONET)) {
            return null;
        }
        $texts = $circles = [];
        foreach ($document->getElementsByTagName('circle') as $circle) {
            [$x, $y, $scale] = self::place($circle, 'cx', 'cy');
            $circles[] = [$x, $y, (float) $circle->getAttribute('r') * $scale * self::WITHIN];
        }
        foreach ($document->getElementsByTagName('text') as $text) {
            [$x, $y] = self::place($text, 'x', 'y');
            $ringed = false;
            foreach ($circles as [$cx, $cy, $r]) {
                $ringed = $ringed || ($x - $cx) ** 2 + ($y - $cy) ** 2 <= $r ** 2;
            }
            $texts[] = new SheetText(trim($text->textContent), $x, $y, ringed: $ringed);
        }
        $box = preg_split('/[\s,]+/', trim((string) $document->documentElement?->getAttribute('viewBox'))) ?: [];
        $height = (float) ($box[3] ?? $document->documentElement?->getAttribute('height'));

        return new self($texts, max($height, 1) * self::TOLERANCE);
    }

    /** @return array{float, float, float} where it is on the sheet, and how much it is enlarged */
    private static function place(\DOMElement $element, string $across, string $down): array
    {
        $matrix = SvgMatrix::none();
        for ($at = $element; $at instanceof \DOMElement; $at = $at->parentNode) {
            $matrix = SvgMatrix::of($at->getAttribute('transform'))->times($matrix);
        }

        return [...$matrix->point((float) $element->getAttribute($across), (float) $element->getAttribute($down)), $matrix->enlarges()];
    }

    private static function pdf(string $path): ?self
    {
        $told = DrawingProgram::run(['pdftotext', '-tsv', $path, '-']);
        if ($told === null) {
            return null;
        }
        $texts = [];
        $height = 1.0;
        foreach (explode("\n", $told) as $at => $row) {
            $cells = explode("\t", $row);
            if ($at === 0 || count($cells) < 12) {
                continue;
            }
            [$level, $page, , , , , $left, $top, , $size, $confidence, $text] = $cells;
            if ($level === '1') {
                $height = max($height, (float) $size);
            } elseif ($level === '5' && (float) $confidence > 0) {
                // Rows stand on one line below: letters are of different heights.
                $texts[] = new SheetText($text, (float) $left, (float) $top + (float) $size, (int) $page);
            }
        }

        return new self($texts, $height * self::TOLERANCE);
    }
}
