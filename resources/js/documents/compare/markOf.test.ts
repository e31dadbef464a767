import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../lib/api';
import { isAt, markOf } from './markOf';

const place = (more: Partial<Schemas['SheetPlaceRow']> = {}): Schemas['SheetPlaceRow'] => ({
  number: 1,
  kind: 'changed',
  zone: 'C2',
  left: 0.2,
  top: 0.4,
  width: 0.1,
  height: 0.02,
  went: ['Ø6'],
  came: ['Ø8'],
  ...more,
});
const whole = { width: 1, height: 1 };

describe('a mark of change at a place', () => {
  it('stands at its right edge, on the sheet that is marked, and tells what went and came', () => {
    const mark = markOf(place(), whole, 2);
    expect([mark.page, mark.note]).toEqual([2, 'Ø6 → Ø8']);
    expect(mark.left).toBeCloseTo(0.3);
    expect(mark.top).toBeCloseTo(0.41);
    // Beyond the edge of the smaller sheet it stands at the edge, and says at least how the place differs.
    const beyond = markOf(place({ went: [], came: [], left: 0.9 }), { width: 0.5, height: 1 }, 1);
    expect([beyond.left, beyond.note]).toEqual([1, 'changed']);
  });

  it('is known there when it was set by hand, some millimetres beside it, and not further off', () => {
    expect(isAt({ left: 0.31, top: 0.4 }, place(), whole)).toBe(true);
    expect(isAt({ left: 0.31, top: 0.45 }, place(), whole)).toBe(false);
  });
});
