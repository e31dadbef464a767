/** From a number to a place on the screen, and back. */
export interface Scale {
  (value: number): number;
  back: (place: number) => number;
  ticks: number[];
}

/** A scale over whole steps that people like to read: 1, 2, 5, 10, 20 … */
export function linear(from: number, to: number, start: number, end: number, about = 4): Scale {
  const span = to - from || 1;
  const raw = span / about;
  const power = 10 ** Math.floor(Math.log10(raw));
  const step = [1, 2, 5, 10].map((one) => one * power).find((one) => one >= raw) ?? raw;
  const ticks: number[] = [];
  for (let tick = Math.ceil(from / step) * step; tick <= to + step / 1e6; tick += step) ticks.push(tick);
  const scale = (value: number) => start + ((value - from) / span) * (end - start);
  return Object.assign(scale, { back: (place: number) => from + ((place - start) / (end - start)) * span, ticks });
}

/** A line through points, for an SVG path. */
export function path(values: number[], x: Scale, y: Scale): string {
  return values.map((value, at) => `${at === 0 ? 'M' : 'L'}${x(at).toFixed(1)} ${y(value).toFixed(1)}`).join('');
}
