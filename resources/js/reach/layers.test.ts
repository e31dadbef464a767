import { describe, expect, it } from 'vitest';
import { COLUMN, layered, through } from './layers';

describe('layered', () => {
  it('puts each level in a column of its own and no two nodes in one place', () => {
    const levels = [0, 1, 1, 1, 2, 3, 3];
    const { places } = layered(levels, [
      [0, 1],
      [0, 2],
      [0, 3],
      [1, 4],
      [4, 5],
      [4, 6],
    ]);
    levels.forEach((level, node) => expect(places[node]?.x).toBe(level * COLUMN));
    expect(new Set(places.map(({ x, y }) => `${x} ${y}`)).size).toBe(levels.length);
  });

  it('orders a column so that lines do not cross where they need not', () => {
    // Told crosswise: 1 belongs to 4, 2 to 3.
    const { places } = layered(
      [0, 1, 1, 2, 2],
      [
        [0, 1],
        [0, 2],
        [1, 4],
        [2, 3],
      ],
    );
    const y = (node: number) => places[node]?.y ?? 0;
    expect(Math.sign(y(1) - y(2))).toBe(Math.sign(y(4) - y(3)));
  });

  it('holds 500 nodes', () => {
    const levels = Array.from({ length: 500 }, (_, node) => (node === 0 ? 0 : 1 + (node % 5)));
    const edges = levels.flatMap((level, node) => (level === 1 ? [[0, node]] : level > 1 ? [[node - 1, node]] : []));
    const { places, height } = layered(levels, edges);
    expect(places.filter(Boolean).length).toBe(500);
    expect(height).toBeLessThanOrEqual(100 * 20);
  });
});

describe('through', () => {
  it('follows ways up and down, not to the sides', () => {
    const edges = [
      [0, 1],
      [0, 2],
      [1, 3],
      [2, 3],
      [3, 4],
    ];
    expect([...through(1, edges)].sort()).toEqual([0, 1, 3, 4]);
  });
});
