/** Where the nodes of a layered graph stand: a column for each level, and in it the order that crosses fewest lines. */
export interface Placed {
  x: number;
  y: number;
}

/** Widths of a column: as it is where many are looked at by scrolling, and the least at which all may stand side by side. */
export const COLUMN = 230;
export const NARROW = 190;
/** Heights of a row: one line of text, or two where there are few. */
export const ROW = 20;
export const TALL = 52;
const FEW = 12;
const SWEEPS = 4;

/**
 * The column of each node: one behind the last of all that it uses, so that every line leads forward. What contains itself,
 * and all above it, has no such column and stands where its level says.
 *
 * @param levels  shortest way of each node from what is affected
 * @param edges   from a node to one that uses it, by their places
 */
export function columnsOf(levels: number[], edges: number[][]): number[] {
  const users: number[][] = levels.map(() => []);
  const waiting = levels.map(() => 0);
  for (const [from = 0, to = 0] of edges) {
    users[from]?.push(to);
    waiting[to] = (waiting[to] ?? 0) + 1;
  }
  const columns = [...levels];
  const ready = levels.flatMap((_, node) => (waiting[node] === 0 ? [node] : []));
  for (let i = 0; i < ready.length; i++) {
    const node = ready[i] ?? 0;
    for (const user of users[node] ?? []) {
      columns[user] = Math.max(columns[user] ?? 0, (columns[node] ?? 0) + 1);
      waiting[user] = (waiting[user] ?? 0) - 1;
      if (waiting[user] === 0) ready.push(user);
    }
  }
  return columns;
}

/**
 * @param levels  shortest way of each node from what is affected
 * @param edges   from a node to one that uses it, by their places
 * @param width   that there is: few columns are spread over all of it
 */
export function layered(
  levels: number[],
  edges: number[][],
  width = 0,
): { places: Placed[]; across: number; few: boolean; width: number; height: number } {
  const columns = columnsOf(levels, edges);
  const full = [...new Set(columns)]
    .sort((a, b) => a - b)
    .map((one) => columns.flatMap((column, node) => (column === one ? [node] : [])));
  const share = Math.floor(width / full.length);
  const across = share >= NARROW ? share : COLUMN;
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
  const few = tallest <= FEW;
  const pitch = few ? TALL : ROW;
  const places: Placed[] = [];
  full.forEach((nodes, index) => {
    const gap = nodes.length === 1 ? 0 : ((tallest - 1) * pitch) / (nodes.length - 1);
    // Short columns are spread, but not so far that they read as single rows.
    const step = nodes.length === 1 ? 0 : Math.min(gap, pitch * 4);
    const top = ((tallest - 1) * pitch - step * (nodes.length - 1)) / 2;
    nodes.forEach((node, row) => (places[node] = { x: index * across, y: top + row * step }));
  });
  return { places, across, few, width: full.length * across, height: tallest * pitch };
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
