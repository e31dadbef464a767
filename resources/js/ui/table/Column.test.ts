import { describe, expect, it } from 'vitest';
import { compareValues, inOrder, type Column } from './Column';

const column = (more: Partial<Column<string>> = {}): Column<string> => ({
  id: 'one',
  head: 'One',
  cell: (text) => text,
  text: (text) => text,
  ...more,
});

describe('the order of rows', () => {
  it('takes numbers as numbers: decimals and negatives too', () => {
    expect(inOrder(['0.5', '12', '-3', '0.25', '-12', '9', '0'], column(), false)).toEqual([
      '-12',
      '-3',
      '0',
      '0.25',
      '0.5',
      '9',
      '12',
    ]);
    expect(inOrder(['-3', '-12', '0.25', '0.5'], column({ numeric: true }), true)).toEqual([
      '0.5',
      '0.25',
      '-3',
      '-12',
    ]);
  });

  it('is exact where a number has more digits than a computer counts with', () => {
    expect(compareValues('12345678901234567890.1', '12345678901234567890.2')).toBeLessThan(0);
    expect(compareValues('-12345678901234567890.1', '-12345678901234567890.2')).toBeGreaterThan(0);
    expect(compareValues('0.10', '0.1')).toBe(0);
    expect(compareValues('-0', '0')).toBe(0);
  });

  it('puts numbers of items and words as people do', () => {
    expect(inOrder(['200-0040', '200-0009', '30-1', 'b', 'A'], column(), false)).toEqual([
      '30-1',
      '200-0009',
      '200-0040',
      'A',
      'b',
    ]);
  });

  it('goes by a rank where the words have one', () => {
    const ranks = ['critical', 'high', 'normal', 'low'];
    const byRank = column({ sort: (text) => ranks.indexOf(text) });
    expect(inOrder(['low', 'critical', 'normal', 'high'], byRank, false)).toEqual(ranks);
  });

  it('puts what has no value last, whichever way, and leaves ties as they were', () => {
    expect(inOrder(['', '2', '', '1'], column(), false)).toEqual(['1', '2', '', '']);
    expect(inOrder(['', '2', '', '1'], column(), true)).toEqual(['2', '1', '', '']);
    const tied = column({ sort: () => 1 });
    expect(inOrder(['b', 'a', 'c'], tied, false)).toEqual(['b', 'a', 'c']);
    expect(inOrder(['b', 'a', 'c'], tied, true)).toEqual(['b', 'a', 'c']);
  });
});
