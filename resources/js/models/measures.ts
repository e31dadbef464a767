import type { Solid } from './solids';

/** What a body measures, wherever it stands and however it is turned, and where it stands. */
export interface Measures {
  volume: number;
  area: number;
  triangles: number;
  centre: [number, number, number];
  low: [number, number, number];
  high: [number, number, number];
}

/** Sums over the triangles of a closed body: cubic and square millimetres. */
export function measuresOf({ position, index }: Solid): Measures {
  let [volume, area] = [0, 0];
  const centre: [number, number, number] = [0, 0, 0];
  const low: [number, number, number] = [Infinity, Infinity, Infinity];
  const high: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  const corner = (at: number): [number, number, number] => {
    const from = 3 * (index[at] ?? 0);
    return [position[from] ?? 0, position[from + 1] ?? 0, position[from + 2] ?? 0];
  };
  for (let at = 0; at + 2 < index.length; at += 3) {
    const [a, b, c] = [corner(at), corner(at + 1), corner(at + 2)];
    const across = cross(minus(b, a), minus(c, a));
    const piece = Math.hypot(...across) / 2;
    volume += dot(a, cross(b, c)) / 6;
    area += piece;
    for (const axis of [0, 1, 2] as const) {
      centre[axis] += (piece * (a[axis] + b[axis] + c[axis])) / 3;
      low[axis] = Math.min(low[axis], a[axis], b[axis], c[axis]);
      high[axis] = Math.max(high[axis], a[axis], b[axis], c[axis]);
    }
  }
  for (const axis of [0, 1, 2] as const) centre[axis] /= area || 1;
  return { volume: Math.abs(volume), area, triangles: index.length / 3, centre, low, high };
}

type Vector = [number, number, number];

const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
