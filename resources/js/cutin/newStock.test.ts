import { describe, expect, it } from 'vitest';
import { newStock } from './newStock';

describe('the stock of the new part', () => {
  it('is not touched before the day, and used from it on', () => {
    expect(newStock(10, [], [2, 2, 2, 2], 1, 2)).toEqual([10, 10, 10, 8]);
  });

  it('counts what comes on a day from that day on, for use on the day itself too', () => {
    expect(newStock(0, [0, 5], [2, 2, 2], 1, 0)).toEqual([0, 0, 3]);
  });

  it('takes more or less than one for one of the old', () => {
    expect(newStock(9, [], [2, 2, 2], 1.5, 0)).toEqual([9, 6, 3]);
  });

  it('never falls below nothing: what is short is ordered, and told as cost', () => {
    expect(newStock(1, [0, 0, 4], [3, 0, 0, 1], 1, 0)).toEqual([1, 0, 0, 4]);
  });

  it('is the same for every day until the first that is cut in on', () => {
    const demand = Array.from({ length: 30 }, (_, at) => at % 4);
    for (let from = 0; from < 30; from += 1) {
      const never = newStock(50, [0, 3], demand, 1, 30);
      expect(newStock(50, [0, 3], demand, 1, from).slice(0, from + 1)).toEqual(never.slice(0, from + 1));
    }
  });
});
