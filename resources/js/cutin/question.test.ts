import { describe, expect, it } from 'vitest';
import { isReady, partsOf, say, saidOf, turn, whole } from './question';

const swaps = [
  { gone: ['200-0040', ''], come: [{ item: '200-0041', ratio: '1.2' }, { item: '' }] },
  { gone: [''], come: [] },
  { gone: [], come: [{ item: '200-0077', ratio: '3' }], parents: ['200-0010'] },
  { gone: ['200-0042'], come: [] },
  { gone: ['200-0043'], come: [{ item: '' }] },
];

describe('the question to the planner', () => {
  it('is asked as far as it is filled in', () => {
    expect(whole({ swaps }).swaps).toEqual([
      { gone: ['200-0040'], come: [{ item: '200-0041', ratio: '1.2' }] },
      { gone: [], come: [{ item: '200-0077', ratio: '3' }], parents: ['200-0010'] },
      { gone: ['200-0042'], come: [] },
    ]);
    expect(isReady({ swaps })).toBe(true);
    expect(isReady({ swaps: [{ gone: [''], come: [] }] })).toBe(false);
    expect(partsOf({ swaps })).toEqual(['200-0040', '200-0041', '200-0077', '200-0042']);
  });

  it('says something of a part, and takes it back', () => {
    const one = say({ swaps }, '200-0040', { keep: '60' });
    const two = say(one, '200-0040', { disposition: 'scrap' });
    expect(saidOf(two, '200-0040')).toEqual({ item: '200-0040', keep: '60', disposition: 'scrap' });
    expect(say(two, '200-0040', { keep: '', disposition: undefined }).parts).toEqual([]);
    expect(saidOf(two, '200-0041')).toEqual({ item: '200-0041' });
  });

  it('turns a lever, and leaves it', () => {
    expect(turn({ swaps }, 'approval_days', 5)).toEqual({ swaps, approval_days: 5 });
    expect(turn({ swaps, approval_days: 5 }, 'approval_days', undefined)).toEqual({ swaps });
  });
});
