<?php

declare(strict_types=1);

namespace Database\Seeders\Models;

/** The faces, edges and corners of a prism, as ISO 10303-21 has them. */
final class SolidOf
{
    /** @var array<string, int> */
    private array $known = [];

    /** @param  \Closure(string): int  $add  writes an entity, and says its number */
    public function __construct(private readonly \Closure $add) {}

    /** @return int the solid */
    public function __invoke(Prism $prism): int
    {
        [$low, $high] = [$prism->from, $prism->from + $prism->height];
        $holes = array_map(fn(array $hole): array => $this->round($hole[0], $hole[1], $hole[2], $low, $high), $prism->holes);
        if (is_float($prism->outline)) {
            $outer = $this->round(0, 0, $prism->outline, $low, $high);
            $faces = [$this->wall($outer, true)];
            [$bottom, $top] = [$this->loop([[$outer['low'], false]]), $this->loop([[$outer['high'], true]])];
        } else {
            [$faces, $bottom, $top] = $this->polygon($prism->outline, $low, $high);
        }
        foreach ($holes as $hole) {
            $faces[] = $this->wall($hole, false);
        }
        $faces[] = $this->flat($low, false, $bottom, array_map(fn(array $hole): int => $this->loop([[$hole['low'], true]]), $holes));
        $faces[] = $this->flat($high, true, $top, array_map(fn(array $hole): int => $this->loop([[$hole['high'], false]]), $holes));
        $shell = $this->add(sprintf("CLOSED_SHELL('',(%s))", self::list($faces)));

        return $this->add("MANIFOLD_SOLID_BREP('',#{$shell})");
    }

    /**
     * @param  list<array{float, float}>  $corners
     * @return array{list<int>, int, int} side faces; loops of the bottom and the top
     */
    private function polygon(array $corners, float $low, float $high): array
    {
        $count = count($corners);
        $lower = $upper = $upright = $faces = [];
        foreach ($corners as $i => [$x, $y]) {
            [$nextX, $nextY] = $corners[($i + 1) % $count];
            $lower[] = $this->straight([$x, $y, $low], [$nextX, $nextY, $low]);
            $upper[] = $this->straight([$x, $y, $high], [$nextX, $nextY, $high]);
            $upright[] = $this->straight([$x, $y, $low], [$x, $y, $high]);
        }
        foreach ($corners as $i => [$x, $y]) {
            $next = ($i + 1) % $count;
            [$dx, $dy] = [$corners[$next][0] - $x, $corners[$next][1] - $y];
            $plane = $this->add(sprintf("PLANE('',#%d)", $this->place([$x, $y, $low], [$dy, -$dx, 0.0], [$dx, $dy, 0.0])));
            $loop = $this->loop([[$lower[$i], true], [$upright[$next], true], [$upper[$i], false], [$upright[$i], false]]);
            $faces[] = $this->face($plane, true, $loop, []);
        }

        return [
            $faces,
            $this->loop(array_map(static fn(int $edge): array => [$edge, false], array_reverse($lower))),
            $this->loop(array_map(static fn(int $edge): array => [$edge, true], $upper)),
        ];
    }

    /** @return array{low: int, high: int, seam: int, surface: int} the circles at both ends, the seam between them, the wall */
    private function round(float $x, float $y, float $radius, float $low, float $high): array
    {
        $circle = function (float $z) use ($x, $y, $radius): int {
            $corner = $this->corner([$x + $radius, $y, $z]);
            $curve = $this->add(
                sprintf("CIRCLE('',#%d,%s)", $this->place([$x, $y, $z], [0.0, 0.0, 1.0], [1.0, 0.0, 0.0]), StepFile::number($radius)),
            );

            return $this->add("EDGE_CURVE('',#{$corner},#{$corner},#{$curve},.T.)");
        };

        return [
            'low' => $circle($low),
            'high' => $circle($high),
            'seam' => $this->straight([$x + $radius, $y, $low], [$x + $radius, $y, $high]),
            'surface' => $this->add(
                sprintf(
                    "CYLINDRICAL_SURFACE('',#%d,%s)",
                    $this->place([$x, $y, $low], [0.0, 0.0, 1.0], [1.0, 0.0, 0.0]),
                    StepFile::number($radius),
                ),
            ),
        ];
    }

    /** @param  array{low: int, high: int, seam: int, surface: int}  $round */
    private function wall(array $round, bool $isOutside): int
    {
        $loop = $isOutside
            ? [[$round['low'], true], [$round['seam'], true], [$round['high'], false], [$round['seam'], false]]
            : [[$round['low'], false], [$round['seam'], true], [$round['high'], true], [$round['seam'], false]];

        return $this->face($round['surface'], $isOutside, $this->loop($loop), []);
    }

    /** @param  list<int>  $holes  loops */
    private function flat(float $z, bool $up, int $loop, array $holes): int
    {
        $plane = $this->add(sprintf("PLANE('',#%d)", $this->place([0.0, 0.0, $z], [0.0, 0.0, $up ? 1.0 : -1.0], [1.0, 0.0, 0.0])));

        return $this->face($plane, true, $loop, $holes);
    }

    /** @param  list<int>  $holes  loops */
    private function face(int $surface, bool $same, int $loop, array $holes): int
    {
        $bounds = [
            $this->add("FACE_OUTER_BOUND('',#{$loop},.T.)"),
            ...array_map(fn(int $hole): int => $this->add("FACE_BOUND('',#{$hole},.T.)"), $holes),
        ];

        return $this->add(sprintf("ADVANCED_FACE('',(%s),#%d,%s)", self::list($bounds), $surface, $same ? '.T.' : '.F.'));
    }

    /** @param  list<array{int, bool}>  $edges  each along its way or against it */
    private function loop(array $edges): int
    {
        $oriented = array_map(
            fn(array $edge): int => $this->add(sprintf("ORIENTED_EDGE('',*,*,#%d,%s)", $edge[0], $edge[1] ? '.T.' : '.F.')),
            $edges,
        );

        return $this->add(sprintf("EDGE_LOOP('',(%s))", self::list($oriented)));
    }

    /**
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $to
     */
    private function straight(array $from, array $to): int
    {
        $way = [$to[0] - $from[0], $to[1] - $from[1], $to[2] - $from[2]];
        $vector = $this->add(sprintf("VECTOR('',#%d,1.)", $this->triple('DIRECTION', self::unit($way))));
        $line = $this->add(sprintf("LINE('',#%d,#%d)", $this->triple('CARTESIAN_POINT', $from), $vector));

        return $this->add(sprintf("EDGE_CURVE('',#%d,#%d,#%d,.T.)", $this->corner($from), $this->corner($to), $line));
    }

    /** @param  array{float, float, float}  $at */
    private function corner(array $at): int
    {
        return $this->known[implode(' ', $at)] ??= $this->add(sprintf("VERTEX_POINT('',#%d)", $this->triple('CARTESIAN_POINT', $at)));
    }

    /**
     * @param  array{float, float, float}  $at
     * @param  array{float, float, float}  $up
     * @param  array{float, float, float}  $along
     */
    private function place(array $at, array $up, array $along): int
    {
        return $this->add(
            sprintf(
                "AXIS2_PLACEMENT_3D('',#%d,#%d,#%d)",
                $this->triple('CARTESIAN_POINT', $at),
                $this->triple('DIRECTION', self::unit($up)),
                $this->triple('DIRECTION', self::unit($along)),
            ),
        );
    }

    /** @param  array{float, float, float}  $of */
    private function triple(string $kind, array $of): int
    {
        return $this->add(sprintf("%s('',(%s))", $kind, implode(',', array_map(StepFile::number(...), $of))));
    }

    /**
     * @param  array{float, float, float}  $way
     * @return array{float, float, float}
     */
    private static function unit(array $way): array
    {
        $length = sqrt($way[0] ** 2 + $way[1] ** 2 + $way[2] ** 2);

        return [$way[0] / $length, $way[1] / $length, $way[2] / $length];
    }

    /** @param  list<int>  $ids */
    private static function list(array $ids): string
    {
        return implode(',', array_map(static fn(int $id): string => "#{$id}", $ids));
    }

    private function add(string $entity): int
    {
        return ($this->add)($entity);
    }
}
