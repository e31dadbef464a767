import { expect, it } from 'vitest';
import { stockFrom } from './stockFrom';

it('goes on as before until the day, and with what is wanted then from it on', () => {
  const unchanged = [10, 8, 6, 4, 2];
  expect(stockFrom(unchanged, [0, 0, 0, 5, 0], [1, 1, 1, 1, 1], 2)).toEqual([10, 8, 6, 5, 9]);
  expect(stockFrom(unchanged, [], [9, 9, 9, 9, 9], 3)).toEqual([10, 8, 6, 4, 0]);
  expect(stockFrom(unchanged, [], [1, 1, 1, 1, 1], 0)).toEqual([10, 9, 8, 7, 6]);
});
