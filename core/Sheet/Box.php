<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Sheet;

/** A rectangle on a sheet, in millimetres from its upper left corner. */
final readonly class Box
{
    public function __construct(public float $left, public float $top, public float $right, public float $bottom) {}

    /**
     * The least that holds all of the points.
     *
     * @param  non-empty-list<array{float, float}>  $points
     */
    public static function around(array $points): self
    {
        $x = array_column($points, 0);
        $y = array_column($points, 1);

        return new self((float) min($x), (float) min($y), (float) max($x), (float) max($y));
    }

    public function with(self $other): self
    {
        return new self(
            min($this->left, $other->left),
            min($this->top, $other->top),
            max($this->right, $other->right),
            max($this->bottom, $other->bottom),
        );
    }

    /** Whether they share a point, with so much to spare on every side. */
    public function meets(self $other, float $spare = 0.0): bool
    {
        return $this->left - $spare <= $other->right &&
            $other->left - $spare <= $this->right &&
            $this->top - $spare <= $other->bottom &&
            $other->top - $spare <= $this->bottom;
    }
}
