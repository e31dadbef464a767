<?php

declare(strict_types=1);

namespace Database\Seeders\Models;

/** Design models of the demo, as simple as a sketch: the pump head with its parts, in two revisions. */
final readonly class DemoModels
{
    /** Radius of the circle on which rollers run round. */
    private const ROLLERS = 22.0;

    /**
     * The pump head as it is; or the revision before, in which the housing was bored wider, the rollers sat closer in, the clamps further
     * out, and another seal lay below the cover.
     */
    public static function pumpHead(bool $before): string
    {
        $bore = $before ? 33.0 : 31.5;
        $rollers = $before ? self::ROLLERS - 1.2 : self::ROLLERS;
        $corners = [[-34.0, -34.0, 2.2], [34.0, -34.0, 2.2], [34.0, 34.0, 2.2], [-34.0, 34.0, 2.2]];
        $around = static fn(int $at, float $radius): array => [
            round($radius * cos((2 * M_PI * $at) / 3), 3),
            round($radius * sin((2 * M_PI * $at) / 3), 3),
        ];
        $clamps = $before ? [[-12.0, -46.0], [12.0, -46.0]] : [[-14.0, -44.0], [14.0, -44.0]];
        $ring = $before ? ['600-0083', 'O-ring 32 x 3 rubber', 2.0] : ['600-0082', 'O-ring, cover', 2.0];

        return StepFile::of('200-0010.stp', [
            '200-0011' => [
                'title' => 'Pump head housing',
                'solids' => [
                    Prism::box(80, 80, 6, [...$corners, [0.0, 0.0, 6.0]]),
                    Prism::box(80, 80, 24, [...$corners, [0.0, 0.0, $bore]], 6),
                ],
            ],
            '200-0012' => ['title' => 'Pump head cover, clear', 'solids' => [Prism::box(80, 80, 4, $corners)]],
            '200-0013' => ['title' => 'Cover latch, pump head', 'solids' => [Prism::box(6, 18, 10)]],
            '200-0021' => ['title' => 'Rotor disc, upper', 'solids' => [Prism::disc(28.0, 2, [[0, 0, 5.0]])]],
            '200-0022' => ['title' => 'Rotor disc, lower', 'solids' => [Prism::disc(28.0, 2, [[0, 0, 5.0]])]],
            '200-0023' => ['title' => 'Rotor shaft', 'solids' => [Prism::disc(5.0, 42)]],
            '200-0031' => ['title' => 'Roller pin', 'solids' => [Prism::disc(2.0, 20)]],
            '200-0032' => ['title' => 'Roller, POM', 'solids' => [Prism::ring(7.0, 2.05, 14)]],
            '200-0030' => ['title' => 'Roller set', 'parts' => [['200-0031', 0, 0, 0], ['200-0032', 0, 0, 3]]],
            '200-0020' => [
                'title' => 'Rotor assembly',
                'parts' => [
                    ['200-0023', 0, 0, -6],
                    ['200-0022', 0, 0, 0],
                    ['200-0021', 0, 0, 18],
                    ...array_map(static fn(int $at): array => ['200-0030', ...$around($at, $rollers), 0], [0, 1, 2]),
                ],
            ],
            '200-0040' => ['title' => 'Pump tube, silicone, wall 1.6 mm', 'solids' => [Prism::ring(4.8, 3.2, 40)]],
            $ring[0] => ['title' => $ring[1], 'solids' => [Prism::ring(38.0, 36.0, $ring[2])]],
            '200-0042' => ['title' => 'Tube clamp', 'solids' => [Prism::ring(8.0, 6.0, 5)]],
            '600-0014' => ['title' => 'Screw M4 x 12', 'solids' => [Prism::disc(2.0, 12), Prism::disc(3.5, 4, [], 12)]],
            '200-0010' => [
                'title' => 'Pump head',
                'parts' => [
                    ['200-0011', 0, 0, 0],
                    ['200-0012', 0, 0, 30],
                    ['200-0013', -43, 0, 18],
                    ['200-0013', 43, 0, 18],
                    ['200-0020', 0, 0, 8],
                    ['200-0040', 0, -60, 12],
                    [$ring[0], 0, 0, 28],
                    ...array_map(static fn(array $at): array => ['200-0042', $at[0], $at[1], 14], $clamps),
                    ...array_map(static fn(array $at): array => ['600-0014', $at[0], $at[1], 24], [...$corners, [0.0, 36.5], [0.0, -36.5]]),
                ],
            ],
        ]);
    }
}
