import { describe, expect, it } from 'vitest';
import { shaded, type Pixels } from './shaded';

/** A box from one corner to another, two triangles a side. */
function box(from: [number, number, number], to: [number, number, number]) {
  const corners = [0, 1, 2, 3, 4, 5, 6, 7].flatMap((at) =>
    [at & 1, at & 2, at & 4].map((far, axis) => (far === 0 ? from : to)[axis] ?? 0),
  );
  const sides = [
    [0, 1, 3, 2],
    [4, 5, 7, 6],
    [0, 1, 5, 4],
    [2, 3, 7, 6],
    [0, 2, 6, 4],
    [1, 3, 7, 5],
  ];
  return {
    position: Float32Array.from(corners),
    index: Uint32Array.from(sides.flatMap(([a = 0, b = 0, c = 0, d = 0]) => [a, b, c, a, c, d])),
  };
}

const at = ({ data, width }: Pixels, x: number, y: number) => data[4 * (y * width + x)] ?? -1;

describe('a model drawn small', () => {
  it('stands in the middle of white paper, its faces in shades of their own', () => {
    const picture = shaded([box([0, 0, 0], [10, 10, 10])], 120, 90);
    expect([at(picture, 1, 1), at(picture, 118, 88), at(picture, 118, 1)]).toEqual([255, 255, 255]);
    const [top, left, right] = [at(picture, 60, 25), at(picture, 42, 55), at(picture, 78, 55)];
    expect(top).toBeGreaterThan(left);
    expect(left).not.toBe(right);
    for (const shade of [top, left, right]) {
      expect(shade).toBeGreaterThan(100);
      expect(shade).toBeLessThan(255);
    }
    expect(new Set(picture.data.filter((_, i) => i % 4 === 3))).toEqual(new Set([255]));
  });

  it('is as large as it fits, however large it is', () => {
    const small = shaded([box([0, 0, 0], [1, 1, 1])], 120, 90);
    const large = shaded([box([500, -200, 30], [1500, 800, 1030])], 120, 90);
    expect(large.data.filter((value, i) => value !== small.data[i])).toHaveLength(0);
    const rows = Array.from({ length: 90 }, (_, y) => Array.from({ length: 120 }, (__, x) => at(small, x, y)));
    const drawn = rows.flatMap((row, y) => (row.some((shade) => shade < 255) ? [y] : []));
    expect([drawn[0], drawn.at(-1)]).toEqual([4, 85]);
  });

  it('hides what is behind, and draws an edge between two bodies that touch', () => {
    const outer = box([0, 0, 0], [10, 10, 10]);
    const within = shaded([outer, box([2, 2, 2], [8, 8, 8])], 120, 90);
    expect(within.data).toEqual(shaded([outer], 120, 90).data);
    const dark = (picture: Pixels) =>
      Array.from({ length: 90 }, (_, y) => at(picture, 42, y)).filter((shade) => shade < 140);
    const touching = shaded([box([0, 0, 0], [10, 10, 5]), box([0, 0, 5], [10, 10, 10])], 120, 90);
    expect(dark(touching).length).toBeGreaterThan(dark(shaded([outer], 120, 90)).length);
  });
});
