<?php

declare(strict_types=1);

namespace App\Sheets\Svg;

/** Where something that is moved, enlarged, turned or slanted comes to lie (SVG 1.1, 7.6). */
final readonly class SvgMatrix
{
    private function __construct(
        private float $a = 1,
        private float $b = 0,
        private float $c = 0,
        private float $d = 1,
        private float $e = 0,
        private float $f = 0,
    ) {}

    public static function none(): self
    {
        return new self();
    }

    /** By an attribute "transform"; what it does not know does nothing. */
    public static function of(string $transform): self
    {
        $all = new self();
        preg_match_all('/(\w+)\s*\(([^)]*)\)/', $transform, $steps, PREG_SET_ORDER);
        foreach ($steps as [, $what, $numbers]) {
            $all = $all->times(self::step($what, SvgPath::numbers($numbers)));
        }

        return $all;
    }

    public static function scaled(float $x, float $y, float $left = 0, float $top = 0): self
    {
        return new self(a: $x, d: $y, e: -$left * $x, f: -$top * $y);
    }

    /** First the other, then this one. */
    public function times(self $o): self
    {
        return new self(
            a: $this->a * $o->a + $this->c * $o->b,
            b: $this->b * $o->a + $this->d * $o->b,
            c: $this->a * $o->c + $this->c * $o->d,
            d: $this->b * $o->c + $this->d * $o->d,
            e: $this->a * $o->e + $this->c * $o->f + $this->e,
            f: $this->b * $o->e + $this->d * $o->f + $this->f,
        );
    }

    /** @return array{float, float} */
    public function point(float $x, float $y): array
    {
        return [$this->a * $x + $this->c * $y + $this->e, $this->b * $x + $this->d * $y + $this->f];
    }

    /** How much larger a length becomes, at the mean of all directions. */
    public function enlarges(): float
    {
        return sqrt(abs($this->a * $this->d - $this->b * $this->c));
    }

    /** @param  list<float>  $n */
    private static function step(string $what, array $n): self
    {
        $angle = deg2rad($n[0] ?? 0);

        return match (true) {
            $what === 'translate' && $n !== [] => new self(e: $n[0], f: $n[1] ?? 0),
            $what === 'scale' && $n !== [] => new self(a: $n[0], d: $n[1] ?? $n[0]),
            $what === 'rotate' && count($n) === 3 => (new self(e: $n[1], f: $n[2]))
                ->times(new self(cos($angle), sin($angle), -sin($angle), cos($angle)))
                ->times(new self(e: -$n[1], f: -$n[2])),
            $what === 'rotate' => new self(cos($angle), sin($angle), -sin($angle), cos($angle)),
            $what === 'skewX' => new self(c: tan($angle)),
            $what === 'skewY' => new self(b: tan($angle)),
            $what === 'matrix' && count($n) === 6 => new self(...$n),
            default => new self(),
        };
    }
}
