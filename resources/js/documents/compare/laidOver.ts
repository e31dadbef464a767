/** A page as its pixels: four bytes each. */
export interface Pixels {
  width: number;
  height: number;
  data: Uint8ClampedArray;
}

/** What is darker is ink, as on the server. */
const INK = 192;

/** On paper, whatever the theme: gone, come, and what is on both, strongly or faintly. */
const WENT = [156, 42, 26] as const;
const CAME = [11, 97, 88] as const;
const BOTH = { over: [70, 74, 72], differences: [205, 208, 204] } as const;

/** Pixels of a stripe: what went is hatched, so that it is told from what came without any colour. */
const STRIPE = 3;

/** Lays two pages over each other: what is only on the old one hatched, what is only on the new one full. */
export function laidOver(before: Pixels, after: Pixels, how: keyof typeof BOTH, into: Pixels): void {
  for (let y = 0; y < into.height; y++) {
    for (let x = 0; x < into.width; x++) {
      const was = inkAt(before, x, y);
      const is = inkAt(after, x, y);
      const colour = was && is ? BOTH[how] : was ? WENT : is ? CAME : null;
      const at = (y * into.width + x) * 4;
      const faint = was && !is && Math.floor((x + y) / STRIPE) % 2 === 1;
      for (let part = 0; part < 3; part++) {
        const full = colour?.[part] ?? 255;
        into.data[at + part] = faint ? 255 - (255 - full) * 0.35 : full;
      }
      into.data[at + 3] = 255;
    }
  }
}

function inkAt(page: Pixels, x: number, y: number): boolean {
  if (x >= page.width || y >= page.height) return false;
  const at = (y * page.width + x) * 4;
  const { data } = page;
  return 0.3 * (data[at] ?? 255) + 0.59 * (data[at + 1] ?? 255) + 0.11 * (data[at + 2] ?? 255) < INK;
}
