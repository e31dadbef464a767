import { describe, expect, it } from 'vitest';
import { linear, path } from './scale';

describe('a scale', () => {
  it('maps both ways, and ticks on round numbers', () => {
    const scale = linear(0, 365, 40, 770);
    expect(scale(0)).toBe(40);
    expect(scale(365)).toBe(770);
    expect(Math.round(scale.back(scale(120)))).toBe(120);
    expect(scale.ticks).toEqual([0, 100, 200, 300]);
  });
  it('takes what is less than nothing, and a span of nothing', () => {
    expect(linear(-30, 30, 100, 0).ticks).toEqual([-20, 0, 20]);
    expect(linear(5, 5, 0, 10)(5)).toBe(0);
  });
  it('draws a line through its points', () => {
    expect(path([0, 10], linear(0, 1, 0, 100), linear(0, 10, 50, 0))).toBe('M0.0 50.0L100.0 0.0');
  });
});
