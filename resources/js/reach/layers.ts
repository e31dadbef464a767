/** Where the nodes of a layered graph stand: a column for each level, and in it the order that crosses fewest lines. */
export interface Placed {
  x: number;
  y: number;
}

export const COLUMN = 230;
export const ROW = 20;
const SWEEPS = 4;

/**
 * @param levels  level of each node
 * @param edges   from a node to one of a higher level, by their places
 */
export function layered(levels: number[], edges: number[][]): { places: Placed[]; width: number; height: number } {
  const full = [...new Set(levels)]
    .sort((a, b) => a - b)
    .map((level) => levels.flatMap((one, node) => (one === level ? [node] : [])));
  const neighbours: number[][] = levels.map(() => []);
  for (const [a = 0, b = 0] of edges) {
    neighbours[a]?.push(b);
    neighbours[b]?.push(a);
  }
  const at: number[] = levels.map(() => 0);
  full.forEach((column) => column.forEach((node, row) => (at[node] = row / column.length)));
  const column: number[] = [];
  full.forEach((nodes, index) => nodes.forEach((node) => (column[node] = index)));
  // Each node goes to the middle of those it is tied to in the column before (forth), then after (back), several times.
  for (let sweep = 0; sweep < SWEEPS; sweep++) {
    const forth = sweep % 2 === 0;
    const order = forth ? full : [...full].reverse();
    for (const nodes of order) {
      const middle = new Map(
        nodes.map((node) => {
          const tied = (neighbours[node] ?? []).filter((other) =>
            forth ? (column[other] ?? 0) < (column[node] ?? 0) : (column[other] ?? 0) > (column[node] ?? 0),
          );
          return [
            node,
            tied.length === 0 ? (at[node] ?? 0) : tied.reduce((sum, one) => sum + (at[one] ?? 0), 0) / tied.length,
          ];
        }),
      );
      nodes.sort((a, b) => (middle.get(a) ?? 0) - (middle.get(b) ?? 0));
      nodes.forEach((node, row) => (at[node] = row / nodes.length));
    }
  }
  const tallest = Math.max(1, ...full.map((nodes) => nodes.length));
  // Few are given room.
  const pitch = tallest <= 20 ? ROW * 1.8 : ROW;
  const places: Placed[] = [];
  full.forEach((nodes, index) => {
    const gap = nodes.length === 1 ? 0 : ((tallest - 1) * pitch) / (nodes.length - 1);
    // Short columns are spread, but not so far that they read as single rows.
    const step = nodes.length === 1 ? 0 : Math.min(gap, pitch * 4);
    const top = ((tallest - 1) * pitch - step * (nodes.length - 1)) / 2;
    nodes.forEach((node, row) => (places[node] = { x: index * COLUMN, y: top + row * step }));
  });
  return { places, width: full.length * COLUMN, height: tallest * pitch };
}

/** All nodes that a way through one node goes through, it included. */
export function through(node: number, edges: number[][]): Set<number> {
  const found = new Set([node]);
  for (const [from, to] of [
    [0, 1],
    [1, 0],
  ] as const) {
    const edge = [node];
    const seen = new Set(edge);
    while (edge.length > 0) {
      const now = edge.pop();
      for (const one of edges) {
        const next = one[to];
        if (one[from] === now && next !== undefined && !seen.has(next)) {
          seen.add(next);
          found.add(next);
          edge.push(next);
        }
      }
    }
  }
  return found;
}
