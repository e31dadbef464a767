<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Sheet;

use function ord;

/** A page of a sheet as it is seen, in grey. */
final readonly class GreyPicture
{
    /** What is darker is ink. */
    private const INK = 192;

    /**
     * @param  int  $width  in pixels
     * @param  string  $bytes  one a pixel, row by row from above; 0 is black
     *
     * @throws \InvalidArgumentException where there are not as many bytes as pixels
     */
    public function __construct(public int $width, public int $height, public string $bytes)
    {
        strlen($bytes) === $width * $height || throw new \InvalidArgumentException('There is a byte for every pixel.');
    }

    public function row(int $y): string
    {
        return $y < $this->height ? substr($this->bytes, $y * $this->width, $this->width) : '';
    }

    public function isInk(int $x, int $y): bool
    {
        return $x < $this->width && $y < $this->height && ord($this->bytes[$y * $this->width + $x]) < self::INK;
    }

    /** Whether there is ink at a pixel or beside it: the same line is not always drawn on the same pixels. */
    public function isInkNear(int $x, int $y): bool
    {
        for ($row = max(0, $y - 1), $last = min($this->height - 1, $y + 1); $row <= $last; $row++) {
            for ($at = max(0, $x - 1), $end = min($this->width - 1, $x + 1); $at <= $end; $at++) {
                if (ord($this->bytes[$row * $this->width + $at]) < self::INK) {
                    return true;
                }
            }
        }

        return false;
    }
}
