import { describe, expect, it } from 'vitest';
import { laidOver, type Pixels } from './laidOver';

/** One row of pixels: x is ink. */
function row(ink: string): Pixels {
  const data = new Uint8ClampedArray(ink.length * 4).fill(255);
  for (let at = 0; at < ink.length; at++) if (ink[at] === 'x') data.fill(0, at * 4, at * 4 + 3);
  return { width: ink.length, height: 1, data };
}

function told(before: string, after: string, how: 'over' | 'differences' = 'over') {
  const into = row(' '.repeat(Math.max(before.length, after.length)));
  laidOver(row(before), row(after), how, into);
  return Array.from({ length: into.width }, (_, at) => Array.from(into.data.slice(at * 4, at * 4 + 3)));
}

describe('two sheets laid over each other', () => {
  it('show what went, what came and what stayed each in its own way', () => {
    expect(told('xx  ', 'x x ')).toEqual([
      [70, 74, 72],
      [156, 42, 26],
      [11, 97, 88],
      [255, 255, 255],
    ]);
  });

  it('hatch what went, and keep what came full', () => {
    const went = told('xxxxxx', '      ');
    expect(new Set(went.map(String)).size).toBe(2);
    expect(new Set(told('      ', 'xxxxxx').map(String)).size).toBe(1);
  });

  it('show faintly what is on both where only differences are wanted, and what lies beyond the smaller sheet', () => {
    expect(told('x', 'xx', 'differences')).toEqual([
      [205, 208, 204],
      [11, 97, 88],
    ]);
  });
});
