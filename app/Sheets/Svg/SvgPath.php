<?php

declare(strict_types=1);

namespace App\Sheets\Svg;

/** The strokes of a path (SVG 1.1, 8.3): each a list of points; a curve is told by points along it. */
final class SvgPath
{
    /** Points that tell a curve. */
    private const ALONG = 8;

    private const NUMBER = '/[-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?/';

    /** How many numbers an act takes. */
    private const TAKES = ['M' => 2, 'L' => 2, 'H' => 1, 'V' => 1, 'C' => 6, 'S' => 4, 'Q' => 4, 'T' => 2, 'A' => 7];

    /** @var list<list<array{float, float}>> */
    private array $strokes = [];

    /** @var list<array{float, float}> */
    private array $stroke = [];

    private float $x = 0;

    private float $y = 0;

    /** @var array{float, float} the last point that a curve was drawn to */
    private array $drawn = [0, 0];

    private string $last = '';

    /** @return list<list<array{float, float}>> */
    public static function strokes(string $path): array
    {
        $self = new self();
        preg_match_all('/([MLHVCSQTAZmlhvcsqtaz])([^MLHVCSQTAZmlhvcsqtaz]*)/', $path, $acts, PREG_SET_ORDER);
        foreach ($acts as [, $act, $numbers]) {
            $self->acts($act, $act === 'A' || $act === 'a' ? self::arcNumbers($numbers) : self::numbers($numbers));
        }
        $self->lift();

        return $self->strokes;
    }

    /** @return list<float> */
    public static function numbers(string $text): array
    {
        preg_match_all(self::NUMBER, $text, $found);

        return array_map(floatval(...), $found[0]);
    }

    /** @return list<float> the two flags of an arc may stand without anything between them */
    private static function arcNumbers(string $text): array
    {
        $number = substr(self::NUMBER, 1, -1);
        preg_match_all(
            "/({$number})[\s,]*({$number})[\s,]*({$number})[\s,]*([01])[\s,]*([01])[\s,]*({$number})[\s,]*({$number})/",
            $text,
            $found,
            PREG_SET_ORDER,
        );

        return array_merge(...array_map(static fn(array $one): array => array_map(floatval(...), array_slice($one, 1)), $found));
    }

    /** @param  list<float>  $numbers */
    private function acts(string $letter, array $numbers): void
    {
        $act = strtoupper($letter);
        if ($act === 'Z') {
            $this->to(...$this->stroke[0] ?? [$this->x, $this->y]);
            $this->lift();

            return;
        }
        foreach (array_chunk($numbers, self::TAKES[$act]) as $at => $n) {
            if (count($n) === self::TAKES[$act]) {
                // Further pairs after a first move are lines.
                $this->act($act === 'M' && $at > 0 ? 'L' : $act, $n, $letter !== $act);
            }
        }
    }

    /** @param  non-empty-list<float>  $n */
    private function act(string $act, array $n, bool $relative): void
    {
        [$ox, $oy] = $relative ? [$this->x, $this->y] : [0.0, 0.0];
        $points = match ($act) {
            'H' => [[$n[0] + $ox, $this->y]],
            'V' => [[$this->x, $n[0] + $oy]],
            'A' => [[$n[5] + $ox, $n[6] + $oy]],
            default => array_map(static fn(array $pair): array => [$pair[0] + $ox, $pair[1] + $oy], array_chunk($n, 2)),
        };
        $mirrored = [2 * $this->x - $this->drawn[0], 2 * $this->y - $this->drawn[1]];
        $from = [$this->x, $this->y];
        match ($act) {
            'M' => $this->move(...$points[0]),
            'C' => $this->curve([$from, ...$points]),
            'S' => $this->curve([$from, str_contains('CS', $this->last) && $this->last !== '' ? $mirrored : $from, ...$points]),
            'Q' => $this->curve([$from, ...$points]),
            'T' => $this->curve([$from, str_contains('QT', $this->last) && $this->last !== '' ? $mirrored : $from, ...$points]),
            'A' => $this->arc($n[0], $n[1], deg2rad($n[2]), $n[3] > 0, $n[4] > 0, $points[0]),
            default => $this->to(...$points[0]),
        };
        $this->last = $act;
    }

    private function move(float $x, float $y): void
    {
        $this->lift();
        [$this->x, $this->y] = [$x, $y];
        $this->stroke = [[$x, $y]];
    }

    private function to(float $x, float $y): void
    {
        $this->stroke = $this->stroke === [] ? [[$this->x, $this->y]] : $this->stroke;
        $this->stroke[] = [$x, $y];
        [$this->x, $this->y] = [$x, $y];
    }

    private function lift(): void
    {
        if ($this->stroke !== []) {
            $this->strokes[] = $this->stroke;
        }
        $this->stroke = [];
    }

    /** @param  non-empty-list<array{float, float}>  $by  from, the points it is drawn to, to */
    private function curve(array $by): void
    {
        $this->drawn = $by[count($by) - 2] ?? $by[0];
        for ($at = 1; $at <= self::ALONG; $at++) {
            // Between the points, between those between them, and so on (de Casteljau).
            $points = $by;
            while (count($points) > 1) {
                $between = [];
                for ($i = 1; $i < count($points); $i++) {
                    [$p, $q, $t] = [$points[$i - 1], $points[$i], $at / self::ALONG];
                    $between[] = [$p[0] + ($q[0] - $p[0]) * $t, $p[1] + ($q[1] - $p[1]) * $t];
                }
                $points = $between;
            }
            $this->to(...$points[0]);
        }
    }

    /**
     * Around its middle (SVG 1.1, F.6.5).
     *
     * @param  array{float, float}  $end
     */
    private function arc(float $rx, float $ry, float $turned, bool $large, bool $sweep, array $end): void
    {
        [$rx, $ry] = [abs($rx), abs($ry)];
        [$dx, $dy] = [($this->x - $end[0]) / 2, ($this->y - $end[1]) / 2];
        if ($rx === 0.0 || $ry === 0.0 || ($dx === 0.0 && $dy === 0.0)) {
            $this->to(...$end);

            return;
        }
        [$cos, $sin] = [cos($turned), sin($turned)];
        [$x, $y] = [$cos * $dx + $sin * $dy, -$sin * $dx + $cos * $dy];
        $grow = max(1.0, sqrt(($x / $rx) ** 2 + ($y / $ry) ** 2));
        [$rx, $ry] = [$rx * $grow, $ry * $grow];
        $below = ($rx * $y) ** 2 + ($ry * $x) ** 2;
        $root = sqrt(max(0.0, (($rx * $ry) ** 2 - $below) / $below)) * ($large === $sweep ? -1 : 1);
        [$mx, $my] = [($root * $rx * $y) / $ry, (-$root * $ry * $x) / $rx];
        $centre = [$cos * $mx - $sin * $my + ($this->x + $end[0]) / 2, $sin * $mx + $cos * $my + ($this->y + $end[1]) / 2];
        $from = atan2(($y - $my) / $ry, ($x - $mx) / $rx);
        $by = atan2((-$y - $my) / $ry, (-$x - $mx) / $rx) - $from;
        $by += $sweep && $by < 0 ? 2 * M_PI : (!$sweep && $by > 0 ? -2 * M_PI : 0);
        for ($at = 1; $at < 2 * self::ALONG; $at++) {
            $angle = $from + ($by * $at) / (2 * self::ALONG);
            [$u, $v] = [$rx * cos($angle), $ry * sin($angle)];
            $this->to($centre[0] + $cos * $u - $sin * $v, $centre[1] + $sin * $u + $cos * $v);
        }
        $this->to(...$end);
    }
}
