<?php

declare(strict_types=1);

namespace Database\Seeders\Models;

/** A solid that stands on a flat outline: a polygon or a circle, with round holes through it. Millimetres. */
final readonly class Prism
{
    /**
     * @param  list<array{float, float}>|float  $outline  corners, counter-clockwise; or the radius of a circle about the origin
     * @param  list<array{float, float, float}>  $holes  x, y and radius
     * @param  float  $from  where it begins, along z
     */
    public function __construct(public array|float $outline, public float $height, public array $holes = [], public float $from = 0) {}

    /** @param  list<array{float, float, float}>  $holes */
    public static function box(float $width, float $depth, float $height, array $holes = [], float $from = 0): self
    {
        [$x, $y] = [$width / 2, $depth / 2];

        return new self([[-$x, -$y], [$x, -$y], [$x, $y], [-$x, $y]], $height, $holes, $from);
    }

    /** @param  list<array{float, float, float}>  $holes */
    public static function disc(float $radius, float $height, array $holes = [], float $from = 0): self
    {
        return new self($radius, $height, $holes, $from);
    }

    public static function ring(float $radius, float $bore, float $height, float $from = 0): self
    {
        return new self($radius, $height, [[0, 0, $bore]], $from);
    }
}
