import type { Solid } from './solids';

/** A picture as rows of pixels, four bytes each: red, green, blue, and how much of it covers what is behind. */
export interface Pixels {
  width: number;
  height: number;
  data: Uint8Array;
}

type Vector = readonly [number, number, number];

/** Seen from the front, the right and above, as engineers draw a part that is to be told at a glance; lit from over the left shoulder. */
const RIGHT: Vector = [0.7071, 0.7071, 0];
const UP: Vector = [-0.3536, 0.3536, 0.866];
const NEAR: Vector = [0.6124, -0.6124, 0.5];
const LIGHT: Vector = [-0.35, 0.45, 0.82];

/** So many times as fine both ways; then drawn together, so that edges are smooth. */
const FINER = 3;
const MARGIN = 0.05;
const PAPER = 255;
const INK = 0.25;
/** Neighbouring bodies are told apart by one being a little darker. */
const GREYS = [0.98, 0.86, 0.92, 0.8] as const;

const along = (way: Vector, x: number, y: number, z: number) => way[0] * x + way[1] * y + way[2] * z;

/** The bodies of a model on paper, shaded, with an edge drawn where one body or face ends before another. */
export function shaded(solids: Pick<Solid, 'position' | 'index'>[], width: number, height: number): Pixels {
  const [wide, high] = [width * FINER, height * FINER];
  const seen = solids.map(({ position, index }) => ({ index, at: turned(position) }));
  const fit = fitting(seen, wide, high);
  const depth = new Float32Array(wide * high).fill(-Infinity);
  const bright = new Float32Array(wide * high);
  const body = new Int32Array(wide * high).fill(-1);
  seen.forEach(({ at, index }, which) => {
    const grey = GREYS[which % GREYS.length] ?? 1;
    for (let i = 0; i + 2 < index.length; i += 3) {
      const corners = [
        corner(at, index[i], fit),
        corner(at, index[i + 1], fit),
        corner(at, index[i + 2], fit),
      ] as const;
      const light = grey * lit(corners);
      fill(corners, wide, high, (pixel, near) => {
        if (near <= (depth[pixel] ?? Infinity)) return;
        depth[pixel] = near;
        bright[pixel] = light;
        body[pixel] = which;
      });
    }
  });
  return drawnTogether(inked(bright, body, wide, high), width, height);
}

/** Right, up and towards the eye, in place of x, y and z. */
function turned(position: Float32Array): Float32Array {
  const at = new Float32Array(position.length);
  for (let i = 0; i + 2 < position.length; i += 3) {
    const [x, y, z] = [position[i] ?? 0, position[i + 1] ?? 0, position[i + 2] ?? 0];
    at[i] = along(RIGHT, x, y, z);
    at[i + 1] = along(UP, x, y, z);
    at[i + 2] = along(NEAR, x, y, z);
  }
  return at;
}

interface Fit {
  scale: number;
  left: number;
  top: number;
}

/** As large as it fits, in the middle. */
function fitting(seen: { at: Float32Array }[], wide: number, high: number): Fit {
  const least = [Infinity, Infinity];
  const most = [-Infinity, -Infinity];
  for (const { at } of seen) {
    for (let i = 0; i + 2 < at.length; i += 3) {
      for (const axis of [0, 1]) {
        least[axis] = Math.min(least[axis] ?? 0, at[i + axis] ?? 0);
        most[axis] = Math.max(most[axis] ?? 0, at[i + axis] ?? 0);
      }
    }
  }
  const [left = 0, low = 0] = least;
  const [right = 0, top = 0] = most;
  const room = 1 - 2 * MARGIN;
  const scale = Math.min((wide * room) / (right - left || 1), (high * room) / (top - low || 1));
  return { scale, left: (left + right) / 2 - wide / 2 / scale, top: (top + low) / 2 + high / 2 / scale };
}

function corner(at: Float32Array, which = 0, { scale, left, top }: Fit): Vector {
  const i = 3 * which;
  return [((at[i] ?? 0) - left) * scale, (top - (at[i + 1] ?? 0)) * scale, (at[i + 2] ?? 0) * scale];
}

/** How bright a flat face is; from behind as from before, since files turn faces either way. */
function lit([a, b, c]: readonly [Vector, Vector, Vector]): number {
  const [ux, uy, uz] = [b[0] - a[0], a[1] - b[1], b[2] - a[2]];
  const [vx, vy, vz] = [c[0] - a[0], a[1] - c[1], c[2] - a[2]];
  const way = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx] as const;
  const turn = way[2] < 0 ? -1 : 1;
  const faced = (turn * along(LIGHT, ...way)) / (Math.hypot(...way) || 1);
  return 0.5 + 0.5 * Math.max(0, faced);
}

/** Every pixel whose middle is in a triangle, with how near it is there. */
function fill(
  [a, b, c]: readonly [Vector, Vector, Vector],
  wide: number,
  high: number,
  paint: (pixel: number, near: number) => void,
): void {
  const area = (b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1]);
  if (area === 0) return;
  const [fromX, toX] = [
    Math.max(0, Math.floor(Math.min(a[0], b[0], c[0]))),
    Math.min(wide - 1, Math.max(a[0], b[0], c[0])),
  ];
  const [fromY, toY] = [
    Math.max(0, Math.floor(Math.min(a[1], b[1], c[1]))),
    Math.min(high - 1, Math.max(a[1], b[1], c[1])),
  ];
  for (let y = fromY; y <= toY; y++) {
    for (let x = fromX; x <= toX; x++) {
      const [px, py] = [x + 0.5, y + 0.5];
      const ofB = ((px - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (py - a[1])) / area;
      const ofC = ((b[0] - a[0]) * (py - a[1]) - (px - a[0]) * (b[1] - a[1])) / area;
      const ofA = 1 - ofB - ofC;
      if (ofA >= 0 && ofB >= 0 && ofC >= 0) paint(y * wide + x, ofA * a[2] + ofB * b[2] + ofC * c[2]);
    }
  }
}

/** The shades on paper, with ink where a body ends or a face turns sharply. */
function inked(bright: Float32Array, body: Int32Array, wide: number, high: number): Float32Array {
  const shades = new Float32Array(wide * high).fill(PAPER);
  for (let y = 0; y < high; y++) {
    for (let x = 0; x < wide; x++) {
      const pixel = y * wide + x;
      const [here, light] = [body[pixel] ?? -1, bright[pixel] ?? 0];
      const ends = [x > 0 ? pixel - 1 : pixel, y > 0 ? pixel - wide : pixel].some(
        (other) => body[other] !== here || Math.abs((bright[other] ?? 0) - light) > 0.12,
      );
      if (ends) shades[pixel] = PAPER * INK;
      else if (here >= 0) shades[pixel] = PAPER * light;
    }
  }
  return shades;
}

function drawnTogether(shades: Float32Array, width: number, height: number): Pixels {
  const data = new Uint8Array(width * height * 4);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      let sum = 0;
      for (let i = 0; i < FINER * FINER; i++) {
        sum += shades[(y * FINER + Math.floor(i / FINER)) * width * FINER + x * FINER + (i % FINER)] ?? PAPER;
      }
      data.fill(Math.round(sum / FINER / FINER), 4 * (y * width + x), 4 * (y * width + x) + 3);
      data[4 * (y * width + x) + 3] = 255;
    }
  }
  return { width, height, data };
}
