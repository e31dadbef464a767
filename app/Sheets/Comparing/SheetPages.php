<?php

declare(strict_types=1);

namespace App\Sheets\Comparing;

use App\Files\DrawingProgram;
use App\Files\Drawn;
use App\Sheets\SheetTexts;
use App\Sheets\Svg\SvgSheet;
use Orthotaxis\Core\Sheet\Box;
use Orthotaxis\Core\Sheet\GreyPicture;
use Orthotaxis\Core\Sheet\SheetElement;
use Orthotaxis\Core\Sheet\SheetSize;
use Orthotaxis\Core\Sheet\SheetText;

/** The pages of a sheet as they are compared: how many, how large, what is on them. */
final readonly class SheetPages
{
    private const POINT = 25.4 / 72;

    /** A picture does not say how large its sheet is: taken for an A3, whose long side this is. */
    private const LONG_SIDE = 420.0;

    /** @param  ?SvgSheet  $drawn  what is on it element by element, where that is known */
    private function __construct(private string $path, private string $mediaType, public int $count, public ?SvgSheet $drawn) {}

    public static function of(string $path, string $mediaType): self
    {
        $count =
            $mediaType === 'application/pdf' &&
            preg_match('/^Pages:\s+(\d+)/m', (string) DrawingProgram::run(['pdfinfo', $path]), $pages) === 1
                ? (int) $pages[1]
                : 1;

        return new self($path, $mediaType, $count, $mediaType === 'image/svg+xml' ? SvgSheet::read($path) : null);
    }

    /** @return ?SheetSize null: it cannot be told */
    public function size(int $page): ?SheetSize
    {
        if ($this->drawn !== null) {
            return $this->drawn->size;
        }
        if ($this->mediaType === 'application/pdf') {
            $told = (string) DrawingProgram::run(['pdfinfo', '-f', (string) $page, '-l', (string) $page, $this->path]);
            $read = preg_match('/^Page\s+\d+ size:\s+([\d.]+) x ([\d.]+)/m', $told, $points);
            $turned = preg_match('/^Page\s+\d+ rot:\s+(90|270)/m', $told) === 1;
            [$width, $height] = $read === 1 ? [(float) $points[1] * self::POINT, (float) $points[2] * self::POINT] : [0.0, 0.0];

            return $width <= 0 || $height <= 0 ? null : ($turned ? new SheetSize($height, $width) : new SheetSize($width, $height));
        }
        $picture = Drawn::png($this->path, $this->mediaType, 100);
        [$width, $height] = @getimagesizefromstring((string) $picture) ?: [0, 0];
        $unit = self::LONG_SIDE / max(1, $width, $height);

        return $width === 0 ? null : new SheetSize($width * $unit, $height * $unit);
    }

    /**
     * @param  float  $pixel  how large a pixel is, in millimetres
     * @return ?GreyPicture null: it cannot be drawn
     */
    public function grey(int $page, SheetSize $size, float $pixel): ?GreyPicture
    {
        $png = Drawn::png($this->path, $this->mediaType, max(1, (int) round($size->width / $pixel)), $page);
        $picture = $png === null ? false : @imagecreatefromstring($png);
        if ($picture === false) {
            return null;
        }
        imagefilter($picture, IMG_FILTER_GRAYSCALE);
        [$width, $height] = [imagesx($picture), imagesy($picture)];
        imagepalettetotruecolor($picture);
        $bytes = '';
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                $bytes .= chr(imagecolorat($picture, $x, $y) & 0xff);
            }
        }

        return new GreyPicture($width, $height, $bytes);
    }

    /** @return list<SheetElement> texts that can be read of a page; of a picture none */
    public function texts(int $page): array
    {
        $texts = $this->mediaType === 'application/pdf' ? SheetTexts::of($this->path, $this->mediaType)->texts ?? [] : [];
        $found = [];
        foreach ($texts as $text) {
            if ($text->page === $page) {
                $found[] = self::written($text);
            }
        }

        return $found;
    }

    /** What stands within half a millimetre of where it stood has not moved. */
    private static function written(SheetText $text): SheetElement
    {
        [$x, $y] = [$text->x * self::POINT, $text->y * self::POINT];

        return new SheetElement(
            sprintf('%s %d %d', $text->text, round($x * 2), round($y * 2)),
            [new Box($x, $y - 3, $x + 1.8 * mb_strlen($text->text), $y)],
            $text->text,
        );
    }
}
