import { describe, expect, it } from 'vitest';
import { COLUMN, columnsOf, layered, NARROW, through } from './layers';

describe('columnsOf', () => {
  it('puts everything behind all that it uses, however short the way is', () => {
    // 0 and 1 are affected; 2 uses 1, and 0 uses 2; 3 uses 0.
    const edges = [
      [1, 2],
      [2, 0],
      [0, 3],
    ];
    expect(columnsOf([0, 0, 1, 1], edges)).toEqual([2, 0, 1, 3]);
  });

  it('leads every line forward, in any structure without a loop', () => {
    let seed = 7;
    const random = (below: number) => {
      seed = (seed * 1103515245 + 12345) % 2147483648;
      return seed % below;
    };
    for (let run = 0; run < 30; run++) {
      const count = 5 + random(60);
      const edges = Array.from({ length: count * 2 }, () => [random(count), random(count)]).filter(
        ([from = 0, to = 0]) => from < to,
      );
      const columns = columnsOf(
        Array.from({ length: count }, () => 0),
        edges,
      );
      for (const [from = 0, to = 0] of edges) expect(columns[from]).toBeLessThan(columns[to] ?? 0);
    }
  });

  it('ends where something contains itself', () => {
    const columns = columnsOf(
      [0, 1, 2],
      [
        [0, 1],
        [1, 2],
        [2, 1],
      ],
    );
    expect(columns.length).toBe(3);
  });
});

describe('layered', () => {
  it('spreads few columns over the width that there is', () => {
    const edges = [[0, 1]];
    expect(layered([0, 1], edges, 1000).places[1]?.x).toBe(500);
    expect(layered([0, 1], edges, 2 * NARROW).places[1]?.x).toBe(NARROW);
    expect(layered([0, 1], edges, 100).places[1]?.x).toBe(COLUMN);
  });

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
